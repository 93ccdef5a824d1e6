package compile

import (
	"sort"
	"strconv"
	"strings"

	"ambergate/core/cond"
)

// Completion is what could stand at a place of a text, and the function whose brackets it is in.
type Completion struct {
	From    int        `json:"from"` // what is replaced: characters From to To
	To      int        `json:"to"`
	Offers  []Offer    `json:"offers"`
	Calling *Signature `json:"calling,omitempty"`
}

// Offer is one text that could stand there.
type Offer struct {
	Text  string `json:"text"`
	Words string `json:"words"`
	Type  string `json:"type,omitempty"`
}

// Signature says how a function is written; Active is the parameter being typed, from 0.
type Signature struct {
	Name   string   `json:"name"`
	Takes  []string `json:"takes"`
	Words  string   `json:"words"`
	Active int      `json:"active"`
}

// Functions are those of the language that people are offered; the library knows more.
var Functions = []Signature{
	{Name: "today", Takes: []string{}, Words: "this day, in the application’s zone"},
	{Name: "daysAgo", Takes: []string{"a whole number"}, Words: "the day so many days before today"},
	{Name: "daysFromNow", Takes: []string{"a whole number"}, Words: "the day so many days after today"},
	{Name: "duration", Takes: []string{`a length of time as "168h"`}, Words: "a length of time, to add to a day or a moment"},
	{Name: "date", Takes: []string{`a day as "2026-11-24"`}, Words: "a day"},
	{Name: "available", Takes: []string{"a live value"}, Words: "whether the plant gives the value now, in good quality"},
	{Name: "key", Takes: []string{`a record’s key as "12"`}, Words: "one record of a table"},
	{Name: "size", Takes: []string{"a text or a list"}, Words: "how many characters or items"},
	{Name: "user.is", Takes: []string{"a role"}, Words: "whether the user has the role"},
	{Name: "contains", Takes: []string{"a text"}, Words: "whether the text before the point contains it"},
	{Name: "startsWith", Takes: []string{"a text"}, Words: "whether the text before the point begins with it"},
	{Name: "endsWith", Takes: []string{"a text"}, Words: "whether the text before the point ends with it"},
}

// maxOffers is how many texts are offered at once.
const maxOffers = 60

// Complete offers what could stand at a place (in characters) of a text: fields after a point,
// choices after a comparison, roles within user.is("…"), else names and functions.
func (c *Compiler) Complete(scope cond.Scope, text string, at int) Completion {
	runes := []rune(text)
	if len(runes) > MaxText {
		return Completion{Offers: []Offer{}}
	}
	at = max(0, min(at, len(runes)))
	before := runes[:at]
	out := Completion{From: at, To: at, Offers: []Offer{}, Calling: calling(before)}
	if quote := openQuote(before); quote >= 0 {
		out.From = quote
		c.offerTexts(&out, scope, before[:quote], string(before[quote+1:]))
		if at < len(runes) && runes[at] == before[quote] {
			out.To = at + 1
		}
		return out
	}
	for out.From > 0 && (isWord(before[out.From-1]) || before[out.From-1] == '_') {
		out.From--
	}
	for out.To < len(runes) && (isWord(runes[out.To]) || runes[out.To] == '_') {
		out.To++
	}
	typed := string(before[out.From:])
	if out.From > 0 && before[out.From-1] == '.' {
		c.offerFields(&out, scope, before[:out.From], typed)
		return out
	}
	if typed == "" {
		c.offerTexts(&out, scope, before[:out.From], "")
	}
	c.offerNames(&out, scope, typed)
	return out
}

