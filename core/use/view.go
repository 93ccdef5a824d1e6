package use

import (
	"bytes"
	"encoding/json"
	"errors"

	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/words"
)

// View is a screen as it is drawn: everything was decided, the browser only shows it.
type View struct {
	Screen   string        `json:"screen"`
	Type     string        `json:"type"`
	Title    string        `json:"title"`
	Heading  string        `json:"heading"`
	Area     string        `json:"area,omitempty"`
	Mode     string        `json:"mode"`
	Bare     bool          `json:"bare,omitempty"` // without the strip
	Place    place.Place   `json:"place"`
	Address  string        `json:"address"` // after /use/<project>
	Record   *RecordInfo   `json:"record,omitempty"`
	Find     string        `json:"find,omitempty"`
	Context  []Chip        `json:"context,omitempty"` // what arrived and narrows the screen
	Aside    []ElementView `json:"-"`                 // fields that stand in another tab or step, and can be typed there
	Elements ElementViews  `json:"elements"`
	// Written is all of it as it stands on the wire, where it was written before; Elements are left out then.
	Written []byte     `json:"-"`
	Steps   *StepView  `json:"steps,omitempty"`
	Rails   []RailView `json:"rails,omitempty"`
	Ways    []WayView  `json:"ways,omitempty"`  // what sets off no element
	Vars    []VarInfo  `json:"vars,omitempty"`  // for builders: what variables hold
	Tells   bool       `json:"tells,omitempty"` // its position in the list come from can be asked for
	// Appearance is light or dark where the project says how screens of this kind look; "" as the user likes.
	Appearance string                     `json:"appearance,omitempty"`
	Palette    map[string]*project.Colour `json:"palette,omitempty"` // of the project
	Style      *StyleView                 `json:"style,omitempty"`
	// Language is how numbers and dates are written (BCP 47); "" for English.
	Language string `json:"language,omitempty"`
}

// RecordInfo names the screen's own record.
type RecordInfo struct {
	Table   string `json:"table"`
	Key     string `json:"key"`
	Title   string `json:"title"`
	Version string `json:"version"`
}

// Chip is one thing that narrows the screen: an input that arrived, or a filter. Clearing it shows more.
type Chip struct {
	Input string `json:"input,omitempty"`
	Path  string `json:"path,omitempty"` // of a filter
	Label string `json:"label"`
	Words string `json:"words"`
	Clear bool   `json:"clear"`
}

// ElementView is one element as it is drawn. What its kind shows stands in View; on the wire under
// the name of the kind.
type ElementView struct {
	ID     string       `json:"id"`
	Kind   string       `json:"kind"`
	Cell   project.Cell `json:"cell"`
	State  State        `json:"state"`            // shown, greyed, hidden (builders only)
	Reason string       `json:"reason,omitempty"` // why greyed, or hidden
	By     string       `json:"by,omitempty"`
	View   any          `json:"-"`
}

// MarshalJSON writes what the kind shows under its name, beside what every element has.
func (ev ElementView) MarshalJSON() ([]byte, error) {
	var out bytes.Buffer
	err := ev.write(&out, json.NewEncoder(&out))
	return out.Bytes(), err
}

// Cut stands in a view in the stead of its elements: encoders that surround them would read all that was written of them
// once more. On the wire it is the name of a member that no other object has.
const Cut = `{"\u0000":0}`

// Place is a view that holds the place of another one in what surrounds it, and PlaceOf is what stands there on the wire.
var (
	Place   = View{Elements: ElementViews{{Kind: Cut}}}
	PlaceOf = func() []byte {
		text, err := json.Marshal(&Place)
		if err != nil {
			panic("an empty view does not encode: " + err.Error())
		}
		return text
	}()
)

// Write writes a view as it stands on the wire. Its elements are most of it: they are written once, into their place, and
// not read again by the encoder of what stands around them.
func (v *View) Write(out *bytes.Buffer) error {
	if v.Written != nil {
		out.Write(v.Written)
		return nil
	}
	bare := *v
	bare.Elements = Place.Elements
	around, err := json.Marshal(&bare)
	if err != nil {
		return err
	}
	before, after, found := bytes.Cut(around, []byte(Cut))
	if !found {
		return errors.New("its elements have no place")
	}
	out.Grow(len(around) + 300*len(v.Elements))
	out.Write(before)
	err = v.Elements.Write(out)
	out.Write(after)
	return err
}

// write writes it by an encoder into the encoder's own buffer.
func (ev *ElementView) write(out *bytes.Buffer, encoder *json.Encoder) error {
	if ev.Kind == Cut {
		out.WriteString(Cut)
		return nil
	}
	type head ElementView
	if err := encoder.Encode((*head)(ev)); err != nil {
		return err
	}
	if ev.View == nil {
		return nil
	}
	out.Truncate(out.Len() - len("}\n"))
	out.WriteString(`,"`)
	out.WriteString(ev.Kind)
	out.WriteString(`":`)
	if err := encoder.Encode(ev.View); err != nil {
		return err
	}
	out.WriteByte('}')
	return nil
}

// ElementViews are those of one screen.
type ElementViews []ElementView

// MarshalJSON writes all of them into one buffer: a screen has hundreds.
func (views ElementViews) MarshalJSON() ([]byte, error) {
	var out bytes.Buffer
	out.Grow(256 * len(views))
	out.WriteByte('[')
	err := views.Write(&out)
	out.WriteByte(']')
	return out.Bytes(), err
}

// Write writes them one after the other, with commas between, to stand where Cut stands.
func (views ElementViews) Write(out *bytes.Buffer) error {
	encoder := json.NewEncoder(out)
	for i := range views {
		if i > 0 {
			out.WriteByte(',')
		}
		if err := views[i].write(out, encoder); err != nil {
			return err
		}
	}
	return nil
}

