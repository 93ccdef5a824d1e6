package nav

import (
	"fmt"
	"maps"
	"net/url"
	"slices"
	"strings"

	"github.com/yosida95/uritemplate/v3"

	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/project"
)

// addressMove leads to a web address, made by a URI Template (RFC 6570).
type addressMove struct {
	project.MoveHead
	Address string            `json:"address"`
	With    map[string]string `json:"with,omitempty"` // variable → expression

	template *uritemplate.Template // nil where the address is no template
	wrong    error                 // why it is none
}

// schemes are those of addresses that a gate may lead to.
var schemes = []string{"https", "http", "mailto", "tel"}

// Validate asks for an address of a known kind that says its host in full. A template that cannot
// be read is a finding, not an error.
func (spec *addressMove) Validate() error {
	scheme, _, ok := strings.Cut(spec.Address, ":")
	if !ok || !slices.Contains(schemes, scheme) {
		return fmt.Errorf("a web address begins with https:, http:, mailto: or tel:")
	}
	if head, _, _ := strings.Cut(spec.Address, "{"); strings.HasPrefix(scheme, "http") {
		if u, err := url.Parse(head); err != nil || u.Host == "" || u.Path == "" && strings.Contains(spec.Address, "{") {
			return fmt.Errorf("a web address says its host in full before anything is filled in: https://host/…")
		}
	}
	spec.template, spec.wrong = uritemplate.New(spec.Address)
	return nil
}

func (spec *addressMove) Plan(b *planner, m *MovePlan) {
	m.Exprs = b.exprs("address", spec.With)
	if spec.wrong != nil {
		b.broken("address", spec.Address, cond.Problem{Message: "This is no URI Template: " + spec.wrong.Error() + ".", Length: len([]rune(spec.Address))})
		return
	}
	for _, name := range spec.template.Varnames() {
		if spec.With[name] == "" {
			b.broken("address", spec.Address, cond.Problem{Message: "Nothing says what “" + name + "” is.", Length: len([]rune(spec.Address))})
		}
	}
}

func (spec *addressMove) Aim(_ *Opening, v *Verdict, m *MovePlan, w *world, _ aim) {
	if spec.template == nil {
		*v = Verdict{State: "greyed", By: "broken", Reason: "The address it led to cannot be read.", Part: v.Part}
		return
	}
	values := uritemplate.Values{}
	for _, name := range slices.Sorted(maps.Keys(m.Exprs)) {
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
	address, err := spec.template.Expand(values)
	if err != nil || !sameHost(spec.Address, address) {
		*v = Verdict{State: "greyed", By: "broken", Reason: "No address comes of these values.", Part: v.Part}
		return
	}
	v.Leave, v.As = address, spec.As
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

func (*addressMove) Now(v Verdict) string { return "leads to " + v.Leave }

func (spec *addressMove) Say(w *sentenceWriter, c *CasePlan) {
	w.plain("go to ")
	w.out = append(w.out, Chunk{Text: spec.Address, Part: "target", Tone: "target", Case: c.ID, Bad: spec.template == nil})
	w.with(c, spec.With)
}

// with says what fills in an address, or the inputs of another project's screen, and how it opens.
func (w *sentenceWriter) with(c *CasePlan, with map[string]string) {
	for i, name := range slices.Sorted(maps.Keys(with)) {
		w.plain(map[bool]string{true: " with ", false: ", "}[i == 0] + name + " = ")
		chunk := Chunk{Text: "“" + with[name] + "”, which cannot be read", Part: "with", Tone: "record", Case: c.ID, Item: name, Bad: true}
		if e := c.Move.Exprs[name]; e != nil {
			chunk.Text, chunk.Bad = w.valueWords(e, ""), false
		}
		w.out = append(w.out, chunk)
	}
	w.plain(", ")
	w.as(c)
}

func (spec *addressMove) Plate(_ *sentenceWriter, plate *Plate, _ *CasePlan) {
	head, _, _ := strings.Cut(spec.Address, "{")
	plate.Title, plate.Glyph, plate.How = strings.TrimSuffix(head, "/"), "web", "web address"
	if u, err := url.Parse(head); err == nil && u.Host != "" {
		plate.Title = u.Host
	}
}

// projectMove opens a screen that another project offers.
type projectMove struct {
	project.MoveHead
	Project string            `json:"project"`        // slug
	Entry   string            `json:"entry"`          // slug of the screen
	With    map[string]string `json:"with,omitempty"` // input → expression
}

// Validate asks for both.
func (spec *projectMove) Validate() error {
	if spec.Project == "" || spec.Entry == "" {
		return fmt.Errorf("a screen of another project needs that project and one of the screens it offers")
	}
	return nil
}

// LeadsOut gives the project, its screen and the texts that its inputs are worked out by.
func (spec *projectMove) LeadsOut() (slug, entry string, with map[string]string) {
	return spec.Project, spec.Entry, spec.With
}

func (spec *projectMove) Plan(b *planner, m *MovePlan) { m.Exprs = b.exprs("binding", spec.With) }

func (spec *projectMove) Aim(o *Opening, v *Verdict, m *MovePlan, w *world, _ aim) {
	closed := func(reason string) {
		*v = Verdict{State: "greyed", By: "broken", Reason: reason, Part: v.Part, chosen: v.chosen}
	}
	if o.others == nil {
		closed("Other projects cannot be reached from here.")
		return
	}
	other := o.others(spec.Project)
	if other == nil {
		closed("The project “" + spec.Project + "” has no release.")
		return
	}
	s := other.Project.ScreenBySlug(spec.Entry)
	if s == nil || !s.Offered {
		closed("“" + other.Project.Settings.Title + "” does not offer “" + spec.Entry + "” any more.")
		return
	}
	to := Place{Screen: s.ID, Mode: spec.Mode, Inputs: map[string]string{}}
	if to.Mode == "" {
		to.Mode = "view"
	}
	for id, in := range s.Inputs {
		if _, given := spec.With[in.Alias]; !given {
			if in.Required && !(id == s.Record && to.Mode == "add") {
				closed("“" + s.Title + "” needs to know which " + english.Lower(in.Label) + "; nothing says which.")
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
			reason := spec.Reason
			if reason == "" {
				reason = "There is no " + english.Lower(in.Label) + " here."
			}
			*v = Verdict{State: "greyed", By: "record", Reason: reason, Part: v.Part, chosen: v.chosen}
			return
		case !value.IsNull():
			to.Inputs[id] = value.Wire()
		}
	}
	v.Leave, v.As = "/use/"+spec.Project+to.Address(other.Project), spec.As
}

func (*projectMove) Now(v Verdict) string { return "leads to " + v.Leave }

func (spec *projectMove) Say(w *sentenceWriter, c *CasePlan) {
	w.plain("open ")
	w.out = append(w.out, Chunk{Text: spec.Entry + " of the project " + spec.Project, Part: "target", Tone: "target", Case: c.ID})
	w.with(c, spec.With)
}

func (spec *projectMove) Plate(_ *sentenceWriter, plate *Plate, _ *CasePlan) {
	plate.Title, plate.Glyph, plate.How = spec.Entry, "project", "of "+spec.Project
}
