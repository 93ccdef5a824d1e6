package build

import (
	"net/http"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/server/answer"
	"ambergate/store"
)

// GetApplications tells the state of each application that one builds: what was changed since its release, and what
// the checks found.
func (s *Side) GetApplications(c *gin.Context) {
	account, err := s.Sessions.Who(c, "")
	if err != nil {
		answer.Fail(c, err)
		return
	}
	out, err := s.states(c, account)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	c.JSON(http.StatusOK, out)
}

func (s *Side) states(c *gin.Context, account store.Account) ([]api.ApplicationState, error) {
	projects, err := s.Store.Projects(c)
	if err != nil {
		return nil, err
	}
	rights, err := s.Store.RightsOf(c, account.ID)
	if err != nil {
		return nil, err
	}
	out := []api.ApplicationState{}
	for _, p := range projects {
		if !rights[p.ID].Builds {
			continue
		}
		d, err := s.Apps.Draft(c, p.ID)
		if err != nil {
			return nil, err
		}
		history, err := s.Store.History(c, p.ID, account.ID)
		if err != nil {
			return nil, err
		}
		one := api.ApplicationState{Id: p.ID, Changes: history.Changes, Screens: len(d.App.Project.Screens)}
		found, _ := d.Findings(c)
		for _, f := range found {
			if f.Severity == "broken" {
				one.Broken++
			} else {
				one.Doubtful++
			}
		}
		out = append(out, one)
	}
	return out, nil
}