// UnmarshalJSON reads what MarshalJSON wrote.
func (ev *ElementView) UnmarshalJSON(data []byte) error {
	type head ElementView
	if err := json.Unmarshal(data, (*head)(ev)); err != nil || ev.Kind == "" {
		return err
	}
	spec, err := project.Elements.New(ev.Kind)
	if err != nil {
		return err
	}
	var parts map[string]json.RawMessage
	if err := json.Unmarshal(data, &parts); err != nil {
		return err
	}
	ev.View = plan.KindOf[ElementKind](spec).NewView()
	return json.Unmarshal(parts[ev.Kind], ev.View)
}

// View draws the screen from what was fetched and the live values of now.
func (o *Opening) View() *View {
	s := o.Plan.Screen
	v := &View{
		Screen: s.ID, Type: s.Type, Title: s.Title, Heading: s.Title, Area: s.Area, Mode: o.At.Mode, Bare: s.Bare, Appearance: o.App.Project.Settings.Appearance[s.Type], Language: o.App.Project.Settings.Language, Palette: o.App.Project.Settings.Palette, Style: o.style(),
		Place: o.At, Find: o.At.Find, Address: o.At.Address(o.App.Project), Elements: make([]ElementView, 0, len(o.Plan.Elements)), Context: o.chips(),
	}
	if o.At.Mode == "add" {
		if t := o.App.Project.Tables[s.RecordTable()]; t != nil {
			v.Heading = "New " + t.One
		}
	} else if o.Plan.Heading != nil {
		v.Heading = o.Plan.Heading.Say(o.World, o.World.Say)
	}
	if r := o.World.Record; r != nil {
		v.Record = &RecordInfo{Table: r.Table, Key: r.Key, Title: o.World.Title(r, r.Table, ""), Version: r.Version}
	}
	v.Steps, v.Tells = o.stepView(), s.Position && o.Steps != nil
	for _, e := range o.Plan.Elements {
		n := len(v.Elements)
		v.Elements = v.Elements[:n+1] // there is room for all
		if o.drawInto(&v.Elements[n], e) {
			continue
		}
		v.Elements[n] = ElementView{}
		v.Elements = v.Elements[:n]
		if _, typed := e.Spec.(edited); typed && e.Tab != "" && o.At.Mode != "view" {
			ev := ElementView{ID: e.ID, Kind: e.Kind}
			elementKind(e).View(o, e, &ev)
			v.Aside = append(v.Aside, ev)
		}
	}
	v.Ways, v.Rails, v.Vars = o.wayViews(), o.railViews(), o.varInfos()
	return v
}

// Ghosts says whether what is hidden stays in the view: for builders.
func (o *Opening) Ghosts() bool { return o.ghosts }

// WayView is a way that no element sets off.
type WayView struct {
	ID      string  `json:"id"`
	Trigger string  `json:"trigger"` // swipe, entered, left, time, keys
	Side    string  `json:"side,omitempty"`
	After   float64 `json:"after,omitempty"` // seconds
	Since   string  `json:"since,omitempty"` // what they are counted from: arrival (none said), touch
	Keys    string  `json:"keys,omitempty"`
	Words   string  `json:"words"` // what it does, for people
}

// wayViews gives the ways that no element sets off, as far as they are open: a shut one does nothing.
func (o *Opening) wayViews() []WayView {
	var out []WayView
	for _, e := range o.Plan.Off {
		w := project.WayOf(e.Element)
		for _, g := range e.Gates {
			if v := o.Judge(g, Aim{}); v.Open() && v.Stay == "" {
				wv := WayView{ID: w.ID, Trigger: w.Trigger, Words: words.PlateTitle(o.App, o.Plan, e, g)}
				if spec, ok := w.Spec.(DrawnWay); ok {
					spec.Draw(&wv)
				}
				out = append(out, wv)
			}
		}
	}
	return out
}

// Draw draws one element; false when users do not get to see it.
func (o *Opening) Draw(e *plan.Element) (ElementView, bool) {
	var ev ElementView
	drawn := o.drawInto(&ev, e)
	return ev, drawn
}

// drawInto draws one element into an empty view of it.
func (o *Opening) drawInto(ev *ElementView, e *plan.Element) bool {
	ev.ID, ev.Kind, ev.Cell, ev.State = e.ID, e.Kind, e.Cell, StateShown
	if o.aside(e) {
		return false // for builders too
	}
	by, reason := o.unshown(e)
	if by != "" && !o.ghosts {
		return false
	}
	elementKind(e).View(o, e, ev)
	if by != "" {
		ev.State, ev.By, ev.Reason = StateHidden, by, reason
	}
	return ev.State != StateHidden || o.ghosts
}

// chips tells what arrived with the place and narrows it: nothing narrows a screen unseen.
func (o *Opening) chips() []Chip {
	var out []Chip
	s := o.Plan.Screen
	for _, in := range project.Ordered(s.Inputs) {
		v := o.World.Inputs[in.ID]
		if in.ID == s.Record || v.IsNull() {
			continue
		}
		words := o.World.Say(v, in.TypeOf())
		if several := o.severalOf(in); len(several) > 0 {
			words = o.severalWords(in, several)
		}
		if row := o.World.InputRows[in.ID]; row != nil {
			words = o.World.Title(row, in.Table, "")
		}
		out = append(out, Chip{Input: in.ID, Label: in.Label, Words: words, Clear: !in.Required})
	}
	for _, f := range o.At.Filters {
		c, _ := o.App.Project.FieldAt(s.ListTable(), f.Path)
		if c == nil {
			continue
		}
		out = append(out, Chip{Path: f.Path, Label: c.Label, Words: f.Words(c, o.App.Language, o.zone()), Clear: true})
	}
	return out
}
