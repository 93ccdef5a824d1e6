package cond

import (
	"strings"
)

// Phrase says the expression in English. It is the one generator of words for
// conditions: sentences, findings, explanations and differences all use it.
func (n *Node) Phrase() string {
	switch n.Op {
	case OpConst:
		return constPhrase(n.Const)
	case OpPath:
		if n.Type.Kind == YesNo {
			return n.Path.Words() + " holds"
		}
		return n.Path.Words()
	case OpAnd:
		return joinPhrases(n.Args, " and ", OpOr)
	case OpOr:
		return joinPhrases(n.Args, " or ", OpAnd)
	case OpNot:
		if n.Args[0].Op == OpPath {
			return n.Args[0].Path.Words() + " does not hold"
		}
		return "not (" + n.Args[0].Phrase() + ")"
	case OpEq, OpNe, OpLt, OpLe, OpGt, OpGe:
		return n.comparisonPhrase()
	case OpIn:
		return n.Args[0].operand() + " is one of " + n.Args[1].operand()
	case OpAdd, OpSub, OpMul, OpDiv:
		sign := map[Op]string{OpAdd: " + ", OpSub: " − ", OpMul: " × ", OpDiv: " ÷ "}[n.Op]
		return n.Args[0].operand() + sign + n.Args[1].operand()
	case OpNeg:
		return "−" + n.Args[0].operand()
	case OpIf:
		return "if " + n.Args[0].Phrase() + " then " + n.Args[1].operand() + ", else " + n.Args[2].operand()
	case OpList:
		items := make([]string, len(n.Args))
		for i, a := range n.Args {
			items[i] = a.operand()
		}
		if len(items) > 1 {
			last := len(items) - 1
			return strings.Join(items[:last], ", ") + " or " + items[last]
		}
		return strings.Join(items, ", ")
	case OpRole:
		return "the user is " + n.roleName()
	case OpCall:
		return n.callPhrase()
	}
	return "“" + n.Source + "”"
}

func (n *Node) callPhrase() string {
	args := make([]string, len(n.Args))
	for i, a := range n.Args {
		args[i] = a.operand()
	}
	switch n.Fn {
	case "today":
		return "today"
	case "now":
		return "now"
	case "contains":
		return args[0] + " contains " + args[1]
	case "startsWith":
		return args[0] + " begins with " + args[1]
	case "endsWith":
		return args[0] + " ends with " + args[1]
	case "size":
		return "the length of " + args[0]
	case "days":
		if args[0] == "1" {
			return "1 day"
		}
		return args[0] + " days"
	}
	return strings.Join(args, ", ")
}

func (n *Node) roleName() string {
	if n.Source != "" {
		return n.Source
	}
	return n.Fn
}

func (n *Node) comparisonPhrase() string {
	left, right := n.Args[0], n.Args[1]
	words := left.operand()
	null := right.Op == OpConst && right.Const.IsNull()
	if right.Op == OpConst && right.Const.Kind() == YesNo && (n.Op == OpEq || n.Op == OpNe) {
		if right.Const.True() == (n.Op == OpEq) {
			return words + " holds"
		}
		return words + " does not hold"
	}
	switch {
	case null && n.Op == OpEq:
		return words + " is empty"
	case null && n.Op == OpNe:
		return words + " is not empty"
	}
	temporal := left.Type.Kind == Date || left.Type.Kind == Moment
	verb := map[Op]string{OpEq: " is ", OpNe: " is not ", OpLt: " is less than ", OpLe: " is at most ", OpGt: " is more than ", OpGe: " is at least "}[n.Op]
	if temporal {
		verb = map[Op]string{OpEq: " is ", OpNe: " is not ", OpLt: " is before ", OpLe: " is by ", OpGt: " is after ", OpGe: " is from "}[n.Op]
	}
	words += verb + right.operand()
	if left.Type.Unit != "" {
		words += " " + left.Type.Unit
	}
	if n.Op == OpNe && left.Type.Nullable {
		words += ", or empty"
	}
	return words
}

// operand says a part as a thing compared, not as a statement.
func (n *Node) operand() string {
	if n.Op == OpPath {
		return n.Path.Words()
	}
	return n.Phrase()
}

func constPhrase(v Value) string {
	switch {
	case v.IsNull():
		return "empty"
	case v.Kind() == YesNo && v.True():
		return "always"
	case v.Kind() == YesNo:
		return "never"
	}
	return v.Wire()
}

func joinPhrases(args []*Node, with string, wrap Op) string {
	parts := make([]string, len(args))
	for i, a := range args {
		parts[i] = a.Phrase()
		if a.Op == wrap {
			parts[i] = "(" + parts[i] + ")"
		}
	}
	return strings.Join(parts, with)
}

// Words says a path: "cabin’s lift’s name". What an expression's place makes plain
// (its own record, the clicked row) is left out.
func (p *Path) Words() string {
	words := make([]string, 0, len(p.hops)+1)
	switch p.Root {
	case "user":
		words = append(words, "the user’s")
	case "saved":
		words = append(words, "the saved record’s")
	case "point":
		words = append(words, "the point’s")
	}
	for i, h := range p.hops {
		label := lowerFirst(h.Label)
		if label == "" {
			continue
		}
		if i < len(p.hops)-1 && h.Type.Kind != Object {
			label += "’s"
		}
		words = append(words, label)
	}
	if len(p.hops) == 0 {
		return map[string]string{"record": "this record", "row": "the clicked row", "point": "the chosen point"}[p.Root]
	}
	return strings.Join(words, " ")
}

// lowerFirst lowers the first letter unless the word is an abbreviation.
func lowerFirst(s string) string {
	r := []rune(s)
	if len(r) == 0 || len(r) > 1 && strings.ToUpper(string(r[1])) == string(r[1]) && r[1] != ' ' {
		return s
	}
	return strings.ToLower(string(r[0])) + string(r[1:])
}
