package cond

import (
	"fmt"
	"strconv"
	"strings"
)

// Rows is a condition as rows of field, comparison and value. Mode says how they go together.
type Rows struct {
	Mode string `json:"mode"` // all, any, none
	Rows []Row  `json:"rows"`
}

// Row is one comparison, or a group of rows. Compare is one of Compares.
type Row struct {
	Path    string   `json:"path,omitempty"` // over aliases: record.cabin.state; "user" for roles
	Compare string   `json:"compare,omitempty"`
	Value   string   `json:"value,omitempty"`  // as the wire writes it; today(), today()-7 and today()+7 count days from today
	Values  []string `json:"values,omitempty"` // of in and notIn
	With    string   `json:"with,omitempty"`   // a path compared with, instead of a value
	Group   *Rows    `json:"group,omitempty"`
}

// Compares are the comparisons that rows know.
var Compares = []string{
	"is", "isNot", "less", "atMost", "more", "atLeast", "empty", "notEmpty", "in", "notIn", "contains", "notContains", "begins", "notBegins", "ends", "notEnds",
	"holds", "holdsNot", "available", "notAvailable", "role", "notRole",
}

var (
	compareSigns = map[string]string{"is": "==", "isNot": "!=", "less": "<", "atMost": "<=", "more": ">", "atLeast": ">="}
	compareOps   = map[Op]string{OpEq: "is", OpNe: "isNot", OpLt: "less", OpLe: "atMost", OpGt: "more", OpGe: "atLeast"}
	compareCalls = map[string]string{"contains": "contains", "begins": "startsWith", "ends": "endsWith"}
	// opposites are comparisons that a "not" before the row turns into each other.
	opposites = map[string]string{"in": "notIn", "contains": "notContains", "begins": "notBegins", "ends": "notEnds", "holds": "holdsNot", "available": "notAvailable", "role": "notRole"}
)

// RowsOf shows a tree as rows; false for what rows cannot show, which stays text.
func RowsOf(n *Node) (Rows, bool) {
	if group, ok, is := groupOf(n); is {
		return group, ok
	}
	row, ok := rowOf(n)
	return Rows{Mode: "all", Rows: []Row{row}}, ok
}

// groupOf shows what stands for several rows; is is false for a single comparison.
func groupOf(n *Node) (rows Rows, ok, is bool) {
	switch {
	case n.Op == OpAnd:
		rows.Mode = "all"
	case n.Op == OpOr:
		rows.Mode = "any"
	case n.Op == OpNot && n.Args[0].Op == OpOr:
		rows.Mode, n = "none", n.Args[0]
	case n.Op == OpNot && !n.Args[0].turnable():
		row, ok := rowOf(n.Args[0])
		return Rows{Mode: "none", Rows: []Row{row}}, ok, true
	default:
		return rows, false, false
	}
	for _, part := range n.Args {
		row, ok := rowOf(part)
		if !ok {
			return Rows{}, false, true
		}
		rows.Rows = append(rows.Rows, row)
	}
	return rows, true, true
}

// turnable says whether a "not" before a part is a comparison of its own: is none of, does not contain.
func (n *Node) turnable() bool {
	switch n.Op {
	case OpIn, OpRole, OpPath, OpNamed:
		return true
	case OpCall:
		return n.Fn == "available" || n.Fn == "contains" || n.Fn == "startsWith" || n.Fn == "endsWith"
	}
	return false
}

func rowOf(n *Node) (Row, bool) {
	if group, ok, is := groupOf(n); is {
		return Row{Group: &group}, ok
	}
	switch n.Op {
	case OpNot:
		row, ok := rowOf(n.Args[0])
		row.Compare = opposites[row.Compare]
		return row, ok
	case OpRole:
		return Row{Path: "user", Compare: "role", Value: n.roleName()}, true
	case OpPath, OpNamed:
		return Row{Path: n.Path.Shown(), Compare: "holds"}, n.Type.Kind == YesNo
	case OpIn:
		return memberRow(n)
	case OpCall:
		return callRow(n)
	}
	return comparisonRow(n)
}

func memberRow(n *Node) (Row, bool) {
	if n.Args[0].Op != OpPath || n.Args[1].Op != OpList || len(n.Args[1].Args) == 0 {
		return Row{}, false
	}
	row := Row{Path: n.Args[0].Path.Shown(), Compare: "in"}
	for _, item := range n.Args[1].Args {
		if item.Op != OpConst || item.Const.IsNull() {
			return Row{}, false
		}
		row.Values = append(row.Values, item.Const.Wire())
	}
	return row, true
}

