package store

import (
	"encoding/json"
	"errors"
	"fmt"
	"maps"
	"reflect"
	"time"

	"ambergate/core/place"
	"ambergate/store/near"
)

// Standing is a place of a trail with its neighbours.
type Standing struct {
	Spot
	At      int    // where the trail stands
	Back    string // title of the place before; "" if there is none
	Forward string
	tabVars
}

// freshFor is how long a place is one that was made, or changed, just now, in seconds.
const freshFor = 2

// standing makes a standing of a place and its neighbours; ErrNone where the place is not among them.
func standing(trail string, n int, f near.Near) (*Standing, error) {
	out := &Standing{Spot: Spot{Trail: trail, N: n}, At: f.At}
	found := false
	for _, p := range f.Places {
		switch {
		case p.N < n:
			out.Back = p.Title
		case p.N > n:
			out.Forward = p.Title
		default:
			found = true
			out.Title, out.Made, out.Release = p.Title, p.Made, p.Release
			out.Fresh = p.Age+time.Since(f.Read).Seconds() < freshFor
			if err := out.take(f, p); err != nil {
				return nil, err
			}
		}
	}
	if !found {
		return nil, ErrNone
	}
	return out, nil
}

// made is what the texts of a kept place come to, which is worked out once. It is never changed.
type made struct {
	place    place.Place
	overlays []place.Overlay
	vars     tabVars
}

// take fills in what stands in the texts of a place, as the standing's own.
func (s *Standing) take(f near.Near, p near.Place) error {
	if f.Made != nil {
		if of, there := f.Made.Load().(*made); there {
			s.Place, s.Overlays, s.tabVars = of.place.Clone(), place.CloneAll(of.overlays), of.vars.clone()
			return nil
		}
	}
	if err := errors.Join(s.Spot.read(p.Place, p.Overlays), s.tabVars.read(f.Vars, f.Before, f.Press)); err != nil {
		return err
	}
	if f.Made != nil {
		f.Made.Store(&made{place: s.Place.Clone(), overlays: place.CloneAll(s.Overlays), vars: s.tabVars.clone()})
	}
	return nil
}

func (s *Spot) read(place, overlays json.RawMessage) error {
	if err := json.Unmarshal(place, &s.Place); err != nil {
		return fmt.Errorf("read the place: %w", err)
	}
	if len(overlays) > 0 {
		if err := json.Unmarshal(overlays, &s.Overlays); err != nil {
			return fmt.Errorf("read the dialogs of the place: %w", err)
		}
	}
	return nil
}

func (t *tabVars) read(vars, before json.RawMessage, press *string) error {
	if err := json.Unmarshal(vars, &t.Vars); err != nil {
		return fmt.Errorf("read the variables of the tab: %w", err)
	}
	if press == nil {
		return nil
	}
	t.VarsPress = *press
	if err := json.Unmarshal(before, &t.VarsBefore); err != nil {
		return fmt.Errorf("read the variables of the tab: %w", err)
	}
	return nil
}

func (t tabVars) clone() tabVars {
	t.Vars, t.VarsBefore.Tab, t.VarsBefore.Place = maps.Clone(t.Vars), maps.Clone(t.VarsBefore.Tab), maps.Clone(t.VarsBefore.Place)
	return t
}

func (s *Standing) screen() string {
	if s == nil {
		return ""
	}
	return s.Place.Screen
}

// like says whether two standings are the same, but for how long ago they were made.
func (s *Standing) like(other *Standing) bool {
	a, b := *s, *other
	a.Fresh, b.Fresh = false, false
	return reflect.DeepEqual(a, b)
}
