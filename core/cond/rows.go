package cond

import (
	"strconv"
	"strings"
)

// Rows is a condition as rows of field, comparison and value.
type Rows struct {
	Mode string `json:"mode"` // all, any
	Rows []Row  `json:"rows"`
}

// Row is one comparison. Compare is one of is, isNot, less, atMost, more, atLeast, empty, notEmpty.
type Row struct {
	Path    string `json:"path"` // over aliases: record.cabin.state
	Compare string `json:"compare"`
	Value   string `json:"value"` // as the wire writes it; "" for empty and notEmpty
}

var compareSigns = map[string]string{"is": "==", "isNot": "!=", "less": "<", "atMost": "<=", "more": ">", "atLeast": ">="}

var compareOps = map[Op]string{OpEq: "is", OpNe: "isNot", OpLt: "less", OpLe: "atMost", OpGt: "more", OpGe: "atLeast"}

// RowsOf shows a tree as rows; false for what rows cannot show, which stays text.
func RowsOf(n *Node) (Rows, bool) {
	rows := Rows{Mode: "all", Rows: []Row{}}
	parts := []*Node{n}
	if n.Op == OpAnd || n.Op == OpOr {
		parts = n.Args
		if n.Op == OpOr {
			rows.Mode = "any"
		}
	}
	for _, p := range parts {
		row, ok := rowOf(p)
		if !ok {
			return Rows{}, false
		}
		rows.Rows = append(rows.Rows, row)
	}
	return rows, true
}

func rowOf(n *Node) (Row, bool) {
	compare, ok := compareOps[n.Op]
	if !ok || n.Args[0].Op != OpPath {
		return Row{}, false
	}
	row := Row{Path: n.Args[0].Path.Shown(), Compare: compare}
	right := n.Args[1]
	switch {
	case right.Op == OpCall && right.Fn == "today":
		row.Value = "today()"
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

// Text writes the rows as an expression over aliases. Types are looked up by path;
// a path that types does not know is written as a text comparison, for the compiler to refuse.
func (r Rows) Text(types func(path string) (Type, bool)) string {
	parts := make([]string, 0, len(r.Rows))
	for _, row := range r.Rows {
		switch row.Compare {
		case "empty":
			parts = append(parts, row.Path+" == null")
			continue
		case "notEmpty":
			parts = append(parts, row.Path+" != null")
			continue
		}
		t, _ := types(row.Path)
		parts = append(parts, row.Path+" "+compareSigns[row.Compare]+" "+literal(t, row.Value))
	}
	with := " && "
	if r.Mode == "any" {
		with = " || "
	}
	return strings.Join(parts, with)
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
	case Date, Moment:
		if value == "today()" {
			return value
		}
		return "date(" + strconv.Quote(value) + ")"
	}
	return strconv.Quote(value)
}

// Shown writes the path over aliases.
func (p *Path) Shown() string {
	parts := []string{p.Root}
	for _, h := range p.hops {
		parts = append(parts, h.Alias)
	}
	return strings.Join(parts, ".")
}
