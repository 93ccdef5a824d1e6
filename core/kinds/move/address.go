package move

import (
	"fmt"
	"maps"
	"net/url"
	"slices"
	"strings"

	"github.com/yosida95/uritemplate/v3"

	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Address leads to a web address, made by a URI Template (RFC 6570).
type Address struct {
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
func (spec *Address) Validate() error {
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

func (spec *Address) Plan(b *plan.Planner, m *plan.Move) {
	m.Exprs = b.Exprs("address", spec.With)
	if spec.wrong != nil {
		b.Broken("address", spec.Address, cond.Problem{Message: "This is no URI Template: " + spec.wrong.Error() + ".", Length: len([]rune(spec.Address))})
		return
	}
	for _, name := range spec.template.Varnames() {
		if spec.With[name] == "" {
			b.Broken("address", spec.Address, cond.Problem{Message: "Nothing says what “" + name + "” is.", Length: len([]rune(spec.Address))})
		}
	}
}

func (spec *Address) Aim(o *use.Opening, v *use.Verdict, m *plan.Move, w *use.World, _ use.Aim) {
	if o.KeptIn(v) {
		return
	}
	if spec.template == nil {
		*v = use.Verdict{State: use.StateGreyed, By: "broken", Reason: "The address it led to cannot be read.", Part: v.Part}
		return
	}
	values := uritemplate.Values{}
	for _, name := range slices.Sorted(maps.Keys(m.Exprs)) {
		if m.Exprs[name] == nil {
			*v = use.Verdict{State: use.StateGreyed, By: "broken", Reason: "A part of the address it led to cannot be read.", Part: v.Part}
			return
		}
		value := m.Exprs[name].Root.Eval(w)
		if !value.Known() {
			*v = use.Verdict{State: use.StateGreyed, By: "unknown", Reason: "Value not available: " + value.Why() + ".", Part: v.Part, Chosen: v.Chosen}
			return
		}
		if !value.IsNull() {
			values.Set(name, uritemplate.String(value.Wire()))
		}
	}
	address, err := spec.template.Expand(values)
	if err != nil || !sameHost(spec.Address, address) {
		*v = use.Verdict{State: use.StateGreyed, By: "broken", Reason: "No address comes of these values.", Part: v.Part}
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

func (*Address) Now(v use.Verdict) string { return "leads to " + v.Leave }

func (spec *Address) Say(w *words.Writer, c *plan.Case) {
	w.Plain("go to ")
	w.Out = append(w.Out, words.Chunk{Text: spec.Address, Part: words.PartTarget, Tone: "target", Case: c.ID, Bad: spec.template == nil})
	w.With(c, spec.With)
}

func (spec *Address) Plate(_ *words.Writer, plate *words.Plate, _ *plan.Case) {
	head, _, _ := strings.Cut(spec.Address, "{")
	plate.Title, plate.Glyph, plate.How = strings.TrimSuffix(head, "/"), "web", "web address"
	if u, err := url.Parse(head); err == nil && u.Host != "" {
		plate.Title = u.Host
	}
}
