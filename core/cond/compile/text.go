package compile

import (
	"fmt"
	"maps"
	"regexp"
	"slices"
	"sort"
	"strings"

	"cel.dev/cel-go/cel"
	"cel.dev/cel-go/common/ast"
	"cel.dev/cel-go/common/types"

	"ambergate/core/cond"
	"ambergate/core/english"
)

// swap replaces length characters of a text at a place.
type swap struct {
	at, length int
	with       string
}

// bothTexts gives the text over ids and over aliases. Only names are replaced, at the
// places the parser found them, so the writer's own layout and comments stay.
func (c *Compiler) bothTexts(a *ast.AST, text []rune) (stored, shown string) {
	var ids, aliases []swap
	done := map[int]bool{}
	visit := func(e ast.Expr) {
		switch e.Kind() {
		case ast.SelectKind:
			at, length, f := c.fieldAt(a, e, text)
			if f == nil || done[at] {
				return
			}
			done[at] = true
			ids = append(ids, swap{at, length, f.ID})
			aliases = append(aliases, swap{at, length, f.Alias})
		case ast.CallKind:
			call := e.AsCall()
			if call.FunctionName() != "is" || len(call.Args()) != 1 || call.Args()[0].Kind() != ast.LiteralKind {
				return
			}
			at, length, role := c.roleAt(a, call.Args()[0], text)
			if role == nil || done[at] {
				return
			}
			done[at] = true
			ids = append(ids, swap{at, length, fmt.Sprintf("%q", role.ID)})
			aliases = append(aliases, swap{at, length, fmt.Sprintf("%q", role.Name)})
		}
	}
	ast.PostOrderVisit(a.Expr(), ast.NewExprVisitor(visit))
	for _, macro := range a.SourceInfo().MacroCalls() {
		ast.PostOrderVisit(macro, ast.NewExprVisitor(visit))
	}
	return applySwaps(text, ids), applySwaps(text, aliases)
}

func (c *Compiler) fieldAt(a *ast.AST, e ast.Expr, text []rune) (int, int, *cond.Field) {
	operand := a.GetType(e.AsSelect().Operand().ID())
	if operand.Kind() != types.StructKind {
		return 0, 0, nil
	}
	g, ok := c.schema.Groups[operand.TypeName()]
	if !ok {
		return 0, 0, nil
	}
	f, ok := g.Find(e.AsSelect().FieldName())
	if !ok {
		return 0, 0, nil
	}
	r, ok := a.SourceInfo().GetOffsetRange(e.ID())
	if !ok {
		return 0, 0, nil
	}
	at := int(r.Start)
	for at < len(text) && (text[at] == '.' || text[at] == ' ' || text[at] == '\n' || text[at] == '\t') {
		at++
	}
	name := []rune(e.AsSelect().FieldName())
	if at+len(name) > len(text) || string(text[at:at+len(name)]) != string(name) {
		return 0, 0, nil
	}
	return at, len(name), f
}

func (c *Compiler) roleAt(a *ast.AST, lit ast.Expr, text []rune) (int, int, *cond.Role) {
	name, _ := lit.AsLiteral().Value().(string)
	r, ok := a.SourceInfo().GetOffsetRange(lit.ID())
	if !ok {
		return 0, 0, nil
	}
	at := int(r.Start)
	end := at + len([]rune(name)) + 2
	if end > len(text) {
		return 0, 0, nil
	}
	for i := range c.schema.Roles {
		if role := &c.schema.Roles[i]; role.ID == name || role.Name == name {
			return at, end - at, role
		}
	}
	return 0, 0, nil
}

func applySwaps(text []rune, swaps []swap) string {
	sort.Slice(swaps, func(i, j int) bool { return swaps[i].at < swaps[j].at })
	var b strings.Builder
	at := 0
	for _, s := range swaps {
		b.WriteString(string(text[at:s.at]))
		b.WriteString(s.with)
		at = s.at + s.length
	}
	b.WriteString(string(text[at:]))
	return b.String()
}

var (
	undefinedField = regexp.MustCompile(`undefined field '([^']*)'`)
	undeclared     = regexp.MustCompile(`undeclared reference to '([^']*)'`)
	noOverload     = regexp.MustCompile(`found no matching overload for '([^']*)' applied to '\((.*)\)'`)
)

// problem turns the library's first complaint into words, a place and, where one is near, a proposal.
func (c *Compiler) problem(scope cond.Scope, text []rune, issues *cel.Issues) *cond.Problem {
	first := issues.Errors()[0]
	at := 0
	line := 1
	for i := 0; i < len(text) && line < first.Location.Line(); i++ {
		if text[i] == '\n' {
			line++
		}
		at = i + 1
	}
	at = min(max(0, at+first.Location.Column()), max(0, len(text)-1))
	if m := undefinedField.FindStringSubmatch(first.Message); m != nil {
		for at < len(text) && (text[at] == '.' || text[at] == ' ') {
			at++
		}
		p := &cond.Problem{Message: fmt.Sprintf("There is no field “%s” here.", m[1]), At: at, Length: max(1, len([]rune(m[1])))}
		p.Proposal = nearest(m[1], c.aliasesAt(scope, text, at))
		return p
	}
	if m := undeclared.FindStringSubmatch(first.Message); m != nil {
		name := strings.Split(m[1], ".")[0]
		if p := c.meantField(scope, name, at); p != nil {
			return p
		}
		names := namesIn(scope)
		return &cond.Problem{Message: fmt.Sprintf("There is no “%s” here. You can use: %s.", name, strings.Join(names, ", ")), At: at, Length: max(1, len([]rune(name))), Proposal: nearest(name, names)}
	}
	if m := noOverload.FindStringSubmatch(first.Message); m != nil {
		return &cond.Problem{Message: misfit(m[1], plainTypes(m[2])), At: at, Length: 1}
	}
	if p := syntaxProblem(first.Message, text, at); p != nil {
		return p
	}
	return &cond.Problem{Message: "This cannot be read: " + strings.TrimSuffix(strings.ToLower(first.Message[:1])+first.Message[1:], ".") + ".", At: at, Length: 1}
}

