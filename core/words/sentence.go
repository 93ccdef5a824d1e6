package words

import (
	"maps"
	"slices"
	"strconv"
	"strings"

	"ambergate/core/english"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// Chunk is a piece of a way's sentence. A chip can be edited; what it edits is its part.
type Chunk struct {
	Text  string `json:"text"`
	Part  Part   `json:"part,omitempty"` // empty: plain words
	Tone  string `json:"tone,omitempty"` // target, record
	Case  string `json:"case,omitempty"`
	Item  string `json:"item,omitempty"`  // of do: the effect; of record, give and none: the input; of with: the variable
	Among string `json:"among,omitempty"` // of record and none: which of the screens that are chosen from
	Bad   bool   `json:"bad,omitempty"`
	Line  string `json:"line,omitempty"` // the line that it begins where a sentence is told in lines: when, for, while, a number, else, otherwise
}

// Sentence says a way in words with chips: the one generator for plates, findings and differences too.
func Sentence(a *plan.App, s *project.Screen, e *plan.Element, trigger string) []Chunk {
	return (&Writer{Scene: plan.Scene{App: a, Screen: s, Element: e}}).Write(trigger)
}

// Write writes the sentence of one of the element's ways.
func (w *Writer) Write(trigger string) []Chunk {
	e, g := w.Element, w.Element.Gates[trigger]
	w.begin("when", "When ")
	w.chip(PartTrigger, Trigger(trigger, e.Element), "")
	if g == nil {
		w.Plain(": ")
		w.Out = append(w.Out, Chunk{Text: "choose what happens", Part: PartTarget, Bad: true})
		w.Plain(".")
		return w.Out
	}
	w.gate(g)
	return w.Out
}

// nothingYet asks for what happens: what is done when a screen is left leads nowhere.
func (w *Writer) nothingYet(caseID string) Chunk {
	if w.leaves() {
		return Chunk{Text: "choose what is done", Part: PartDo, Case: caseID, Bad: true}
	}
	return Chunk{Text: "choose what happens", Part: PartTarget, Case: caseID, Bad: true}
}

// leaves says whether the way is taken when the screen is left.
func (w *Writer) leaves() bool {
	if w.Element == nil {
		return false
	}
	way := project.WayOf(w.Element.Element)
	return way != nil && way.OnLeaving()
}

// Writer writes sentences about one element, as chunks.
type Writer struct {
	plan.Scene
	Called *Called // nil: records stand by their keys
	Out    []Chunk
}

// begin is plain words that stand between two lines, where a sentence is told in lines.
func (w *Writer) begin(line, text string) {
	w.Out = append(w.Out, Chunk{Text: text, Line: line})
}

// Plain writes words that nothing can be changed at.
func (w *Writer) Plain(text string) { w.Out = append(w.Out, Chunk{Text: text}) }

func (w *Writer) chip(part Part, text, tone string) {
	w.Out = append(w.Out, Chunk{Text: text, Part: part, Tone: tone})
}

func (w *Writer) gate(g *plan.Gate) {
	if g.Use != nil {
		w.use(g)
		if g.Gone {
			w.Plain(".")
			return
		}
	}
	w.begin("for", ", for ")
	w.chip(PartRoles, Roles(w.App, g.Roles), "")
	if g.While != "" {
		w.begin("while", ", while ")
		if g.Condition != nil {
			w.chip(PartWhile, w.Phrase(g.Condition.Root), "")
		} else {
			w.Out = append(w.Out, Chunk{Text: "“" + g.While + "”, which cannot be read", Part: PartWhile, Bad: true})
		}
	}
	w.begin("1", ": ")
	for i, c := range g.Cases {
		if i > 0 {
			w.begin("else", "; else ")
		}
		if c.Condition != nil {
			w.Plain("if ")
			w.Out = append(w.Out, Chunk{Text: w.Phrase(c.Condition.Root), Part: PartWhen, Case: c.ID})
			w.Plain(", ")
		}
		w.caseWords(g, c)
	}
	if len(g.Cases) == 0 {
		w.Out = append(w.Out, w.nothingYet(""))
	}
	w.Plain(".")
	if g.While == "" {
		return
	}
	w.begin("otherwise", " Otherwise ")
	if g.Otherwise.Grey == "" {
		w.chip(PartOtherwise, "hide it", "")
	} else {
		w.chip(PartOtherwise, "greyed: “"+shown(g.Grey, g.Otherwise.Grey)+"”", "")
	}
	w.Plain(".")
}

func (w *Writer) caseWords(g *plan.Gate, c *plan.Case) {
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
		w.chip(PartConfirm, "ask “"+shown(g.Question, g.Confirm)+"”", "")
	}
	for _, e := range c.Effects {
		then()
		w.Out = append(w.Out, Chunk{Text: w.Effect(e), Part: PartDo, Case: c.ID, Item: e.ID})
	}
	if c.Move == nil {
		if first {
			w.Out = append(w.Out, w.nothingYet(c.ID))
			return
		}
		if w.leaves() {
			return // where to is not its affair
		}
		w.Plain(", and ")
		w.Out = append(w.Out, Chunk{Text: "stay here", Part: PartTarget, Case: c.ID})
		return
	}
	then()
	w.move(c)
}

// use says which shared gate a way goes through, and what it is given.
func (w *Writer) use(g *plan.Gate) {
	w.Plain(", through ")
	if g.Gone {
		w.Out = append(w.Out, Chunk{Text: "a shared gate that is gone", Part: PartUse, Bad: true})
		return
	}
	w.chip(PartUse, "“"+g.Shared.Name+"”", "")
	for i, in := range project.Ordered(g.Shared.Inputs) {
		b := g.Given[in.ID]
		if b == nil && !in.Required {
			continue
		}
		w.Plain(map[bool]string{true: " with ", false: ", "}[i == 0] + english.Lower(in.Label) + " ")
		chunk := Chunk{Part: PartGive, Tone: "record", Item: in.ID}
		if b == nil {
			chunk.Text, chunk.Bad = "choose which "+english.Lower(in.Label), true
		} else {
			chunk.Text = w.BindingWords(b, in)
		}
		w.Out = append(w.Out, chunk)
	}
	w.Shared = g.Shared
}

