package nav

import (
	"net/url"
	"strings"

	"github.com/yosida95/uritemplate/v3"

	"ambergate/core/cond"
)

// addressMove leads to a web address, made by a URI Template (RFC 6570).
type addressMove struct{}

func (addressMove) plan(b *planner, m *MovePlan) {
	m.Exprs = b.exprs("address", m.With)
	t, err := uritemplate.New(m.Address)
	if err != nil {
		b.broken("address", m.Address, cond.Problem{Message: "This is no URI Template: " + err.Error() + ".", Length: len([]rune(m.Address))})
		return
	}
	for _, name := range t.Varnames() {
		if m.With[name] == "" {
			b.broken("address", m.Address, cond.Problem{Message: "Nothing says what “" + name + "” is.", Length: len([]rune(m.Address))})
		}
	}
	m.Template = t
}

func (addressMove) aim(o *Opening, v *Verdict, m *MovePlan, w *world, _ aim) {
	if m.Template == nil {
		*v = Verdict{State: "greyed", By: "broken", Reason: "The address it led to cannot be read.", Part: v.Part}
		return
	}
	values := uritemplate.Values{}
	for _, name := range sortedKeys(m.Exprs) {
		if m.Exprs[name] == nil {
			*v = Verdict{State: "greyed", By: "broken", Reason: "A part of the address it led to cannot be read.", Part: v.Part}
			return
		}
		value := m.Exprs[name].Root.Eval(w)
		if !value.Known() {
			*v = Verdict{State: "greyed", By: "unknown", Reason: "Value not available: " + value.Why() + ".", Part: v.Part, chosen: v.chosen}
			return
		}
		if !value.IsNull() {
			values.Set(name, uritemplate.String(value.Wire()))
		}
	}
	address, err := m.Template.Expand(values)
	if err != nil || !sameHost(m.Address, address) {
		*v = Verdict{State: "greyed", By: "broken", Reason: "No address comes of these values.", Part: v.Part}
		return
	}
	v.Leave, v.As = address, m.As
}

// sameHost says whether an address leads where its template says in full: what is filled in
// can neither change the scheme nor the host.
func sameHost(template, address string) bool {
	head, _, _ := strings.Cut(template, "{")
	want, err := url.Parse(head)
	if err != nil {
		return false
	}
	got, err := url.Parse(address)
	return err == nil && got.Scheme == want.Scheme && got.Host == want.Host && strings.HasPrefix(address, head)
}

func (addressMove) now(v Verdict) string { return "leads to " + v.Leave }

func (addressMove) words(w *sentenceWriter, c *CasePlan) {
	w.plain("go to ")
	w.out = append(w.out, Chunk{Text: c.Move.Address, Part: "target", Tone: "target", Case: c.ID, Bad: c.Move.Template == nil})
	w.with(c)
}

// with says what fills in an address, or the inputs of another project's screen, and how it opens.
func (w *sentenceWriter) with(c *CasePlan) {
	for i, name := range sortedKeys(c.Move.With) {
		w.plain(map[bool]string{true: " with ", false: ", "}[i == 0] + name + " = ")
		chunk := Chunk{Text: "“" + c.Move.With[name] + "”, which cannot be read", Part: "with", Tone: "record", Case: c.ID, Item: name, Bad: true}
		if e := c.Move.Exprs[name]; e != nil {
			chunk.Text, chunk.Bad = w.valueWords(e, ""), false
		}
		w.out = append(w.out, chunk)
	}
	w.plain(", ")
	w.as(c)
}

func (addressMove) plate(w *sentenceWriter, way *WayOut, c *CasePlan) {
	head, _, _ := strings.Cut(c.Move.Address, "{")
	way.Title, way.Glyph, way.How = strings.TrimSuffix(head, "/"), "web", "web address"
	if u, err := url.Parse(head); err == nil && u.Host != "" {
		way.Title = u.Host
	}
}

// projectMove opens a screen that another project offers.
type projectMove struct{}

func (projectMove) plan(b *planner, m *MovePlan) { m.Exprs = b.exprs("binding", m.With) }

func (projectMove) aim(o *Opening, v *Verdict, m *MovePlan, w *world, _ aim) {
	closed := func(reason string) {
		*v = Verdict{State: "greyed", By: "broken", Reason: reason, Part: v.Part, chosen: v.chosen}
	}
	if o.others == nil {
		closed("Other projects cannot be reached from here.")
		return
	}
	other := o.others(m.Project)
	if other == nil {
		closed("The project “" + m.Project + "” has no release.")
		return
	}
	s := other.Project.ScreenBySlug(m.Entry)
	if s == nil || !s.Offered {
		closed("“" + other.Project.Settings.Title + "” does not offer “" + m.Entry + "” any more.")
		return
	}
	to := Place{Screen: s.ID, Mode: m.Mode, Inputs: map[string]string{}}
	if to.Mode == "" {
		to.Mode = "view"
	}
	for id, in := range s.Inputs {
		if _, given := m.With[in.Alias]; !given {
			if in.Required && !(id == s.Record && to.Mode == "add") {
				closed("“" + s.Title + "” needs to know which " + lowerLabel(in.Label) + "; nothing says which.")
				return
			}
			continue
		}
		e := m.Exprs[in.Alias]
		if e == nil {
			closed("A part of what it brings cannot be read.")
			return
		}
		value := e.Root.Eval(w)
		switch {
		case !value.Known():
			*v = Verdict{State: "greyed", By: "unknown", Reason: "Value not available: " + value.Why() + ".", Part: v.Part, chosen: v.chosen}
			return
		case value.IsNull() && in.Required:
			reason := m.Reason
			if reason == "" {
				reason = "There is no " + lowerLabel(in.Label) + " here."
			}
			*v = Verdict{State: "greyed", By: "record", Reason: reason, Part: v.Part, chosen: v.chosen}
			return
		case !value.IsNull():
			to.Inputs[id] = value.Wire()
		}
	}
	v.Leave, v.As = "/use/"+m.Project+to.Address(other.Project), m.As
}

func (projectMove) now(v Verdict) string { return "leads to " + v.Leave }

func (projectMove) words(w *sentenceWriter, c *CasePlan) {
	w.plain("open ")
	w.out = append(w.out, Chunk{Text: c.Move.Entry + " of the project " + c.Move.Project, Part: "target", Tone: "target", Case: c.ID})
	w.with(c)
}

func (projectMove) plate(_ *sentenceWriter, way *WayOut, c *CasePlan) {
	way.Title, way.Glyph, way.How = c.Move.Entry, "project", "of "+c.Move.Project
}
