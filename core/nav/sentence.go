package nav

import (
	"strings"

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
	if l, ok := e.Spec.(*project.List); ok {
		for id, a := range l.Several {
			if trigger == project.SeveralTrigger(id) {
				return "“" + a.Words + "” is pressed for chosen rows"
			}
		}
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
	if m.Kind != "screen" {
		w.out = append(w.out, Chunk{Text: w.leaves(m.Move), Part: "target", Tone: "target", Case: c.ID})
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
	as := map[string]string{"": "in full", "full": "in full", "dialog": "as a dialog", "drawer": "as a drawer", "replace": "in place of this", "tab": "in a new tab"}[m.As]
	w.plain(", ")
	w.out = append(w.out, Chunk{Text: as, Part: "as", Case: c.ID})
}

// leaves says a move that is no screen by name.
func (w *sentenceWriter) leaves(m *project.Move) string {
	if m.Kind != "step" {
		return map[string]string{"back": "go back", "forward": "go forward", "home": "go home", "up": "go up", "close": "close this"}[m.Kind]
	}
	words := "go to the " + m.Step + " " + w.recordWord(m.List)
	if m.List == "" {
		words += " of the list come from"
	}
	if end := map[string]string{"round": ", round at the end", "stay": ", saying so at the end"}[m.None]; end != "" {
		words += end
	}
	return words
}

// recordWord says what one record of a list of the screen, or of the screen itself, is called.
func (w *sentenceWriter) recordWord(list string) string {
	table := w.screen.RecordTable()
	if e := w.screen.Elements[list]; e != nil {
		if l, ok := e.Spec.(*project.List); ok {
			table = l.Table
		}
	}
	if t := w.app.Project.Tables[table]; t != nil {
		return t.One
	}
	return "record"
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
