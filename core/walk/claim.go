package walk

import (
	"context"
	"encoding/json"
	"fmt"
	"slices"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/kinds/element"
	"ambergate/core/project"
	"ambergate/core/use"
)

func (r *runner) claimed(s *project.WalkStep) string {
	return (&teller{app: r.app, here: r.spot().top().Screen}).claimed(s)
}

// claims looks whether something is as a step claims; a *Difference where it is not.
func (r *runner) claims(ctx context.Context, s *project.WalkStep) error {
	if s.Is == "finds" {
		return r.finds(ctx, s)
	}
	if s.Is == "left" {
		if r.left == "" || !strings.Contains(r.left, s.Words) {
			return &Difference{Expected: r.claimed(s), Found: map[bool]string{true: "it was not left", false: "it was left for “" + r.left + "”"}[r.left == ""]}
		}
		return nil
	}
	o, err := r.open(ctx, *r.spot().top(), use.Sources{Ghosts: true})
	if err != nil {
		return err
	}
	view := o.View()
	if s.Is == "at" {
		return r.standsAt(ctx, s, o, view)
	}
	e, there := elementOn(view, s.Element)
	if !there {
		return &Difference{Expected: r.claimed(s), Found: "it does not stand on “" + view.Title + "”"}
	}
	switch s.Is {
	case "open", "greyed", "hidden":
		return r.stateIs(s, e)
	case "rows":
		l, is := e.View.(*element.ListView)
		if !is {
			return &Difference{Expected: r.claimed(s), Found: "it is no list"}
		}
		if l.Count != *s.Count || l.More {
			d := &Difference{Expected: english.Count(*s.Count, "row", "rows"), Found: rowsWords(l)}
			if !l.More {
				d.Now = asNow(s, func(now *project.WalkStep) { now.Count = &l.Count })
			}
			return d
		}
		return nil
	}
	shown := texts(e.View)
	if f, is := fieldOf(o, s.Element); is { // what was typed stands there, not yet in the record
		if v, typed := r.typedAt(*r.spot().top())[f.FieldPath()]; typed {
			shown = []string{v}
		}
	}
	if !slices.ContainsFunc(shown, func(t string) bool { return strings.Contains(t, s.Words) }) {
		d := &Difference{Expected: "“" + s.Words + "”", Found: quoted(shown)}
		if len(shown) == 1 {
			d.Now = asNow(s, func(now *project.WalkStep) { now.Words = shown[0] })
		}
		return d
	}
	return nil
}

// fieldOf gives an element as a field that can be typed in, if it is one.
func fieldOf(o *use.Opening, id string) (interface{ FieldPath() string }, bool) {
	for _, e := range o.Plan.Elements {
		if e.ID == id {
			f, is := e.Spec.(interface{ FieldPath() string })
			return f, is
		}
	}
	return nil, false
}

func rowsWords(l *element.ListView) string {
	if l.More {
		return fmt.Sprintf("more than %d", l.Count)
	}
	return english.Count(l.Count, "row", "rows")
}

// standsAt looks where one stands.
func (r *runner) standsAt(ctx context.Context, s *project.WalkStep, o *use.Opening, view *use.View) error {
	found := "“" + view.Title + "”"
	if view.Heading != view.Title {
		found += ", “" + view.Heading + "”"
	}
	if o.At.Mode != "view" {
		found += ", to " + o.At.Mode
	}
	d := &Difference{Expected: r.claimed(s), Found: found, Why: r.why}
	var err error
	if d.Now, err = r.standing(ctx, s, o, view); err != nil {
		return err
	}
	if view.Screen != s.Screen || s.Mode != "" && s.Mode != o.At.Mode || s.Words != "" && s.Words != view.Heading {
		return d
	}
	screen := r.app.Project.Screens[s.Screen]
	want, err := r.keys(ctx, func(id string) string { return tableOf(screen.Inputs[id]) }, s.Inputs)
	if err != nil {
		return err
	}
	for id, key := range want {
		if o.At.Inputs[id] != key {
			if in := screen.Inputs[id]; in != nil {
				d.Found += ", with another " + english.Lower(in.Label)
			}
			return d
		}
	}
	return nil
}

