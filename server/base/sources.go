package base

import (
	"context"
	"maps"
	"slices"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/plant"
	"ambergate/records"
	"ambergate/server/answer"
)

// Reader reads the tables of a project from whichever connection each belongs to.
func (s *Base) Reader(app *plan.App) ask.Records { return router{server: s, project: app.Project} }

// ReaderSince reads them from replicas too, where those are as far as somebody has seen.
func (s *Base) ReaderSince(app *plan.App, seen Seen) ask.Records {
	return router{server: s, project: app.Project, since: seen}
}

type router struct {
	server  *Base
	project *project.Project
	since   Seen // nil: no replica is read
}

// read lets something be read from a table's own database: from its replica where that is far enough, and from the
// database itself where the replica fails.
func read[Out any](r router, t *project.Table, do func(*records.Reader) (Out, error)) (Out, error) {
	db, name, err := r.named(t)
	if err != nil {
		var none Out
		return none, err
	}
	if r.since != nil {
		if reader, replica := db.ReaderSince(r.project, r.since[name]); replica {
			out, err := do(reader)
			if err == nil || answer.IsRefusal(err) {
				return out, err
			}
			db.Doubted()
		}
	}
	return do(db.Reader(r.project))
}

func (r router) source(t *project.Table) (*records.Source, error) {
	db, _, err := r.named(t)
	return db, err
}

// named gives the database of a table, and what its connection is called.
func (r router) named(t *project.Table) (*records.Source, string, error) {
	if src := r.project.Sources[t.Source]; src != nil {
		if db := r.server.Connected.Now().Records[src.Connection]; db != nil {
			return db, src.Connection, nil
		}
	}
	return nil, "", &ask.Refusal{Code: "no-source", What: "The database of " + t.Label + " is not configured on this server.", Then: "Tell the person who runs it."}
}

// Fetch reads from the table's own database.
func (r router) Fetch(ctx context.Context, q ask.Query) (ask.Page, error) {
	return read(r, q.Table, func(from *records.Reader) (ask.Page, error) { return from.Fetch(ctx, q) })
}

// Together asks each database its own questions in one go.
func (r router) Together(ctx context.Context, qs []ask.Question) []ask.Answer {
	answers := make([]ask.Answer, len(qs))
	of := map[*records.Source][]int{}
	var order []*records.Source
	for i, q := range qs {
		db, err := r.source(q.Of())
		if err != nil {
			answers[i].Err = err
			continue
		}
		if of[db] == nil {
			order = append(order, db)
		}
		of[db] = append(of[db], i)
	}
	for _, db := range order {
		own := make([]ask.Question, len(of[db]))
		for k, i := range of[db] {
			own[k] = qs[i]
		}
		// All questions of a database are of tables of one connection: what each says of a replica is the same.
		got, err := read(r, own[0].Of(), func(from *records.Reader) ([]ask.Answer, error) {
			got := from.Together(ctx, own)
			for _, a := range got {
				if a.Err != nil && !answer.IsRefusal(a.Err) {
					return got, a.Err
				}
			}
			return got, nil
		})
		for k := range own {
			if k < len(got) {
				answers[of[db][k]] = got[k]
			} else {
				answers[of[db][k]].Err = err
			}
		}
	}
	return answers
}

// OnlyRead says whether the table's own database can only be read.
func (r router) OnlyRead(t *project.Table) bool {
	if src := r.project.Sources[t.Source]; src != nil {
		if db := r.server.Connected.Now().Records[src.Connection]; db != nil {
			return db.OnlyRead()
		}
	}
	return false
}

// Count counts in the table's own database.
func (r router) Count(ctx context.Context, q ask.Query) (ask.Count, error) {
	return read(r, q.Table, func(from *records.Reader) (ask.Count, error) { return from.Count(ctx, q) })
}

// Group counts in the table's own database.
func (r router) Group(ctx context.Context, q ask.GroupQuery) ([]ask.Group, error) {
	return read(r, q.Table, func(from *records.Reader) ([]ask.Group, error) { return from.Group(ctx, q) })
}

// Database gives the database behind a connection. The error is a refusal in words.
func (s *Base) Database(connection string) (*records.Source, error) {
	if db := s.Connected.Now().Records[connection]; db != nil {
		return db, nil
	}
	return nil, &ask.Refusal{Code: "no-source", What: "The database “" + connection + "” is not connected here.", Then: "Add the connection, or lead the application to another one."}
}

// SourceOf gives the database of a table.
func (s *Base) SourceOf(p *project.Project, table string) (*records.Source, error) {
	if t := p.Tables[table]; t != nil {
		if src := p.Sources[t.Source]; src != nil {
			if db := s.Connected.Now().Records[src.Connection]; db != nil {
				return db, nil
			}
		}
	}
	return nil, &ask.Refusal{Code: "no-source", What: "The database of this screen is not configured on this server.", Then: "Tell the person who runs it."}
}

// Writes gives the database that the presses of a screen change: that of its record, else of its
// main list, else the first of the project.
func (s *Base) Writes(app *plan.App, screen string) (*records.Source, error) {
	for _, table := range app.TablesOf(screen) {
		if src, err := s.SourceOf(app.Project, table); err == nil {
			return src, nil
		}
	}
	for _, id := range slices.Sorted(maps.Keys(app.Project.Sources)) {
		if src := app.Project.Sources[id]; src.Type == "postgresql" {
			if db := s.Connected.Now().Records[src.Connection]; db != nil {
				return db, nil
			}
		}
	}
	return s.SourceOf(app.Project, "")
}

// Tags reads the live values of a project from whichever plant each belongs to.
type Tags struct {
	Base    *Base
	Project *project.Project
}

// Plant gives the plant behind a source of the project; nil for a source that is none.
func (t Tags) Plant(source string) *plant.Client {
	src := t.Project.Sources[source]
	if src == nil {
		return nil
	}
	return t.Base.Connected.Now().Plants[src.Connection]
}

// Read gives the newest value of a node.
func (t Tags) Read(ref ask.TagRef) ask.Reading {
	p := t.Plant(ref.Source)
	if p == nil {
		return ask.Reading{Value: cond.UnknownBecause("the plant is not configured on this server")}
	}
	return p.Read(ref)
}

// FirstValues is how long a screen waits for live values that nobody watched before.
const FirstValues = 400 * time.Millisecond

// Watch lets the plants watch what an open screen shows.
func (t Tags) Watch(ctx context.Context, refs []ask.TagRef) map[*plant.Client][]string {
	byPlant := map[*plant.Client][]string{}
	for _, ref := range refs {
		if p := t.Plant(ref.Source); p != nil {
			byPlant[p] = append(byPlant[p], ref.Node)
		}
	}
	for p, names := range byPlant {
		p.Watch(ctx, names, FirstValues)
	}
	return byPlant
}