func (w *Writer) move(c *plan.Case) { saidMove(c).Say(w, c) }

// Opened says in which mode and how a target opens.
func (w *Writer) Opened(c *plan.Case, modes bool) {
	mode := c.Move.Mode
	if mode == "" {
		mode = "view"
	}
	if modes {
		w.Plain(" to ")
		w.Out = append(w.Out, Chunk{Text: mode, Part: PartMode, Case: c.ID})
	}
	w.spot(c)
	w.Plain(", ")
	w.as(c)
}

// as says how a target opens.
func (w *Writer) as(c *plan.Case) {
	as := map[string]string{"": "in full", "full": "in full", "dialog": "as a dialog", "drawer": "as a drawer", "replace": "in place of this", "tab": "in a new tab"}[c.Move.As]
	w.Out = append(w.Out, Chunk{Text: as, Part: PartAs, Case: c.ID})
	if c.Back != nil {
		w.Plain(", and when it comes back ")
		text, wired := w.backWords(c.Back)
		w.Out = append(w.Out, Chunk{Text: text, Part: PartBack, Case: c.ID, Bad: !wired})
	}
}

// spot says where in the target one is led to.
func (w *Writer) spot(c *plan.Case) {
	m := c.Move.Only()
	if m == nil || m.Spot == "" || m.Target == nil {
		return
	}
	w.Plain(" at ")
	words, ok := Spot(w.App, w.App.Behind(m), m.Spot)
	w.Out = append(w.Out, Chunk{Text: words, Part: PartSpot, Case: c.ID, Bad: !ok})
	if m.SpotRow != nil {
		w.Plain(", at ")
		w.Out = append(w.Out, Chunk{Text: w.BindingWords(m.SpotRow, plan.SpotInput(w.App.SpotList(m))), Part: PartSpotRow, Tone: "record", Case: c.ID})
	}
}

// Spot names a spot of a screen; false when it is gone.
func Spot(a *plan.App, s *project.Screen, spot string) (string, bool) {
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
	if plan := a.ElementAt(s.ID, element); plan != nil {
		return "“" + Element(a, s, plan) + "”", true
	}
	return "“" + e.Kind + "”", true
}

// Carries says what is passed on by name, spelt out.
func (w *Writer) Carries(c *plan.Case) {
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
	w.Plain(", carrying ")
	w.Out = append(w.Out, Chunk{Text: text, Part: PartCarry, Tone: "record", Case: c.ID})
}

// RecordWord says what one record of a list of the screen, or of the screen itself, is called.
func (w *Writer) RecordWord(list string) string {
	table := w.Screen.RecordTable()
	if e := w.Screen.Elements[list]; e != nil {
		if l := project.ListOf(e); l != nil {
			table = l.Table
		}
	}
	if t := w.App.Project.Tables[table]; t != nil {
		return t.One
	}
	return "record"
}

// Bindings writes what a target of a case gets.
func (w *Writer) Bindings(caseID string, m *plan.Lead) {
	var carried []*project.Input
	for _, in := range project.Ordered(m.Target.Inputs) {
		if in.ID != m.Target.Record {
			carried = append(carried, in)
			continue
		}
		if m.Carried[in.ID] != "" {
			continue
		}
		w.Plain(" on ")
		if m.Mode == "add" {
			w.Out = append(w.Out, Chunk{Text: w.newRecord(m), Part: PartRecord, Tone: "record", Case: caseID, Item: in.ID, Among: m.ID})
			continue
		}
		w.binding(caseID, m, in)
	}
	said := false
	for _, in := range carried {
		if m.Bind[in.ID] == nil && (!in.Required || m.Carried[in.ID] != "") {
			continue
		}
		w.Plain(map[bool]string{false: " with ", true: ", "}[said] + english.Lower(in.Label) + " ")
		said = true
		w.binding(caseID, m, in)
	}
}

func (w *Writer) binding(caseID string, m *plan.Lead, in *project.Input) {
	b := m.Bind[in.ID]
	chunk := Chunk{Part: PartRecord, Tone: "record", Case: caseID, Item: in.ID, Among: m.ID}
	if b == nil {
		chunk.Text, chunk.Bad = "choose which "+english.Lower(in.Label), true
		w.Out = append(w.Out, chunk)
		return
	}
	chunk.Text = w.BindingWords(b, in)
	w.Out = append(w.Out, chunk)
	if b.None != "" && b.None != "grey" { // greyed is what everybody expects
		w.Plain(" (")
		w.Out = append(w.Out, Chunk{Text: noneWords(b.None), Part: PartNone, Case: caseID, Item: in.ID, Among: m.ID})
		w.Plain(")")
	}
}

// noneWords says what happens where there is no record.
func noneWords(none string) string {
	return "if none: " + map[string]string{"": "greyed", "grey": "greyed", "list": "open the list", "add": "offer to add", "stay": "say so", "round": "go round"}[none]
}

func (w *Writer) newRecord(m *plan.Lead) string {
	t := w.App.Project.Tables[m.Target.RecordTable()]
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
		fills = append(fills, english.Lower(f.Label)+" = "+w.ValueWords(m.Set[field], f.References))
	}
	if len(fills) > 0 {
		text += ", with " + strings.Join(fills, ", ")
	}
	return text
}
