package base

import (
	"context"
	"errors"

	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/walk"
	"ambergate/records"
)

// Walked goes walks through an application, each over the records as they are now; what it changes is rolled back. The
// error is the context's, or that of a database.
func (s *Base) Walked(ctx context.Context, app *plan.App, walks []*project.Walk) ([]walk.Result, error) {
	out := []walk.Result{}
	for _, w := range walks {
		one, err := s.walkedOne(ctx, app, w)
		if err != nil {
			return nil, err
		}
		out = append(out, one)
	}
	return out, nil
}

func (s *Base) walkedOne(ctx context.Context, app *plan.App, w *project.Walk) (out walk.Result, err error) {
	rehearsal := records.NewRehearsal(app.Project, func(t *project.Table) (*records.Source, error) { return s.SourceOf(app.Project, t.ID) })
	defer func() { err = errors.Join(err, rehearsal.End(ctx)) }()
	return walk.Run(ctx, app, w, walk.World{Records: rehearsal, Others: s.Others(ctx), Now: s.Now()})
}
