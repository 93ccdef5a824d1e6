package walk

import (
	"context"
	"fmt"
	"strings"
	"time"

	"ambergate/core/ask"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// sought is how many records of a table are looked through for one by its title.
const sought = 2000

// finder finds records as somebody sees them.
type finder struct {
	app     *plan.App
	user    *ask.User
	records ask.Records
	now     time.Time
}

// key gives the key of a record that a step names; "" for none named. A *Difference says that there is none such.
func (r *finder) key(ctx context.Context, table string, n *project.Named) (string, error) {
	if n == nil || n.Key != "" || n.Title == "" && n.Where == "" {
		return wire(n), nil
	}
	label := "record"
	if t := r.app.Project.Tables[table]; t != nil {
		label = t.One
	}
	if table == "" {
		return "", &Difference{Expected: fmt.Sprintf("the %s “%s”", label, n.Title), Found: "nothing there is a record"}
	}
	if n.Title == "" {
		return r.first(ctx, table, label, n.Where)
	}
	// What the title begins with finds it in a large table, unless it is written otherwise than it is kept.
	first, _, _ := strings.Cut(n.Title, " ")
	for _, find := range []string{n.Title, strings.Trim(first, ",;:"), ""} {
		found, err := use.Titles(ctx, r.app, r.user, r.records, r.now, use.TitleQuery{Table: table, Find: find, Limit: sought})
		if _, refused := err.(*ask.Refusal); refused {
			break
		}
		if err != nil {
			return "", err
		}
		for _, one := range found {
			if one.Title == n.Title {
				return one.Key, nil
			}
		}
	}
	return "", &Difference{Expected: fmt.Sprintf("the %s “%s”", label, n.Title), Found: "none of that title that " + r.user.Name + " may see"}
}

// first gives the key of the first record, in the table's order, of which a condition holds.
func (r *finder) first(ctx context.Context, table, label, where string) (string, error) {
	expr, problem := r.app.RowRule(table, where)
	if problem != nil {
		return "", &Difference{Expected: "a condition on the " + label, Found: "“" + where + "”, which cannot be read: " + problem.Message}
	}
	found, err := use.Titles(ctx, r.app, r.user, r.records, r.now, use.TitleQuery{Table: table, Where: expr, Limit: 1})
	if err != nil {
		return "", err
	}
	if len(found) == 0 {
		return "", &Difference{Expected: "a " + label + " of which " + expr.Root.Phrase(), Found: "none such that " + r.user.Name + " may see"}
	}
	return found[0].Key, nil
}

func wire(n *project.Named) string {
	if n == nil {
		return ""
	}
	return n.Key
}

// keys does so for several, by what they are named for.
func (r *finder) keys(ctx context.Context, table func(string) string, named map[string]*project.Named) (map[string]string, error) {
	if len(named) == 0 {
		return nil, nil
	}
	out := map[string]string{}
	for id, n := range named {
		key, err := r.key(ctx, table(id), n)
		if err != nil {
			return nil, err
		}
		out[id] = key
	}
	return out, nil
}
