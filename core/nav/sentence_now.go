package nav

import (
	"fmt"
	"maps"
	"slices"
	"sort"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/project"
)

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
	w := sentenceWriter{scene: scene{app: o.app, screen: o.plan.Screen}, called: o.called}
	if v.pick != nil {
		does = append(does, "asks which "+v.pick.One)
	}
	for _, e := range v.chosen.Effects {
		does = append(does, w.effect(e))
	}
	if m := v.chosen.Move; m != nil {
		does = append(does, kindOf[AimedMove](m.Spec).Now(v))
	}
	if len(does) == 0 {
		return who + ": nothing is wired to this case yet."
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
		if in.Table != "" {
			words = o.titleNow(in.Table, wire)
		} else if v, err := cond.Parse(in.TypeOf(), wire); err == nil {
			words = o.world.say(v, in.TypeOf())
		}
		with = append(with, english.Lower(in.Label)+" "+words)
	}
	if p.Mode == "add" {
		text += ", a new one"
	}
	for _, field := range slices.Sorted(maps.Keys(p.Set)) {
		if f, _ := o.app.Project.FieldAt(s.RecordTable(), field); f != nil {
			value := p.Set[field]
			if f.References != "" {
				value = o.titleNow(f.References, value)
			} else if v, err := cond.Parse(f.TypeOf(), value); err == nil {
				value = o.world.say(v, f.TypeOf())
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
func (o *Opening) titleNow(table, key string) string {
	if r := o.world.record; r != nil && r.Table == table && r.Key == key {
		return o.world.title(r, table, "")
	}
	if title := o.titleOfParent(table, key); title != "" {
		return title
	}
	if title := o.called.of(table, key); title != "" {
		return title
	}
	return key
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
