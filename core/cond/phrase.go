package cond

import (
	"fmt"
	"strings"
	"time"

	"ambergate/core/english"
)

// Phrase says the expression in English. It is the one generator of words for
// conditions: sentences, findings, explanations and differences all use it.
func (n *Node) Phrase() string {
	switch n.Op {
	case OpConst:
		if n.Source != "" {
			return n.Source
		}
		return constPhrase(n.Const)
	case OpPath:
		if n.Type.Kind == YesNo {
			return n.Path.Words() + " is yes"
		}
		return n.Path.Words()
	case OpAnd:
		return joinPhrases(n.Args, " and ", OpOr)
	case OpOr:
		return joinPhrases(n.Args, " or ", OpAnd)
	case OpNot:
		return n.Args[0].Negated()
	case OpNamed:
		if of := n.Path.ofWords(); of != "" {
			return of + ": " + n.Source
		}
		return n.Source
	case OpEq, OpNe, OpLt, OpLe, OpGt, OpGe:
		return n.comparisonPhrase()
	case OpIn:
		return n.amongPhrase(" is ", " is one of ", "or")
	case OpAdd, OpSub, OpMul, OpDiv:
		sign := map[Op]string{OpAdd: " + ", OpSub: " − ", OpMul: " × ", OpDiv: " ÷ "}[n.Op]
		return n.Args[0].operand() + sign + n.Args[1].operand()
	case OpNeg:
		return "−" + n.Args[0].operand()
	case OpIf:
		return "if " + n.Args[0].Phrase() + " then " + n.Args[1].operand() + ", else " + n.Args[2].operand()
	case OpList:
		return english.List(operands(n.Args), "or")
	case OpRole:
		return "the user is " + n.roleName()
	case OpCall:
		return n.callPhrase()
	}
	return "“" + n.Source + "”"
}

// Negated says that a part does not hold.
func (n *Node) Negated() string {
	switch n.Op {
	case OpPath:
		return n.Path.Words() + " is no"
	case OpEq, OpNe:
		other := *n
		other.Op = OpEq + OpNe - n.Op // an empty value counts the same either way
		return other.Phrase()
	case OpIn:
		if list := n.Args[1]; list.Op == OpList && len(list.Args) == 2 {
			return n.Args[0].operand() + " is neither " + list.Args[0].operand() + " nor " + list.Args[1].operand()
		}
		return n.amongPhrase(" is not ", " is none of ", "or")
	case OpRole:
		return "the user is not " + n.roleName()
	case OpOr:
		return "none of these: " + joinPhrases(n.Args, "; ", OpAnd)
	case OpCall:
		args := n.Args
		switch n.Fn {
		case "contains":
			return args[0].operand() + " does not contain " + args[1].operand()
		case "startsWith":
			return args[0].operand() + " does not begin with " + args[1].operand()
		case "endsWith":
			return args[0].operand() + " does not end with " + args[1].operand()
		case "available":
			return args[0].operand() + " is not available"
		}
	}
	return "not (" + n.Phrase() + ")"
}

// amongPhrase says that a part is among the items of a list; of one item it is said plainly.
func (n *Node) amongPhrase(one, several, last string) string {
	list := n.Args[1]
	if list.Op != OpList {
		return n.Args[0].operand() + several + list.operand()
	}
	if len(list.Args) == 1 {
		return n.Args[0].operand() + one + list.Args[0].operand()
	}
	return n.Args[0].operand() + several + english.List(operands(list.Args), last)
}

func (n *Node) callPhrase() string {
	if day, ok := n.fromToday(); ok {
		return day
	}
	args := operands(n.Args)
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
	case "available":
		return args[0] + " is available"
	case "size":
		return "the length of " + args[0]
	case "daysAgo":
		return args[0] + " days ago"
	case "daysFromNow":
		return args[0] + " days from now"
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
			return words + " is yes"
		}
		return words + " is no"
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
		verb = map[Op]string{OpEq: " is ", OpNe: " is not ", OpLt: " is before ", OpLe: " is on or before ", OpGt: " is after ", OpGe: " is on or after "}[n.Op]
	}
	if away, ok := right.fromToday(); ok {
		return words + verb + away
	}
	words += verb + right.operand()
	if left.Type.Unit != "" {
		words += " " + left.Type.Unit
	}
	if n.orEmpty() {
		words += ", or empty"
	}
	return words
}