func callRow(n *Node) (Row, bool) {
	if len(n.Args) == 0 || n.Args[0].Op != OpPath {
		return Row{}, false
	}
	row := Row{Path: n.Args[0].Path.Shown()}
	if n.Fn == "available" {
		row.Compare = "available"
		return row, true
	}
	for compare, fn := range compareCalls {
		if fn == n.Fn && n.Args[1].Op == OpConst {
			row.Compare, row.Value = compare, n.Args[1].Const.Wire()
			return row, true
		}
	}
	return Row{}, false
}

func comparisonRow(n *Node) (Row, bool) {
	compare, ok := compareOps[n.Op]
	if !ok || n.Args[0].Op != OpPath {
		return Row{}, false
	}
	row := Row{Path: n.Args[0].Path.Shown(), Compare: compare}
	right := n.Args[1]
	days, relative := right.RelativeDay()
	switch {
	case relative && days == 0:
		row.Value = "today()"
	case relative:
		row.Value = fmt.Sprintf("today()%+d", days)
	case right.Op == OpPath:
		row.With = right.Path.Shown()
	case right.Op != OpConst:
		return Row{}, false
	case right.Const.IsNull() && n.Op == OpEq:
		row.Compare = "empty"
	case right.Const.IsNull() && n.Op == OpNe:
		row.Compare = "notEmpty"
	case right.Const.IsNull():
		return Row{}, false
	default:
		row.Value = right.Const.Wire()
	}
	return row, true
}

// Text writes the rows as an expression over aliases. Types are looked up by path; a path that
// types does not know is written as a text comparison, for the compiler to refuse.
// Groups without a row are left out; "" when nothing is left.
func (r Rows) Text(types func(path string) (Type, bool)) string {
	return r.text(types, false)
}

func (r Rows) text(types func(path string) (Type, bool), within bool) string {
	var parts []string
	for _, row := range r.Rows {
		if part := row.text(types); part != "" {
			parts = append(parts, part)
		}
	}
	if len(parts) == 0 {
		return ""
	}
	with := " && "
	if r.Mode != "all" {
		with = " || "
	}
	text := strings.Join(parts, with)
	if r.Mode == "none" {
		return "!(" + text + ")"
	}
	if within && len(parts) > 1 {
		return "(" + text + ")"
	}
	return text
}

func (r Row) text(types func(path string) (Type, bool)) string {
	if r.Group != nil {
		return r.Group.text(types, true)
	}
	for compare, opposite := range opposites {
		if r.Compare == opposite {
			r.Compare = compare
			if compare == "in" {
				return "!(" + r.text(types) + ")"
			}
			return "!" + r.text(types)
		}
	}
	t, _ := types(r.Path)
	switch r.Compare {
	case "empty":
		return r.Path + " == null"
	case "notEmpty":
		return r.Path + " != null"
	case "holds":
		return r.Path
	case "available":
		return "available(" + r.Path + ")"
	case "role":
		return r.Path + ".is(" + strconv.Quote(r.Value) + ")"
	case "contains", "begins", "ends":
		return r.Path + "." + compareCalls[r.Compare] + "(" + strconv.Quote(r.Value) + ")"
	case "in":
		items := make([]string, len(r.Values))
		for i, v := range r.Values {
			items[i] = literal(t, v)
		}
		return r.Path + " in [" + strings.Join(items, ", ") + "]"
	}
	right := r.With
	if right == "" {
		right = literal(t, r.Value)
	}
	return r.Path + " " + compareSigns[r.Compare] + " " + right
}

func literal(t Type, value string) string {
	switch t.Kind {
	case YesNo, Whole:
		if value != "" {
			return value
		}
	case Number, Decimal:
		if _, err := strconv.ParseFloat(value, 64); err == nil {
			if !strings.ContainsAny(value, ".eE") {
				value += ".0"
			}
			return value
		}
	case Record:
		return "key(" + strconv.Quote(value) + ")"
	case Date, Moment:
		if days, relative := strings.CutPrefix(value, "today()"); relative {
			return relativeText(days, value)
		}
		return "date(" + strconv.Quote(value) + ")"
	}
	return strconv.Quote(value)
}

// relativeText writes "-7" after today() as an expression.
func relativeText(days, value string) string {
	n, err := strconv.Atoi(days)
	switch {
	case days == "" || err == nil && n == 0:
		return "today()"
	case err != nil:
		return strconv.Quote(value)
	case n < 0:
		return fmt.Sprintf("daysAgo(%d)", -n)
	}
	return fmt.Sprintf("daysFromNow(%d)", n)
}

// Shown writes the path over aliases.
func (p *Path) Shown() string {
	parts := []string{p.Root}
	for _, h := range p.Hops {
		parts = append(parts, h.Alias)
	}
	return strings.Join(parts, ".")
}
