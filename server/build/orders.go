package build

import (
	"context"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/build"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/words"
	"ambergate/server/answer"
)

// GetOrders tells a builder which orders a table is read in, and which index of the database
// serves each, or would.
func (s *Side) GetOrders(c *gin.Context, slug, table string) {
	In(s, c, slug, func(b *Building, _ answer.Nothing) (api.TableOrders, error) {
		p := b.Draft.App.Project
		t := p.Tables[table]
		if t == nil {
			return api.TableOrders{}, &ask.Refusal{Code: "no-table", What: "This table does not exist any more.", Then: "Choose another."}
		}
		return s.ordersOf(c, b.Draft.App, t)
	})
}

func (s *Side) ordersOf(ctx context.Context, app *plan.App, t *project.Table) (api.TableOrders, error) {
	db, err := s.SourceOf(app.Project, t.ID)
	if err != nil {
		return api.TableOrders{}, err
	}
	out := api.TableOrders{Orders: []api.TableOrder{}}
	if out.Rows, err = db.Size(ctx, app.Project, t); err != nil {
		return out, err
	}
	for _, o := range build.OrdersOf(app, t.ID) {
		told := api.TableOrder{Words: o.Words, Places: o.Places}
		q := ask.Query{Table: t, Order: o.Sort, Limit: 50, Rights: ask.EveryRow}
		if o.Of != "" {
			told.Of = answer.OrNil(words.PathWords(app, t.ID, o.Of))
			q.Match = []ask.Match{{Path: o.Of, Compare: "is", Value: cond.NullValue}}
		}
		served, err := db.Served(ctx, app.Project, q)
		if err != nil {
			return out, err
		}
		told.Index, told.Would = answer.OrNil(served.Index), answer.OrNil(served.Would)
		out.Orders = append(out.Orders, told)
	}
	return out, nil
}