// orEmpty says whether a comparison also holds where its left side is empty, and says so.
func (n *Node) orEmpty() bool {
	if n.Op == OpNot && n.Args[0].Op == OpEq {
		other := *n.Args[0]
		other.Op = OpNe
		return other.orEmpty()
	}
	if n.Op != OpNe || !n.Args[0].Type.Nullable {
		return false
	}
	right := n.Args[1]
	return right.Op != OpConst || !right.Const.IsNull() && right.Const.Kind() != YesNo
}

// fromToday says a day counted from today: "7 days ago".
func (n *Node) fromToday() (string, bool) {
	days, ok := n.RelativeDay()
	switch {
	case !ok || days == 0:
		return "", false
	case days == -1:
		return "yesterday", true
	case days == 1:
		return "tomorrow", true
	case days < 0:
		return fmt.Sprintf("%d days ago", -days), true
	}
	return fmt.Sprintf("%d days from now", days), true
}

// RelativeDay reads today(), daysAgo(7) and daysFromNow(7) as days from today.
func (n *Node) RelativeDay() (int64, bool) {
	if n.Op != OpCall {
		return 0, false
	}
	if n.Fn == "today" {
		return 0, true
	}
	sign := daySigns[n.Fn]
	if sign == 0 || n.Args[0].Op != OpConst || n.Args[0].Const.kind != Whole {
		return 0, false
	}
	return sign * n.Args[0].Const.i, true
}

// daySigns are the functions that count days from today, and which way.
var daySigns = map[string]int64{"daysAgo": -1, "daysFromNow": 1}

// operand says a part as a thing compared, not as a statement.
func (n *Node) operand() string {
	if n.Op == OpPath {
		return n.Path.Words()
	}
	return n.Phrase()
}

func operands(parts []*Node) []string {
	out := make([]string, len(parts))
	for i, p := range parts {
		out[i] = p.operand()
	}
	return out
}

func constPhrase(v Value) string {
	switch {
	case v.IsNull():
		return "empty"
	case v.Kind() == YesNo && v.True():
		return "always"
	case v.Kind() == YesNo:
		return "never"
	case v.Kind() == Duration:
		return v.Say(time.UTC)
	case v.Kind() == Text:
		return "“" + v.s + "”"
	}
	return v.Wire()
}

func joinPhrases(args []*Node, with string, wrap Op) string {
	parts := make([]string, len(args))
	for i, a := range args {
		parts[i] = a.Phrase()
		if a.Op == wrap || a.Op == OpIf || a.orEmpty() || a.Op == OpNot && a.Args[0].Op == OpOr {
			parts[i] = "(" + parts[i] + ")" // it would be read together with its neighbour
		}
	}
	return strings.Join(parts, with)
}

// Words says a path: "cabin’s lift’s name". What an expression's place makes plain
// (its own record, the chosen row) is left out.
func (p *Path) Words() string {
	words := make([]string, 0, len(p.Hops)+1)
	hops := p.Hops
	switch p.Root {
	case "user":
		if len(hops) > 0 && hops[0].ID == "record" {
			hops = hops[1:]
		}
		if len(hops) == 0 {
			return "the user"
		}
		words = append(words, "the user’s")
	case "saved":
		words = append(words, "the saved record’s")
	case "point":
		words = append(words, "the point’s")
	}
	for i, h := range hops {
		label := english.Small(h.Label)
		if label == "" {
			continue
		}
		if i < len(hops)-1 && h.Type.Kind != Object {
			label += "’s"
		}
		words = append(words, label)
	}
	if len(p.Hops) == 0 {
		return map[string]string{"record": "this record", "row": "the chosen row", "point": "the chosen point"}[p.Root]
	}
	return strings.Join(words, " ")
}

// ofWords says whose condition a shared one is: nothing for the record or row itself, or the user.
func (p *Path) ofWords() string {
	if len(p.Hops) < 2 {
		return ""
	}
	return NewPath(p.Root, p.Hops[:len(p.Hops)-1], Type{}).Words()
}
