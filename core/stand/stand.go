package stand

import (
	"context"
	"encoding/json"
	"strings"
	"testing"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	_ "ambergate/core/kinds"
	"ambergate/core/patch"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// Plant is live values in a map; what is not in it is unknown.
type Plant map[string]cond.Value

func (p Plant) Read(ref ask.TagRef) ask.Reading {
	if v, ok := p[ref.Node]; ok {
		return ask.Reading{Value: v}
	}
	return ask.Reading{Value: cond.UnknownBecause("the plant does not answer")}
}

// Stand is a compiled ropeway with records, a plant and two users.
type Stand struct {
	App  *plan.App
	Data *Records
	Tags Plant
	Mira *ask.User
	Sela *ask.User
}

// New gives a ropeway with some changes to it, as JSON operations; "" for none.
func New(t testing.TB, changes string) *Stand {
	t.Helper()
	var bodies patch.Bodies
	if err := json.Unmarshal([]byte(Ropeway), &bodies); err != nil {
		t.Fatal(err)
	}
	if changes != "" {
		var ops []patch.Op
		if err := json.Unmarshal([]byte(changes), &ops); err != nil {
			t.Fatal(err)
		}
		touched, _, err := patch.Apply(bodies, ops)
		if err != nil {
			t.Fatal(err)
		}
		for id, body := range touched {
			if bodies[id] = body; body == nil {
				delete(bodies, id)
			}
		}
	}
	p, err := project.Decode(bodies.Texts())
	if err != nil {
		t.Fatal(err)
	}
	app, err := plan.Compile(p)
	if err != nil {
		t.Fatal(err)
	}
	return Of(app)
}

// Of gives the records, the plant and the users for a compiled project that is the ropeway, or nearly.
func Of(app *plan.App) *Stand {
	row := func(pairs ...any) map[string]cond.Value {
		m := map[string]cond.Value{}
		for i := 0; i < len(pairs); i += 2 {
			m[pairs[i].(string)] = pairs[i+1].(cond.Value)
		}
		return m
	}
	data := &Records{project: app.Project, Rows: map[string]map[string]map[string]cond.Value{
		"t_staff": {"1": row("f_id", cond.Int(1), "f_name", cond.String("Mira"), "f_phone", cond.String("210"))},
		"t_lifts": {"1": row("f_id", cond.Int(1), "f_code", cond.String("UT"), "f_name", cond.String("Upper Tarn"))},
		"t_cabins": {
			"7": row("f_id", cond.Int(7), "f_no", cond.String("007"), "f_lift", cond.Key("1"), "f_state", cond.String("in service")),
			"8": row("f_id", cond.Int(8), "f_no", cond.String("008"), "f_state", cond.String("on hold")),
		},
		"t_defects": {
			"1": row("f_id", cond.Int(1), "f_code", cond.String("D-1"), "f_what", cond.String("Door"), "f_state", cond.String("open"), "f_cabin", cond.Key("7"), "f_by", cond.Key("1")),
			"2": row("f_id", cond.Int(2), "f_code", cond.String("D-2"), "f_what", cond.String("Seal"), "f_state", cond.String("closed"), "f_cabin", cond.Key("7")),
			"3": row("f_id", cond.Int(3), "f_code", cond.String("D-3"), "f_what", cond.String("Rope"), "f_state", cond.String("open")),
		},
	}}
	return &Stand{
		App: app, Data: data, Tags: Plant{"UT.running": cond.Bool(true), "UT.speed": cond.Float(4.5)},
		Mira: &ask.User{ID: "a_mira", Name: "Mira", Roles: map[string]bool{"r_tech": true}, Record: "1"},
		Sela: &ask.User{ID: "a_sela", Name: "Sela", Roles: map[string]bool{"r_lead": true}},
	}
}

// Sources gives what its screens are drawn from, at a fixed moment.
func (s *Stand) Sources() use.Sources {
	return use.Sources{Records: s.Data, Tags: s.Tags, Now: time.Date(2026, 11, 24, 10, 0, 0, 0, time.UTC)}
}

// Open opens the screen at an address for a user.
func (s *Stand) Open(t testing.TB, u *ask.User, address string) (*use.Opening, error) {
	t.Helper()
	slug, query, _ := strings.Cut(address, "?")
	place, err := place.Parse(s.App.Project, slug, query)
	if err != nil {
		return nil, err
	}
	return use.Open(context.Background(), s.App, u, place, s.Sources())
}

// MustOpen opens a screen that must open.
func (s *Stand) MustOpen(t testing.TB, u *ask.User, address string) *use.Opening {
	t.Helper()
	o, err := s.Open(t, u, address)
	if err != nil {
		t.Fatalf("%s: %v", address, err)
	}
	return o
}

// MustOpenTyped opens a screen on which something was typed and not saved, by field.
func (s *Stand) MustOpenTyped(t testing.TB, u *ask.User, address string, typed map[string]string) *use.Opening {
	t.Helper()
	slug, query, _ := strings.Cut(address, "?")
	at, err := place.Parse(s.App.Project, slug, query)
	if err != nil {
		t.Fatal(err)
	}
	src := s.Sources()
	src.Typed = typed
	o, err := use.Open(context.Background(), s.App, u, at, src)
	if err != nil {
		t.Fatalf("%s: %v", address, err)
	}
	return o
}

// Element gives an element of a view; the test fails without it.
func Element(t testing.TB, v *use.View, id string) use.ElementView {
	t.Helper()
	for _, e := range v.Elements {
		if e.ID == id {
			return e
		}
	}
	t.Fatalf("%s is not on the screen", id)
	return use.ElementView{}
}

// Scope gives the names that a condition of an element may use.
func (s *Stand) Scope(screen, element string) cond.Scope {
	return s.App.Project.Scope(s.App.Project.Screens[screen], s.App.RowTable(screen, element))
}