// stateIs looks whether an element is open, greyed or hidden.
func (r *runner) stateIs(s *project.WalkStep, e use.ElementView) error {
	is := map[use.State]string{use.StateShown: "open", use.StateOpen: "open", use.StateGreyed: "greyed", use.StateHidden: "hidden"}[e.State]
	found := is
	if e.Reason != "" && is != "open" {
		found += ": " + e.Reason
	}
	if is != s.Is || s.Words != "" && !strings.Contains(e.Reason, s.Words) {
		return &Difference{Expected: r.claimed(s), Found: found, Now: asNow(s, func(now *project.WalkStep) {
			now.Is = is
			if now.Words != "" {
				now.Words = e.Reason
			}
		})}
	}
	return nil
}

// asNow gives a step with something else in it.
func asNow(s *project.WalkStep, change func(now *project.WalkStep)) *project.WalkStep {
	now := *s
	change(&now)
	return &now
}

// standing claims of where one stands now as much as a step claims.
func (r *runner) standing(ctx context.Context, s *project.WalkStep, o *use.Opening, view *use.View) (*project.WalkStep, error) {
	now := asNow(s, func(now *project.WalkStep) {
		now.Screen, now.Inputs = view.Screen, nil
		if s.Mode != "" {
			now.Mode = o.At.Mode
		}
		if s.Words != "" {
			now.Words = view.Heading
		}
	})
	if len(s.Inputs) == 0 {
		return now, nil
	}
	now.Inputs = map[string]*project.Named{}
	n := namer{r.finder, map[[2]string]*project.Named{}}
	for id, key := range o.At.Inputs {
		now.Inputs[id] = &project.Named{Key: key}
		if err := n.in(ctx, tableOf(o.Plan.Screen.Inputs[id]), now.Inputs, id); err != nil {
			return nil, err
		}
	}
	return now, nil
}

func elementOn(v *use.View, id string) (use.ElementView, bool) {
	all := slices.Clone(v.Elements)
	for _, rail := range v.Rails {
		all = append(all, rail.Elements...)
	}
	for _, e := range all {
		if e.ID == id {
			return e, true
		}
	}
	return use.ElementView{}, false
}

// texts gives all texts that an element shows: what it says, and what stands in it.
func texts(view any) []string {
	text, err := json.Marshal(view)
	if err != nil {
		return nil
	}
	var v any
	if json.Unmarshal(text, &v) != nil {
		return nil
	}
	var out []string
	var look func(v any)
	look = func(v any) {
		switch v := v.(type) {
		case string:
			if v != "" {
				out = append(out, v)
			}
		case []any:
			for _, one := range v {
				look(one)
			}
		case map[string]any:
			for _, one := range v {
				look(one)
			}
		}
	}
	look(v)
	slices.Sort(out)
	return out
}

const mostQuoted = 6

func quoted(all []string) string {
	if len(all) == 0 {
		return "nothing"
	}
	more := max(0, len(all)-mostQuoted)
	out := "“" + strings.Join(all[:len(all)-more], "”, “") + "”"
	if more > 0 {
		out += fmt.Sprintf(" and %d more", more)
	}
	return out
}

// decided says the parts of a condition that made it what it is.
func decided(p cond.Part) string {
	var out []string
	var look func(p cond.Part)
	look = func(p cond.Part) {
		if !p.Decides {
			return
		}
		if len(p.Parts) == 0 {
			switch {
			case p.State == "unknown" && p.Why != "":
				out = append(out, "“"+p.Words+"” is not known: "+p.Why)
			case p.State == "no":
				out = append(out, "“"+p.Words+"” does not hold")
			default:
				out = append(out, "“"+p.Words+"” holds")
			}
		}
		for _, part := range p.Parts {
			look(part)
		}
	}
	look(p)
	return english.List(out, "and")
}

// heading says where one stands.
func (r *runner) heading(ctx context.Context) (string, error) {
	o, err := r.open(ctx, *r.spot().top(), use.Sources{Bare: true})
	if err != nil {
		if _, is := differs(err); is {
			return "", nil // it is told when something is done there
		}
		return "", err
	}
	return o.View().Heading, nil
}
