package plan

import (
	"maps"
	"slices"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// SampledKind is answered by elements that show live numbers over time.
type SampledKind interface{ Sampled() }

// Recorded is the live numbers that trends show of the records of one table, or of the plant as a whole.
type Recorded struct {
	Table string // "" for the plant as a whole
	Reads Paths  // of each record, to find its nodes by
	Paths []*cond.Path
}

// RecordedOf lists what an application shows over time, so that it can be kept whether anybody looks or not. What hangs
// on an input that is not the screen's own record is left out: which records those will be is known to no one.
func RecordedOf(a *App) []*Recorded {
	of := map[string]*Recorded{}
	for _, id := range slices.Sorted(maps.Keys(a.Screens)) {
		s := a.Screens[id]
		for _, e := range s.Elements {
			if _, ok := e.Spec.(SampledKind); !ok {
				continue
			}
			for _, line := range slices.Sorted(maps.Keys(e.Exprs)) {
				if x := e.Exprs[line]; x != nil && x.Root.Op == cond.OpPath {
					a.record(of, s, x.Root.Path)
				}
			}
		}
	}
	out := make([]*Recorded, 0, len(of))
	for _, table := range slices.Sorted(maps.Keys(of)) {
		out = append(out, of[table])
	}
	return out
}

func (a *App) record(of map[string]*Recorded, s *Screen, p *cond.Path) {
	table := ""
	switch p.Root {
	case "record":
		if table = s.Screen.RecordTable(); table == "" {
			return
		}
	case project.TagRoot:
	default:
		return
	}
	r := of[table]
	if r == nil {
		r = &Recorded{Table: table, Reads: Paths{}}
		of[table] = r
	}
	b := Planner{App: a, Plan: &Screen{Screen: s.Screen, RecordPaths: r.Reads, InputPaths: map[string]Paths{}, UserPaths: Paths{}}, Scope: a.Project.CallUpScope(table)}
	b.reads([]*cond.Path{p})
	r.Paths = append(r.Paths, p)
}