// namesIn gives all that a text may begin with at a place: its own names, then those that are
// everywhere, and the functions.
func namesIn(scope cond.Scope) []string {
	names := slices.Sorted(maps.Keys(scope))
	names = append(names, "now")
	for _, f := range Functions {
		if !slices.Contains(afterAPoint, f.Name) && !strings.Contains(f.Name, ".") {
			names = append(names, f.Name)
		}
	}
	return names
}

// afterAPoint are the functions that a text is asked by, behind a point.
var afterAPoint = []string{"contains", "startsWith", "endsWith"}

// misfit says that an operator or function does not take the kinds that it was given.
func misfit(operator string, kinds []string) string {
	comparing := []string{"_==_", "_!=_", "_<_", "_<=_", "_>_", "_>=_", "@in"}
	doing := map[string]string{"_+_": "added", "_-_": "subtracted", "_*_": "multiplied", "_/_": "divided"}
	switch {
	case len(kinds) != 2:
		return "This does not take " + english.List(kinds, "and") + "."
	case slices.Contains(comparing, operator):
		return english.Capital(kinds[0]) + " cannot be compared with " + kinds[1] + "."
	case doing[operator] != "":
		return english.Capital(kinds[0]) + " and " + kinds[1] + " cannot be " + doing[operator] + "."
	}
	return "These do not go together: " + english.List(kinds, "and") + "."
}

// meantField proposes the whole path for a field that was written by its name alone.
func (c *Compiler) meantField(scope cond.Scope, name string, at int) *cond.Problem {
	plain := strings.ToLower(strings.ReplaceAll(name, "_", " "))
	found := c.fieldsNamed(scope, func(f *cond.Field) bool { return f.Alias == name || strings.ToLower(f.Label) == plain })
	if len(found) == 0 {
		return nil
	}
	first := found[0]
	return &cond.Problem{
		Message: fmt.Sprintf("“%s” is not known by itself. The field is %s, %s of %s.", name, first.path, english.Small(first.field.Label), first.group),
		At:      at, Length: len([]rune(name)), Proposal: first.path,
	}
}

var wrapped = regexp.MustCompile(`wrapper\((\w+)\)`)

func plainTypes(list string) []string {
	words := map[string]string{"string": "a text", "int": "a whole number", "double": "a number", "bool": "a yes or no", "google.protobuf.Timestamp": "a date or moment", "timestamp": "a date or moment", "google.protobuf.Duration": "a length of time", "duration": "a length of time", "null": "nothing"}
	parts := strings.Split(wrapped.ReplaceAllString(list, "$1"), ", ")
	for i, p := range parts {
		if w, ok := words[p]; ok {
			parts[i] = w
		} else if strings.HasPrefix(p, "t_") {
			parts[i] = "a record"
		}
	}
	return parts
}

// aliasesAt walks the dotted name before a place and lists what could stand there.
func (c *Compiler) aliasesAt(scope cond.Scope, text []rune, at int) []string {
	start := at
	for start > 0 && (text[start-1] == '.' || text[start-1] == '_' || isWord(text[start-1])) {
		start--
	}
	names := strings.Split(strings.TrimSuffix(string(text[start:at]), "."), ".")
	g := c.schema.Groups[scope[names[0]]]
	for _, name := range names[1:] {
		if g == nil {
			return nil
		}
		f, ok := g.Find(name)
		if !ok {
			return nil
		}
		g = c.schema.Groups[f.Type.Table]
	}
	if g == nil {
		return nil
	}
	var out []string
	for _, f := range g.Fields {
		out = append(out, f.Alias)
	}
	return out
}

func isWord(r rune) bool {
	return r >= 'a' && r <= 'z' || r >= 'A' && r <= 'Z' || r >= '0' && r <= '9'
}

// nearest gives the candidate that begins with a name, else the one that differs from it by the fewest
// letters, if it is near enough to be meant.
func nearest(name string, candidates []string) string {
	for _, c := range candidates {
		if len(name) >= 2 && strings.HasPrefix(strings.ToLower(c), strings.ToLower(name)) {
			return c
		}
	}
	best, bestDistance := "", len(name)/3+2
	for _, c := range candidates {
		if d := distance(strings.ToLower(name), strings.ToLower(c)); d < bestDistance {
			best, bestDistance = c, d
		}
	}
	return best
}

// distance is the Levenshtein distance between two short texts.
func distance(a, b string) int {
	row := make([]int, len(b)+1)
	for j := range row {
		row[j] = j
	}
	for i := 1; i <= len(a); i++ {
		diagonal := row[0]
		row[0] = i
		for j := 1; j <= len(b); j++ {
			cost := 1
			if a[i-1] == b[j-1] {
				cost = 0
			}
			diagonal, row[j] = row[j], min(row[j]+1, row[j-1]+1, diagonal+cost)
		}
	}
	return row[len(b)]
}

// KindWords names a kind of value for people, with its article.
func KindWords(k cond.Kind) string {
	switch k {
	case cond.YesNo:
		return "yes or no"
	case cond.Text:
		return "a text"
	case cond.Whole, cond.Number, cond.Decimal:
		return "a number"
	case cond.Date:
		return "a date"
	case cond.Moment:
		return "a moment"
	case cond.Duration:
		return "a length of time"
	case cond.Record:
		return "a record"
	case cond.List:
		return "a list"
	case cond.Null:
		return "empty"
	}
	return "of another kind"
}
