package base

import (
	"context"
	"errors"

	"ambergate/core/differ"
	"ambergate/core/project"
	"ambergate/core/walk"
	"ambergate/records"
)

// Walked goes walks through an application, each over the records as they are now; what it changes is rolled back. The
// error is the context's, or that of a database.
func (s *Base) Walked(ctx context.Context, of differ.Side, walks []*project.Walk) ([]walk.Result, error) {
	out := []walk.Result{}
	for _, w := range walks {
		one, err := s.walkedOne(ctx, of, w)
		if err != nil {
			return nil, err
		}
		out = append(out, one)
	}
	return out, nil
}

func (s *Base) walkedOne(ctx context.Context, of differ.Side, w *project.Walk) (out walk.Result, err error) {
	err = s.rehearsed(ctx, of, func(world walk.World) (err error) {
		out, err = walk.Run(ctx, of.App, w, world)
		return err
	})
	return out, err
}

// WalkShown goes a walk up to a step, "" for none, and shows the screen where one stands then.
func (s *Base) WalkShown(ctx context.Context, of differ.Side, w *project.Walk, step string) (out walk.Shown, err error) {
	err = s.rehearsed(ctx, of, func(world walk.World) (err error) {
		out, err = walk.Show(ctx, of.App, w, world, step)
		return err
	})
	return out, err
}

// rehearsed gives records to walk through; what is changed in them is rolled back.
func (s *Base) rehearsed(ctx context.Context, of differ.Side, run func(walk.World) error) (err error) {
	rehearsal := records.NewRehearsal(of.App.Project, func(t *project.Table) (*records.Source, error) { return s.SourceOf(of.App.Project, t.ID) })
	defer func() { err = errors.Join(err, rehearsal.End(ctx)) }()
	return run(walk.World{Records: rehearsal, Others: s.Others(ctx), Now: s.Now(), Entities: of.Entities})
}