// offerFields offers the fields of the group that the names before a point lead to.
func (c *Compiler) offerFields(out *Completion, scope cond.Scope, before []rune, typed string) {
	chain := chainBefore(before[:len(before)-1])
	t, ok := c.follow(scope, chain)
	if !ok {
		return
	}
	if g := c.schema.Groups[t.Table]; g != nil && (t.Kind == cond.Record || t.Kind == cond.Object) {
		for _, f := range g.Fields {
			out.add(typed, Offer{Text: f.Alias, Words: offered(f), Type: f.Type.Kind.String()})
		}
	}
	if chain == "user" {
		for _, r := range c.schema.Roles {
			out.add(typed, Offer{Text: "is(" + strconv.Quote(r.Name) + ")", Words: "has the role " + r.Name, Type: cond.YesNo.String()})
		}
	}
	if t.Kind == cond.Text {
		for _, call := range []string{"contains", "startsWith", "endsWith"} {
			out.add(typed, Offer{Text: call + "(\"", Words: signatureOf(call).Words, Type: cond.YesNo.String()})
		}
	}
}

func offered(f cond.Field) string {
	if f.Named != "" {
		return f.Label + " (shared condition)"
	}
	return f.Label
}

// offerTexts offers the choices of what is compared before, or the roles within user.is.
func (c *Compiler) offerTexts(out *Completion, scope cond.Scope, before []rune, typed string) {
	rest := strings.TrimRight(string(before), " ")
	if strings.HasSuffix(rest, "user.is(") {
		for _, r := range c.schema.Roles {
			out.add(typed, Offer{Text: strconv.Quote(r.Name), Words: "role"})
		}
		return
	}
	for _, sign := range []string{"==", "!=", "<=", ">=", "<", ">"} {
		path, found := strings.CutSuffix(rest, sign)
		if !found {
			continue
		}
		t, ok := c.follow(scope, chainBefore([]rune(strings.TrimRight(path, " "))))
		if !ok {
			return
		}
		for _, choice := range t.Choices {
			out.add(typed, Offer{Text: strconv.Quote(choice), Words: "choice"})
		}
		switch t.Kind {
		case cond.Date, cond.Moment:
			out.add(typed, Offer{Text: "today()", Words: signatureOf("today").Words})
			out.add(typed, Offer{Text: "daysAgo(7)", Words: "7 days ago"})
		case cond.YesNo:
			out.add(typed, Offer{Text: "true", Words: "yes"})
			out.add(typed, Offer{Text: "false", Words: "no"})
		}
		return
	}
}

func (c *Compiler) offerNames(out *Completion, scope cond.Scope, typed string) {
	words := map[string]string{"record": "this record", "row": "the chosen row", "typed": "what is typed on the form", "saved": "the saved record", "point": "the chosen point", "inputs": "what the screen was opened with", "user": "who is signed in", "vars": "what the tab keeps", "tag": "the plant"}
	roots := make([]string, 0, len(scope))
	for root := range scope {
		roots = append(roots, root)
	}
	sort.Strings(roots)
	for _, root := range roots {
		out.add(typed, Offer{Text: root, Words: words[root], Type: cond.Record.String()})
	}
	if typed != "" { // a field by its own name, wherever it is
		for _, f := range c.fieldsNamed(scope, func(f *cond.Field) bool { return fits(typed, f.Alias) || fits(typed, f.Label) }) {
			out.offer(Offer{Text: f.path, Words: offered(*f.field) + " of " + f.group, Type: f.field.Type.Kind.String()})
		}
	}
	for _, s := range Functions[:6] {
		text := s.Name + "("
		if len(s.Takes) == 0 {
			text += ")"
		}
		out.add(typed, Offer{Text: text, Words: s.Words})
	}
}

func (out *Completion) add(typed string, o Offer) {
	if fits(typed, strings.Trim(o.Text, `"`)) || fits(typed, o.Words) {
		out.offer(o)
	}
}

func (out *Completion) offer(o Offer) {
	if len(out.Offers) < maxOffers {
		out.Offers = append(out.Offers, o)
	}
}

