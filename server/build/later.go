package build

import (
	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/catalogue"
	"ambergate/core/project"
	"ambergate/core/propose"
)

// ProposeLater tells what would be made for a table that the application has; nothing is changed by it.
func (s *Side) ProposeLater(c *gin.Context, slug, table string) {
	In(s, c, slug, func(b *Building, req api.LaterAsked) (propose.Later, error) {
		p := b.Draft.App.Project
		t := p.Tables[table]
		if t == nil {
			return propose.Later{}, &ask.Refusal{Code: "no-table", What: "This table does not exist any more.", Then: "Choose another."}
		}
		switch req.What {
		case "dashboard":
			return propose.DashboardFor(p, table), nil
		case "steps":
			return propose.StepsFor(p, table), nil
		case "operator":
			return propose.OperatorFor(p, table), nil
		case "screens", "list", "form":
			db, err := s.SourceOf(p, table)
			if err != nil {
				return propose.Later{}, err
			}
			d, err := db.Catalogue(c)
			if err != nil {
				return propose.Later{}, err
			}
			made := map[string]func(*project.Project, string, *catalogue.Database) propose.Later{"screens": propose.ScreensFor, "list": propose.ListFor, "form": propose.FormFor}
			return made[req.What](p, table, d), nil
		}
		return propose.Later{}, &ask.Refusal{Code: "bad-request", What: "Nothing of that name is made of a table.", Then: "Load the page again."}
	})
}
