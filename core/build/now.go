package build

import (
	"fmt"
	"maps"
	"slices"
	"sort"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// now says what a way does right now for the walked user and record, or why it is closed.
func (o margin) now(v use.Verdict) string {
	who := "For " + o.World.User.Name
	if r := o.World.Record; r != nil {
		who += fmt.Sprintf(", on %s %s", o.App.Project.Tables[r.Table].One, o.World.Title(r, r.Table, ""))
	}
	if !v.Open() {
		return who + ": " + v.Reason
	}
	if v.To != nil {
		return who + ": " + o.placeWords(*v.To) + "."
	}
	if v.Stay != "" {
		return who + ": stays and says “" + v.Stay + "”."
	}
	var does []string
	w := words.Writer{Scene: plan.Scene{App: o.App, Screen: o.Plan.Screen}, Called: o.called}
	if v.Pick != nil {
		does = append(does, "asks which "+v.Pick.One)
	}
	for _, e := range v.Chosen.Effects {
		does = append(does, w.Effect(e))
	}
	if m := v.Chosen.Move; m != nil {
		does = append(does, plan.KindOf[use.MoveKind](m.Spec).Now(v))
	}
	if len(does) == 0 {
		return who + ": nothing is wired to this case yet."
	}
	return who + ": " + strings.Join(does, ", then ") + "."
}

// placeWords names a place with what it opens on.
func (o margin) placeWords(p place.Place) string {
	s := o.App.Project.Screens[p.Screen]
	text := s.Title
	var with []string
	for _, in := range project.Ordered(s.Inputs) {
		wire := p.Inputs[in.ID]
		if wire == "" {
			continue
		}
		words := wire
		if in.Table != "" {
			words = o.titleNow(in.Table, wire)
		} else if v, err := cond.Parse(in.TypeOf(), wire); err == nil {
			words = o.World.Say(v, in.TypeOf())
		}
		with = append(with, english.Lower(in.Label)+" "+words)
	}
	if p.Mode == "add" {
		text += ", a new one"
	}
	for _, field := range slices.Sorted(maps.Keys(p.Set)) {
		if f, _ := o.App.Project.FieldAt(s.RecordTable(), field); f != nil {
			value := p.Set[field]
			if f.References != "" {
				value = o.titleNow(f.References, value)
			} else if v, err := cond.Parse(f.TypeOf(), value); err == nil {
				value = o.World.Say(v, f.TypeOf())
			}
			with = append(with, english.Lower(f.Label)+" "+value+" filled in")
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

// titleNow says a record by its title, as far as it is at hand; else by its key.
func (o margin) titleNow(table, key string) string {
	if r := o.World.Record; r != nil && r.Table == table && r.Key == key {
		return o.World.Title(r, table, "")
	}
	if title := titleOfParent(o.Opening, table, key); title != "" {
		return title
	}
	if title := o.called.Of(table, key); title != "" {
		return title
	}
	return key
}

// titleOfParent finds the title of a record that the screen's own record refers to.
func titleOfParent(o *use.Opening, table, key string) string {
	r := o.World.Record
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
		if f, _ := o.App.Project.FieldAt(r.Table, path); f != nil && f.References == table {
			return o.World.Title(r, table, path)
		}
	}
	return ""
}