// fits says whether what was typed begins any word of a name.
func fits(typed, name string) bool {
	typed, name = strings.ToLower(typed), strings.ToLower(name)
	if strings.HasPrefix(name, typed) {
		return true
	}
	for _, word := range strings.FieldsFunc(name, func(r rune) bool { return r == '_' || r == ' ' }) {
		if strings.HasPrefix(word, typed) {
			return true
		}
	}
	return false
}

// foundField is a field with the path that leads to it.
type foundField struct {
	path, group string
	field       *cond.Field
}

// fieldsNamed finds fields one and two steps from the names of a place.
func (c *Compiler) fieldsNamed(scope cond.Scope, is func(*cond.Field) bool) []foundField {
	var near, far []foundField
	roots := make([]string, 0, len(scope))
	for root := range scope {
		roots = append(roots, root)
	}
	sort.Strings(roots)
	for _, root := range roots {
		g := c.schema.Groups[scope[root]]
		if g == nil {
			continue
		}
		for i := range g.Fields {
			f := &g.Fields[i]
			if is(f) {
				near = append(near, foundField{root + "." + f.Alias, g.Label, f})
			}
			parent := c.schema.Groups[f.Type.Table]
			if parent == nil || f.Type.Kind != cond.Record && f.Type.Kind != cond.Object {
				continue
			}
			for k := range parent.Fields {
				if p := &parent.Fields[k]; is(p) {
					far = append(far, foundField{root + "." + f.Alias + "." + p.Alias, parent.Label, p})
				}
			}
		}
	}
	return append(near, far...)
}

// follow gives the type that a dotted name leads to.
func (c *Compiler) follow(scope cond.Scope, chain string) (cond.Type, bool) {
	names := strings.Split(chain, ".")
	group, ok := scope[names[0]]
	if !ok {
		return cond.Type{}, false
	}
	t := cond.Type{Kind: cond.Record, Table: group}
	for _, name := range names[1:] {
		g := c.schema.Groups[t.Table]
		if g == nil {
			return cond.Type{}, false
		}
		f, ok := g.Find(name)
		if !ok {
			return cond.Type{}, false
		}
		t = f.Type
	}
	return t, true
}

// chainBefore gives the dotted name that a text ends with.
func chainBefore(text []rune) string {
	from := len(text)
	for from > 0 && (isWord(text[from-1]) || text[from-1] == '_' || text[from-1] == '.') {
		from--
	}
	return string(text[from:])
}

// openQuote gives the place of the quotation mark that a text leaves open, or -1.
func openQuote(text []rune) int {
	open := -1
	for i := 0; i < len(text); i++ {
		switch {
		case open >= 0 && text[i] == '\\':
			i++
		case open >= 0 && text[i] == text[open]:
			open = -1
		case open < 0 && (text[i] == '"' || text[i] == '\''):
			open = i
		}
	}
	return open
}

// calling finds the function whose brackets a text leaves open.
func calling(text []rune) *Signature {
	depth, commas, quote := 0, 0, rune(0)
	for i := len(text) - 1; i >= 0; i-- {
		r := text[i]
		switch {
		case quote != 0:
			if r == quote {
				quote = 0
			}
		case (r == '"' || r == '\'') && openQuote(text[:i+1]) != i:
			quote = r
		case r == ')' || r == ']':
			depth++
		case r == '[' && depth == 0:
			return nil
		case r == '[':
			depth--
		case r == ',' && depth == 0:
			commas++
		case r == '(' && depth > 0:
			depth--
		case r == '(':
			chain := chainBefore(text[:i])
			name := chain
			if chain != "user.is" {
				name = chain[strings.LastIndexByte(chain, '.')+1:]
			}
			s := signatureOf(name)
			if s.Name == "" {
				return nil
			}
			s.Active = min(commas, max(0, len(s.Takes)-1))
			return &s
		}
	}
	return nil
}

func signatureOf(name string) Signature {
	for _, s := range Functions {
		if s.Name == name {
			return s
		}
	}
	return Signature{}
}
