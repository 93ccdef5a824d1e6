package build

import (
	"context"
	"net/http"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/whole"
	"ambergate/server/answer"
)

// whoFor gives just one of those that are told for, or each role alone.
func (b *Building) whoFor(key *string) ([]whole.Who, error) {
	if key == nil || *key == "" {
		var out []whole.Who
		for _, w := range b.Who() {
			if len(w.Roles) == 1 {
				out = append(out, w)
			}
		}
		return out, nil
	}
	w, err := b.whoIs(*key)
	return []whole.Who{w}, err
}

// GetMap lays all screens out, by the presses from the start.
func (s *Side) GetMap(c *gin.Context, slug string, params api.GetMapParams) {
	In(s, c, slug, func(b *Building, _ answer.Nothing) (whole.Map, error) {
		who, err := b.whoFor(params.Who)
		if err != nil {
			return whole.Map{}, err
		}
		uses, err := s.uses(c, b)
		return whole.MapOf(b.Draft.Reach(), who, uses), err
	})
}

// GetWireWays tells the ways of one wire as sentences.
func (s *Side) GetWireWays(c *gin.Context, slug string, params api.GetWireWaysParams) {
	In(s, c, slug, func(b *Building, _ answer.Nothing) ([]whole.WireWay, error) {
		who, err := b.whoFor(params.Who)
		if err != nil {
			return nil, err
		}
		uses, err := s.uses(c, b)
		return whole.WaysOf(b.Draft.Reach(), who, uses, params.From, params.To), err
	})
}

// GetMapPicture gives the map as a picture.
func (s *Side) GetMapPicture(c *gin.Context, slug string, params api.GetMapPictureParams) {
	s.file(c, slug, params.Who, "image/svg+xml", func(b *Building, who []whole.Who) (string, error) {
		return whole.MapOf(b.Draft.Reach(), who, nil).SVG(b.Draft.App.Project.Settings.Title), nil
	})
}

// GetMapStates gives the screens as a state machine.
func (s *Side) GetMapStates(c *gin.Context, slug string, params api.GetMapStatesParams) {
	s.file(c, slug, params.Who, "application/scxml+xml", func(b *Building, who []whole.Who) (string, error) {
		if len(who) == 0 {
			return "", noScreen()
		}
		return whole.SCXML(b.Draft.Reach(), who[0])
	})
}

// uses gives how often ways of the draft were pressed in the release.
func (s *Side) uses(ctx context.Context, b *Building) (whole.Uses, error) {
	used, err := s.Store.UsedWays(ctx, b.Project, s.Now())
	if err != nil {
		return nil, err
	}
	out := whole.Uses{}
	for _, u := range used {
		out[whole.WayKey{Screen: u.Screen, Element: u.Element, Trigger: u.Trigger}] = whole.Use{Week: u.Week, Long: u.N}
	}
	out.OnRails(b.Draft.App.Project)
	return out, nil
}

// file answers with a text that is no JSON.
func (s *Side) file(c *gin.Context, slug string, key *string, kind string, write func(*Building, []whole.Who) (string, error)) {
	b, err := s.Building(c, slug)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	leave, err := s.Calls.Enter(c, b.Account.ID)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	defer leave()
	who, err := b.whoFor(key)
	if err == nil {
		var text string
		if text, err = write(b, who); err == nil {
			c.Data(http.StatusOK, kind+"; charset=utf-8", []byte(text))
			return
		}
	}
	answer.Fail(c, err)
}
