package nav

import (
	"maps"
	"slices"
	"strconv"
	"strings"

	"ambergate/core/english"
	"ambergate/core/project"
)

// Chunk is a piece of a way's sentence. A chip can be edited; what it edits is its part.
type Chunk struct {
	Text  string `json:"text"`
	Part  string `json:"part,omitempty"` // trigger, roles, while, do, target, record, use, give, by, with, none, carry, spot, spotRow, mode, as, back, result, otherwise, confirm, arrive; empty: plain words
	Tone  string `json:"tone,omitempty"` // target, record
	Case  string `json:"case,omitempty"`
	Item  string `json:"item,omitempty"`  // of do: the effect; of record, give and none: the input; of with: the variable
	Among string `json:"among,omitempty"` // of record and none: which of the screens that are chosen from
	Bad   bool   `json:"bad,omitempty"`
	Line  string `json:"line,omitempty"` // the line that it begins where a sentence is told in lines: when, for, while, a number, else, otherwise
}

// Sentence says a way in words with chips: the one generator for plates, findings and differences too.
func (a *App) Sentence(s *project.Screen, e *ElementPlan, trigger string) []Chunk {
	return (&sentenceWriter{scene: scene{app: a, screen: s, element: e}}).sentence(trigger)
}

func (w *sentenceWriter) sentence(trigger string) []Chunk {
	e, g := w.element, w.element.Gates[trigger]
	w.begin("when", "When ")
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

// nothingYet asks for what happens: what is done when a screen is left leads nowhere.
func (w *sentenceWriter) nothingYet(caseID string) Chunk {
	if w.leaves() {
		return Chunk{Text: "choose what is done", Part: "do", Case: caseID, Bad: true}
	}
	return Chunk{Text: "choose what happens", Part: "target", Case: caseID, Bad: true}
}

// leaves says whether the way is taken when the screen is left.
func (w *sentenceWriter) leaves() bool {
	if w.element == nil {
		return false
	}
	way := project.WayOf(w.element.Element)
	return way != nil && way.OnLeaving()
}

type sentenceWriter struct {
	scene
	called *called // nil: records stand by their keys
	out    []Chunk
}

// begin is plain words that stand between two lines, where a sentence is told in lines.
func (w *sentenceWriter) begin(line, text string) {
	w.out = append(w.out, Chunk{Text: text, Line: line})
}

func (w *sentenceWriter) plain(text string) { w.out = append(w.out, Chunk{Text: text}) }

func (w *sentenceWriter) chip(part, text, tone string) {
	w.out = append(w.out, Chunk{Text: text, Part: part, Tone: tone})
}

func (w *sentenceWriter) gate(g *GatePlan) {
	if g.Use != nil {
		w.use(g)
		if g.Gone {
			w.plain(".")
			return
		}
	}
	w.begin("for", ", for ")
	w.chip("roles", w.app.roleWords(g.Roles), "")
	if g.While != "" {
		w.begin("while", ", while ")
		if g.Condition != nil {
			w.chip("while", w.phrase(g.Condition.Root), "")
		} else {
			w.out = append(w.out, Chunk{Text: "“" + g.While + "”, which cannot be read", Part: "while", Bad: true})
		}
	}
	w.begin("1", ": ")
	for i, c := range g.Cases {
		if i > 0 {
			w.begin("else", "; else ")
		}
		if c.Condition != nil {
			w.plain("if ")
			w.out = append(w.out, Chunk{Text: w.phrase(c.Condition.Root), Part: "when", Case: c.ID})
			w.plain(", ")
		}
		w.caseWords(g, c)
	}
	if len(g.Cases) == 0 {
		w.out = append(w.out, w.nothingYet(""))
	}
	w.plain(".")
	if g.While == "" {
		return
	}
	w.begin("otherwise", " Otherwise ")
	if g.Otherwise.Grey == "" {
		w.chip("otherwise", "hide it", "")
	} else {
		w.chip("otherwise", "greyed: “"+shown(g.Grey, g.Otherwise.Grey)+"”", "")
	}
	w.plain(".")
}

func (w *sentenceWriter) caseWords(g *GatePlan, c *CasePlan) {
	first, n := true, 1
	then := func() {
		if !first {
			n++
			w.begin(strconv.Itoa(n), ", then ")
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
			w.out = append(w.out, w.nothingYet(c.ID))
			return
		}
		if w.leaves() {
			return // where to is not its affair
		}
		w.plain(", and ")
		w.out = append(w.out, Chunk{Text: "stay here", Part: "target", Case: c.ID})
		return
	}
	then()
	w.move(c)
}

// use says which shared gate a way goes through, and what it is given.
func (w *sentenceWriter) use(g *GatePlan) {
	w.plain(", through ")
	if g.Gone {
		w.out = append(w.out, Chunk{Text: "a shared gate that is gone", Part: "use", Bad: true})
		return
	}
	w.chip("use", "“"+g.Shared.Name+"”", "")
	for i, in := range project.Ordered(g.Shared.Inputs) {
		b := g.Given[in.ID]
		if b == nil && !in.Required {
			continue
		}
		w.plain(map[bool]string{true: " with ", false: ", "}[i == 0] + english.Lower(in.Label) + " ")
		chunk := Chunk{Part: "give", Tone: "record", Item: in.ID}
		if b == nil {
			chunk.Text, chunk.Bad = "choose which "+english.Lower(in.Label), true
		} else {
			chunk.Text = w.bindingWords(b, in)
		}
		w.out = append(w.out, chunk)
	}
	w.shared = g.Shared
}

func (w *sentenceWriter) move(c *CasePlan) { saidMove(c).Say(w, c) }

// opened says in which mode and how a target opens.
func (w *sentenceWriter) opened(c *CasePlan, modes bool) {
	mode := c.Move.Mode
	if mode == "" {
		mode = "view"
	}
	if modes {
		w.plain(" to ")
		w.out = append(w.out, Chunk{Text: mode, Part: "mode", Case: c.ID})
	}
	w.spot(c)
	w.plain(", ")
	w.as(c)
}

// as says how a target opens.
func (w *sentenceWriter) as(c *CasePlan) {
	as := map[string]string{"": "in full", "full": "in full", "dialog": "as a dialog", "drawer": "as a drawer", "replace": "in place of this", "tab": "in a new tab"}[c.Move.As]
	w.out = append(w.out, Chunk{Text: as, Part: "as", Case: c.ID})
	if c.Back != nil {
		w.plain(", and when it comes back ")
		text, wired := w.backWords(c.Back)
		w.out = append(w.out, Chunk{Text: text, Part: "back", Case: c.ID, Bad: !wired})
	}
}

// spot says where in the target one is led to.
func (w *sentenceWriter) spot(c *CasePlan) {
	m := c.Move.Only()
	if m == nil || m.Spot == "" || m.Target == nil {
		return
	}
	w.plain(" at ")
	words, ok := w.app.SpotWords(m.Target, m.Spot)
	w.out = append(w.out, Chunk{Text: words, Part: "spot", Case: c.ID, Bad: !ok})
	if m.SpotRow != nil {
		w.plain(", at ")
		w.out = append(w.out, Chunk{Text: w.bindingWords(m.SpotRow, spotInput(spotList(m))), Part: "spotRow", Tone: "record", Case: c.ID})
	}
}

// SpotWords names a spot of a screen; false when it is gone.
func (a *App) SpotWords(s *project.Screen, spot string) (string, bool) {
	element, tab, isTab := strings.Cut(spot, ".")
	e := s.Elements[element]
	if e == nil {
		return "a spot that is gone", false
	}
	if isTab {
		if t := project.TabsOf(e)[tab]; t != nil {
			return "the tab “" + t.Label + "”", true
		}
		return "a tab that is gone", false
	}
	if l := project.ListOf(e); l != nil {
		if t := a.Project.Tables[l.Table]; t != nil {
			return "the list of " + english.Lower(t.Label), true
		}
	}
	if plan := a.element(s.ID, element); plan != nil {
		return "“" + a.ElementWords(s, plan) + "”", true
	}
	return "“" + e.Kind + "”", true
}

// carries says what is passed on by name, spelt out.
func (w *sentenceWriter) carries(c *CasePlan) {
	m := c.Move.Only()
	if m == nil || m.Carry == nil {
		return
	}
	var names []string
	for _, in := range project.Ordered(m.Target.Inputs) {
		if _, ok := m.Carried[in.ID]; ok {
			names = append(names, english.Lower(in.Label))
		}
	}
	text := strings.Join(names, ", ")
	switch {
	case m.Carry.All && len(names) == 0:
		text = "all that it takes, which is nothing yet"
	case m.Carry.All:
		text = "all that it takes: " + text
	case len(names) == 0:
		text = "nothing"
	}
	w.plain(", carrying ")
	w.out = append(w.out, Chunk{Text: text, Part: "carry", Tone: "record", Case: c.ID})
}

// recordWord says what one record of a list of the screen, or of the screen itself, is called.
func (w *sentenceWriter) recordWord(list string) string {
	table := w.screen.RecordTable()
	if e := w.screen.Elements[list]; e != nil {
		if l := project.ListOf(e); l != nil {
			table = l.Table
		}
	}
	if t := w.app.Project.Tables[table]; t != nil {
		return t.One
	}
	return "record"
}

func (w *sentenceWriter) bindings(caseID string, m *Lead) {
	var carried []*project.Input
	for _, in := range project.Ordered(m.Target.Inputs) {
		if in.ID != m.Target.Record {
			carried = append(carried, in)
			continue
		}
		if m.Carried[in.ID] != "" {
			continue
		}
		w.plain(" on ")
		if m.Mode == "add" {
			w.out = append(w.out, Chunk{Text: w.newRecord(m), Part: "record", Tone: "record", Case: caseID, Item: in.ID, Among: m.ID})
			continue
		}
		w.binding(caseID, m, in)
	}
	said := false
	for _, in := range carried {
		if m.Bind[in.ID] == nil && (!in.Required || m.Carried[in.ID] != "") {
			continue
		}
		w.plain(map[bool]string{false: " with ", true: ", "}[said] + english.Lower(in.Label) + " ")
		said = true
		w.binding(caseID, m, in)
	}
}

func (w *sentenceWriter) binding(caseID string, m *Lead, in *project.Input) {
	b := m.Bind[in.ID]
	chunk := Chunk{Part: "record", Tone: "record", Case: caseID, Item: in.ID, Among: m.ID}
	if b == nil {
		chunk.Text, chunk.Bad = "choose which "+english.Lower(in.Label), true
		w.out = append(w.out, chunk)
		return
	}
	chunk.Text = w.bindingWords(b, in)
	w.out = append(w.out, chunk)
	if b.None != "" && b.None != "grey" { // greyed is what everybody expects
		w.plain(" (")
		w.out = append(w.out, Chunk{Text: noneWords(b.None), Part: "none", Case: caseID, Item: in.ID, Among: m.ID})
		w.plain(")")
	}
}

// noneWords says what happens where there is no record.
func noneWords(none string) string {
	return "if none: " + map[string]string{"": "greyed", "grey": "greyed", "list": "open the list", "add": "offer to add", "stay": "say so", "round": "go round"}[none]
}

func (w *sentenceWriter) newRecord(m *Lead) string {
	t := w.app.Project.Tables[m.Target.RecordTable()]
	if t == nil {
		return "a new record"
	}
	text := "a new " + t.One
	var fills []string
	for _, field := range slices.Sorted(maps.Keys(m.Set)) {
		f := t.Fields[field]
		if f == nil || m.Set[field] == nil {
			continue
		}
		fills = append(fills, english.Lower(f.Label)+" = "+w.valueWords(m.Set[field], f.References))
	}
	if len(fills) > 0 {
		text += ", with " + strings.Join(fills, ", ")
	}
	return text
}
