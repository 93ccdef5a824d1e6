package records

import (
	"encoding/base64"
	"encoding/json"
	"fmt"
	"slices"
	"strings"

	"ambergate/core/ask"
)

// orderPart is one part of the order that a list is read in. Empty values come last, whichever
// way the part goes.
type orderPart struct {
	sql      string
	desc     bool
	nullable bool
}

// addOrder adds the user's order and, as the last, the key. One record alone has no order, but
// still tells its place in it.
func (f *fetch) addOrder(q ask.Query) error {
	for _, o := range q.Order {
		sql, field, err := f.column(o.Path)
		if err != nil {
			return err
		}
		nullable := field.Nullable || field.Tally != nil || strings.Contains(o.Path, ".") || field.References != "" && q.Rights.Visible(field.References) != nil
		if len(field.Choices) > 0 {
			// Choices have an order of their own; what is none of them comes last.
			sql, nullable = fmt.Sprintf("array_position(%s::text[], %s::text)", f.arg(field.Choices), sql), true
		}
		f.orders = append(f.orders, orderPart{sql, o.Desc, nullable})
	}
	if q.Key != "" && len(q.Order) == 0 {
		return nil
	}
	for _, k := range f.keyColumns() {
		f.orders = append(f.orders, orderPart{sql: k})
	}
	if len(q.Table.Key) == 0 {
		f.orders = append(f.orders, orderPart{sql: f.wholeRow()})
	}
	return nil
}

// probe is a stretch of the list that an index can serve: conditions, and the order within it.
type probe struct{ where, order []string }

// stretches cuts what lies beyond a cursor (nil: the whole list) into probes, in the order in which
// they are read: forward, or backward from the cursor or the end. The single comparison of all
// parts at once would be right too, but no index serves it.
func (f *fetch) stretches(cursor []*string, back bool) []probe {
	if cursor == nil {
		return f.heads(nil, 0, back)
	}
	var out []probe
	for i := len(f.orders) - 1; i >= 0; i-- {
		out = append(out, f.beyond(i, cursor, back)...)
	}
	return out
}

// heads gives the stretches of everything that shares a prefix of the order with the cursor.
// Empty ones apart, the first part may be read in whichever way an index goes; among the empty ones
// it stays in the order too, though it decides nothing there: an index is known to serve it by that.
func (f *fetch) heads(where []string, i int, back bool) []probe {
	o := f.orders[i]
	if !o.nullable || !o.desc {
		return []probe{{where, f.orderFrom(i, back)}}
	}
	filled := probe{append(slices.Clone(where), o.sql+" is not null"), f.looseFrom(i, back)}
	empty := probe{append(slices.Clone(where), o.sql+" is null"), f.looseFrom(i, back)}
	if back {
		return []probe{empty, filled}
	}
	return []probe{filled, empty}
}

// beyond gives the stretches of what shares the cursor's first i values and lies beyond its next.
func (f *fetch) beyond(i int, cursor []*string, back bool) []probe {
	o, v := f.orders[i], cursor[i]
	if v == nil && !back {
		return nil
	}
	where := f.equalPrefix(cursor[:i])
	if v == nil {
		return []probe{{append(where, o.sql+" is not null"), f.looseFrom(i, back)}}
	}
	sign := " > "
	if o.desc != back {
		sign = " < "
	}
	out := []probe{{append(slices.Clone(where), o.sql+sign+f.arg(*v)), f.looseFrom(i, back)}}
	if o.nullable && !back {
		out = append(out, probe{append(where, o.sql+" is null"), f.looseFrom(i, back)})
	}
	return out
}

// orderFrom writes the order from its part i on, with the place of empty values spelt out.
func (f *fetch) orderFrom(i int, back bool) []string {
	var out []string
	for _, o := range f.orders[i:] {
		words := o.sql
		if o.desc != back {
			words += " desc"
		}
		switch {
		case o.nullable && back:
			words += " nulls first"
		case o.nullable:
			words += " nulls last"
		}
		out = append(out, words)
	}
	return out
}

// looseFrom writes the order from its part i on, where nothing in that part is empty: then an
// index serves it whichever end its empty values are at.
func (f *fetch) looseFrom(i int, back bool) []string {
	words := f.orders[i].sql
	if f.orders[i].desc != back {
		words += " desc"
	}
	return append([]string{words}, f.orderFrom(i+1, back)...)
}

// assemble writes the whole statement.
func (f *fetch) assemble(q ask.Query, columns, where []string) (string, error) {
	limit := ""
	if q.Limit > 0 {
		limit = fmt.Sprintf(" limit %d", q.Limit+1)
	}
	from := " from " + strings.Join(f.from, " ")
	if q.Key != "" || len(f.orders) == 0 {
		sql := "select " + strings.Join(columns, ", ") + from + whereClause(where) + limit
		if q.Lock {
			sql += " for update of t0"
		}
		return sql, nil
	}
	cursor, err := f.cursorOf(q)
	if err != nil {
		return "", err
	}
	stretches := f.stretches(cursor, q.Back)
	parts := make([]string, len(stretches))
	for i, p := range stretches {
		parts[i] = "select " + strings.Join(columns, ", ") + from + whereClause(append(slices.Clone(where), p.where...)) + orderBy(p.order) + limit
	}
	if len(parts) == 1 {
		return parts[0], nil
	}
	// The stretches are disjoint, each is in order, and a union keeps the order of its parts.
	return "select * from ((" + strings.Join(parts, ") union all (") + ")) stretches" + limit, nil
}

func (f *fetch) cursorOf(q ask.Query) ([]*string, error) {
	if q.After == "" {
		return nil, nil
	}
	return readCursor(q.After, len(f.orders))
}

func orderBy(parts []string) string {
	if len(parts) == 0 {
		return ""
	}
	return " order by " + strings.Join(parts, ", ")
}

func (f *fetch) equalPrefix(cursor []*string) []string {
	var out []string
	for i, v := range cursor {
		if v == nil {
			out = append(out, f.orders[i].sql+" is null")
		} else {
			out = append(out, f.orders[i].sql+" = "+f.arg(*v))
		}
	}
	return out
}

func writeCursor(values []any) string {
	parts := make([]*string, len(values))
	for i, v := range values {
		if text, ok := v.(string); ok {
			parts[i] = &text
		}
	}
	text, err := json.Marshal(parts)
	if err != nil {
		return "" // strings always encode
	}
	return base64.RawURLEncoding.EncodeToString(text)
}

func readCursor(cursor string, n int) ([]*string, error) {
	text, err := base64.RawURLEncoding.DecodeString(cursor)
	var parts []*string
	if err == nil {
		err = json.Unmarshal(text, &parts)
	}
	if err != nil || len(parts) != n {
		return nil, &ask.Refusal{Code: "bad-cursor", What: "The list has been ordered anew.", Then: "Load it again."}
	}
	return parts, nil
}
