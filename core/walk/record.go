package walk

import (
	"context"
	"time"

	"ambergate/core/ask"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// Name gives the records of steps that were recorded by key their titles instead, where a title finds just that record:
// so the walk finds it again where keys are others.
func Name(ctx context.Context, app *plan.App, user *ask.User, from ask.Records, now time.Time, steps []*project.WalkStep) error {
	n := namer{finder{app, user, from, now}, map[[2]string]*project.Named{}}
	for _, s := range steps {
		table := app.RowTable(s.Screen, s.Element)
		if err := n.name(ctx, table, &s.Row); err != nil {
			return err
		}
		for id := range s.Rows {
			if err := n.in(ctx, table, s.Rows, id); err != nil {
				return err
			}
		}
		if screen := app.Project.Screens[s.Screen]; screen != nil {
			for id := range s.Inputs {
				if err := n.in(ctx, tableOf(screen.Inputs[id]), s.Inputs, id); err != nil {
					return err
				}
			}
		}
		for id := range s.Picked {
			if err := n.in(ctx, pickedTable(app, s.Screen, s, id), s.Picked, id); err != nil {
				return err
			}
		}
	}
	return nil
}

// Own names the own record of somebody who walks; nil for none.
func Own(ctx context.Context, app *plan.App, user *ask.User, from ask.Records, now time.Time) (*project.Named, error) {
	if user.Record == "" {
		return nil, nil
	}
	n := namer{finder{app, user, from, now}, map[[2]string]*project.Named{}}
	own := &project.Named{Key: user.Record}
	return own, n.name(ctx, app.Project.Settings.UserTable, &own)
}

// namer finds titles, each once.
type namer struct {
	finder
	known map[[2]string]*project.Named
}

func (n *namer) in(ctx context.Context, table string, all map[string]*project.Named, id string) error {
	one := all[id]
	if err := n.name(ctx, table, &one); err != nil {
		return err
	}
	all[id] = one
	return nil
}

func (n *namer) name(ctx context.Context, table string, one **project.Named) error {
	of := *one
	if of == nil || of.Key == "" || table == "" || n.app.Project.Tables[table] == nil {
		return nil
	}
	at := [2]string{table, of.Key}
	if known := n.known[at]; known != nil {
		*one = known
		return nil
	}
	n.known[at] = of
	found, err := use.Titles(ctx, n.app, n.user, n.records, n.now, use.TitleQuery{Table: table, Key: of.Key, Limit: 1})
	if _, refused := err.(*ask.Refusal); refused || err == nil && len(found) == 0 {
		return nil
	}
	if err != nil {
		return err
	}
	titled := &project.Named{Title: found[0].Title}
	key, err := n.key(ctx, table, titled)
	if _, is := differs(err); err != nil && !is {
		return err
	}
	if err == nil && key == of.Key {
		n.known[at], *one = titled, titled
	}
	return nil
}
