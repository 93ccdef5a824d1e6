package nav

import (
	"fmt"
	"sort"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// Chunk is a piece of a way's sentence. A chip can be edited; what it edits is its part.
type Chunk struct {
	Text string `json:"text"`
	Part string `json:"part,omitempty"` // trigger, roles, while, do, target, record, set, mode, as, otherwise, confirm, arrive; empty: plain words
	Tone string `json:"tone,omitempty"` // target, record
	Case string `json:"case,omitempty"`
	Item string `json:"item,omitempty"` // of do: the effect; of record: the input
	Bad  bool   `json:"bad,omitempty"`
}

// Sentence says a way in words with chips: the one generator for plates, findings and differences too.
func (a *App) Sentence(s *project.Screen, e *ElementPlan, trigger string) []Chunk {
	g := e.Gates[trigger]
	w := sentenceWriter{app: a, screen: s, element: e}
	w.plain("When ")
	w.chip("trigger", triggerWords(trigger, e.Element), "")
	if g == nil {
		w.plain(": ")
		w.out = append(w.out, Chunk{Text: "choose what happens", Part: "target", Bad: true})
		w.plain(".")
		return w.out
	}
	w.gate(g)
	return w.out
}

// SentenceText joins a sentence's chunks.
func SentenceText(chunks []Chunk) string {
	var b strings.Builder
	for _, c := range chunks {
		b.WriteString(c.Text)
	}
	return b.String()
}

func triggerWords(trigger string, e *project.Element) string {
	switch trigger {
	case "press":
		return "pressed"
	case "row":
		return "a row is opened"
	case "point":
		return "a bar is chosen"
	}
	if e.Kind == "field" {
		return "its value is pressed"
	}
	return "released"
}

type sentenceWriter struct {
	app     *App
	screen  *project.Screen
	element *ElementPlan
	out     []Chunk
}

func (w *sentenceWriter) plain(text string) { w.out = append(w.out, Chunk{Text: text}) }

func (w *sentenceWriter) chip(part, text, tone string) {
	w.out = append(w.out, Chunk{Text: text, Part: part, Tone: tone})
}

func (w *sentenceWriter) gate(g *GatePlan) {
	w.plain(", for ")
	w.chip("roles", w.app.roleWords(g.Roles), "")
	if g.While != "" {
		w.plain(", while ")
		if g.Condition != nil {
			w.chip("while", g.Condition.Root.Phrase(), "")
		} else {
			w.out = append(w.out, Chunk{Text: "“" + g.While + "”, which cannot be read", Part: "while", Bad: true})
		}
	}
	w.plain(": ")
	for i, c := range g.Cases {
		if i > 0 {
			w.plain("; else ")
		}
		if c.Condition != nil {
			w.plain("if ")
			w.chip("when", c.Condition.Root.Phrase(), "")
			w.plain(", ")
		}
		w.caseWords(g, c)
	}
	if len(g.Cases) == 0 {
		w.out = append(w.out, Chunk{Text: "choose what happens", Part: "target", Bad: true})
	}
	w.plain(".")
	if g.While == "" {
		return
	}
	w.plain(" Otherwise ")
	if g.Otherwise.Grey == "" {
		w.chip("otherwise", "hide it", "")
	} else {
		w.chip("otherwise", "greyed: “"+shown(g.Grey, g.Otherwise.Grey)+"”", "")
	}
	w.plain(".")
}

func (w *sentenceWriter) caseWords(g *GatePlan, c *CasePlan) {
	first := true
	then := func() {
		if !first {
			w.plain(", then ")
		}
		first = false
	}
	if g.Confirm != "" {
		then()
		w.chip("confirm", "ask “"+shown(g.Question, g.Confirm)+"”", "")
	}
	for _, e := range c.Effects {
		then()
		w.out = append(w.out, Chunk{Text: w.effect(e), Part: "do", Case: c.ID, Item: e.ID})
	}
	if c.Move == nil {
		if first {
			w.out = append(w.out, Chunk{Text: "choose what happens", Part: "target", Case: c.ID, Bad: true})
			return
		}
		w.plain(", and ")
		w.out = append(w.out, Chunk{Text: "stay here", Part: "target", Case: c.ID})
		return
	}
	then()
	w.move(c)
}

func (w *sentenceWriter) move(c *CasePlan) {
	m := c.Move
	words := map[string]string{"back": "go back", "forward": "go forward", "home": "go home", "up": "go up", "close": "close this"}
	if m.Kind != "screen" {
		w.out = append(w.out, Chunk{Text: words[m.Kind], Part: "target", Tone: "target", Case: c.ID})
		return
	}
	w.plain("open ")
	if m.Target == nil {
		w.out = append(w.out, Chunk{Text: "a screen that is gone", Part: "target", Tone: "target", Case: c.ID, Bad: true})
		return
	}
	w.out = append(w.out, Chunk{Text: m.Target.Title, Part: "target", Tone: "target", Case: c.ID})
	w.bindings(c)
	w.arrive(c)
	mode := m.Mode
	if mode == "" {
		mode = "view"
	}
	if m.Target.Type == "form" && mode != "add" {
		w.plain(" to ")
		w.out = append(w.out, Chunk{Text: mode, Part: "mode", Case: c.ID})
	}
	as := map[string]string{"": "in full", "full": "in full", "dialog": "as a dialog", "replace": "in place of this"}[m.As]
	w.plain(", ")
	w.out = append(w.out, Chunk{Text: as, Part: "as", Case: c.ID})
}

func (w *sentenceWriter) bindings(c *CasePlan) {
	m := c.Move
	var carried []*project.Input
	for _, in := range project.Ordered(m.Target.Inputs) {
		if in.ID != m.Target.Record {
			carried = append(carried, in)
			continue
		}
		w.plain(" on ")
		if m.Mode == "add" {
			w.out = append(w.out, Chunk{Text: w.newRecord(m), Part: "record", Tone: "record", Case: c.ID, Item: in.ID})
			continue
		}
		w.binding(c, in)
	}
	said := false
	for _, in := range carried {
		if m.Bind[in.ID] == nil && !in.Required {
			continue
		}
		w.plain(map[bool]string{false: " with ", true: ", "}[said] + lowerLabel(in.Label) + " ")
		said = true
		w.binding(c, in)
	}
}

func (w *sentenceWriter) binding(c *CasePlan, in *project.Input) {
	b := c.Move.Bind[in.ID]
	chunk := Chunk{Part: "record", Tone: "record", Case: c.ID, Item: in.ID}
	if b == nil {
		chunk.Text, chunk.Bad = "choose which "+lowerLabel(in.Label), true
	} else {
		chunk.Text = w.app.bindingWords(w.screen, w.element, b)
	}
	w.out = append(w.out, chunk)
	if b != nil && b.None != "" && b.None != "grey" {
		w.plain(" (" + map[string]string{"list": "if none: open the list", "add": "if none: offer to add", "stay": "if none: say so"}[b.None] + ")")
	}
}

func (w *sentenceWriter) newRecord(m *MovePlan) string {
	t := w.app.Project.Tables[m.Target.RecordTable()]
	if t == nil {
		return "a new record"
	}
	text := "a new " + t.One
	var fills []string
	for _, field := range sortedKeys(m.Set) {
		f := t.Fields[field]
		if f == nil || m.Set[field] == nil {
			continue
		}
		fills = append(fills, lowerLabel(f.Label)+" = "+w.valueWords(m.Set[field]))
	}
	if len(fills) > 0 {
		text += ", with " + strings.Join(fills, ", ")
	}
	return text
}

func (w *sentenceWriter) arrive(c *CasePlan) {
	a := c.Move.Arrive
	if a == nil {
		return
	}
	table := listTable(c.Move.Target)
	var parts []string
	for _, f := range project.Ordered(a.Filters) {
		if col, _ := w.app.Project.FieldAt(table, f.Path); col != nil {
			verb := map[string]string{"is": " is ", "isNot": " is not ", "contains": " contains ", "empty": " is empty", "notEmpty": " is not empty", "atLeast": " is at least ", "atMost": " is at most "}[f.Compare]
			parts = append(parts, lowerLabel(col.Label)+verb+f.Value)
		}
	}
	if len(parts) > 0 {
		w.plain(" where ")
		w.out = append(w.out, Chunk{Text: strings.Join(parts, " and "), Part: "arrive", Tone: "record", Case: c.ID})
	}
}

func (w *sentenceWriter) effect(e *EffectPlan) string {
	switch spec := e.Spec.(type) {
	case *project.Save:
		return "save"
	case *project.Set:
		t := w.app.Project.Tables[w.screen.RecordTable()]
		var parts []string
		for _, field := range sortedKeys(spec.Fields) {
			label := "a field that is gone"
			if t != nil && t.Fields[field] != nil {
				label = lowerLabel(t.Fields[field].Label)
			}
			value := "“" + spec.Fields[field] + "”"
			if x := e.Exprs[field]; x != nil {
				value = w.valueWords(x)
			}
			parts = append(parts, "set "+label+" to "+value)
		}
		return strings.Join(parts, " and ")
	case *project.Write:
		if e.Exprs["tag"] == nil || e.Exprs["value"] == nil {
			return "write to a tag that is gone"
		}
		if v := e.Exprs["value"].Root; v.Op == cond.OpConst && v.Const.True() {
			return "send " + e.Exprs["tag"].Root.Path.Words()
		}
		return "write " + e.Exprs["value"].Root.Phrase() + " to " + e.Exprs["tag"].Root.Path.Words()
	}
	return e.Kind
}

// bindingWords says where an input's value comes from.
func (a *App) bindingWords(s *project.Screen, e *ElementPlan, b *project.Binding) string {
	switch b.Rule {
	case "this":
		if t := a.Project.Tables[s.RecordTable()]; t != nil {
			return "this " + t.One
		}
		return "this record"
	case "row":
		return "the clicked row"
	case "point":
		return "the chosen bar"
	case "user":
		return "the user’s own record"
	case "value":
		return "“" + b.Value + "”"
	case "input":
		if in := s.Inputs[b.Value]; in != nil {
			return "the " + lowerLabel(in.Label) + " given"
		}
		return "an input that is gone"
	case "parent":
		return a.parentWords(s, e, b)
	case "expression":
		return "“" + b.Value + "”"
	}
	return b.Rule
}

func (a *App) parentWords(s *project.Screen, e *ElementPlan, b *project.Binding) string {
	table, of := s.RecordTable(), "its"
	if b.From == "row" {
		of = "the row’s"
		if l, ok := e.Spec.(*project.List); ok {
			table = l.Table
		}
	}
	var words []string
	path := ""
	for _, part := range strings.Split(b.Path, ".") {
		path = join(path, part)
		f, _ := a.Project.FieldAt(table, path)
		if f == nil {
			return "a relation that is gone"
		}
		words = append(words, lowerLabel(f.Label))
	}
	return of + " " + strings.Join(words, "’s ")
}

// roleWords says for whom a gate is.
func (a *App) roleWords(roles map[string]bool) string {
	if roles == nil {
		return "everyone"
	}
	var names []string
	for _, r := range project.Ordered(a.Project.Roles) {
		if roles[r.ID] {
			names = append(names, r.Name)
		}
	}
	switch len(names) {
	case 0:
		return "nobody"
	case 1:
		return names[0]
	}
	return strings.Join(names[:len(names)-1], ", ") + " or " + names[len(names)-1]
}

// Now says what a way does right now for the walked user and record, or why it is closed.
func (o *Opening) Now(v Verdict) string {
	who := "For " + o.world.user.Name
	if r := o.world.record; r != nil {
		who += fmt.Sprintf(", on %s %s", o.app.Project.Tables[r.Table].One, o.world.title(r, r.Table, ""))
	}
	if !v.Open() {
		return who + ": " + v.Reason
	}
	if v.To != nil {
		return who + ": " + o.placeWords(*v.To) + "."
	}
	if v.stay != "" {
		return who + ": stays and says “" + v.stay + "”."
	}
	var does []string
	w := sentenceWriter{app: o.app, screen: o.plan.Screen}
	if m := v.chosen.Move; m != nil && m.Target != nil {
		return who + ": saves, then opens " + m.Target.Title + "."
	}
	for _, e := range v.chosen.Effects {
		does = append(does, w.effect(e))
	}
	if m := v.chosen.Move; m != nil {
		does = append(does, map[string]string{"back": "goes back", "forward": "goes forward", "home": "goes home", "up": "goes up", "close": "closes"}[m.Kind])
	}
	return who + ": " + strings.Join(does, ", then ") + "."
}

// placeWords names a place with what it opens on.
func (o *Opening) placeWords(p Place) string {
	s := o.app.Project.Screens[p.Screen]
	text := s.Title
	var with []string
	for _, in := range project.Ordered(s.Inputs) {
		wire := p.Inputs[in.ID]
		if wire == "" {
			continue
		}
		words := wire
		if r := o.world.record; r != nil && r.Table == in.Table && r.Key == wire {
			words = o.world.title(r, r.Table, "")
		} else if title := o.titleOfParent(in.Table, wire); title != "" {
			words = title
		}
		with = append(with, lowerLabel(in.Label)+" "+words)
	}
	if p.Mode == "add" {
		text += ", a new one"
	}
	for _, field := range sortedKeys(p.Set) {
		if f, _ := o.app.Project.FieldAt(s.RecordTable(), field); f != nil {
			value := p.Set[field]
			if f.References != "" {
				if r := o.world.record; r != nil && r.Table == f.References && r.Key == value {
					value = o.world.title(r, r.Table, "")
				} else if title := o.titleOfParent(f.References, value); title != "" {
					value = title
				}
			}
			with = append(with, lowerLabel(f.Label)+" "+value+" filled in")
		}
	}
	if len(with) > 0 {
		text += ", with " + strings.Join(with, ", ")
	}
	if p.Mode == "edit" {
		text += ", to edit"
	}
	return text
}

// titleOfParent finds the title of a record that the screen's own record refers to.
func (o *Opening) titleOfParent(table, key string) string {
	r := o.world.record
	if r == nil {
		return ""
	}
	var paths []string
	for path, v := range r.Values {
		if v.KeyOf() == key {
			paths = append(paths, path)
		}
	}
	sort.Strings(paths)
	for _, path := range paths {
		if f, _ := o.app.Project.FieldAt(r.Table, path); f != nil && f.References == table {
			return o.world.title(r, table, path)
		}
	}
	return ""
}

// valueWords says what a field gets: "this cabin", "its lift", "the user", or a plain value.
func (w *sentenceWriter) valueWords(x *cond.Expr) string {
	if x.Root.Op != cond.OpPath {
		return x.Root.Phrase()
	}
	p := x.Root.Path
	switch {
	case p.Root == "user" && p.Key == "record":
		return "the user"
	case p.Root == "record" && p.Key == "":
		return w.app.bindingWords(w.screen, w.element, &project.Binding{Rule: "this"})
	case p.Root == "record":
		return "its " + p.Words()
	case p.Root == "inputs" && len(p.Segs) == 1:
		return "the " + p.Words() + " given"
	}
	return p.Words()
}

// shown writes a template over aliases, without the full stop that the sentence brings itself.
func shown(t *cond.Template, stored string) string {
	if t != nil {
		stored = t.Shown()
	}
	return strings.TrimSuffix(stored, ".")
}
