package use

import (
	"context"
	"strings"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/kinds/element"
	"ambergate/core/place"
	"ambergate/core/use"
	"ambergate/server/answer"
	"ambergate/server/base"
)

// maxLooks and maxLook bound what is kept of how lists were left.
const (
	maxLooks = 20
	maxLook  = 4_000
)

// KeepLook keeps how the lists of a place were left, and gives what depends on their chosen rows.
func (s *Side) KeepLook(c *gin.Context, slug string) {
	inUse(s, c, slug, func(v *Visit, req api.LookRequest) (api.Looked, error) { return v.look(c, req) })
}

func (v *Visit) look(ctx context.Context, req api.LookRequest) (api.Looked, error) {
	none := api.Looked{Elements: []use.ElementView{}}
	at, err := v.at(ctx, req.Trail, req.N)
	if err != nil {
		return none, err
	}
	depth := answer.Value(req.Depth)
	place, err := layer(at, depth)
	if err != nil {
		return none, nil // the dialog was closed meanwhile: its lists are found again by nobody
	}
	if len(req.Look) > maxLooks {
		return none, &ask.Refusal{Code: "bad-request", What: "No screen has so many lists."}
	}
	before := place.Look
	place.Look = req.Look
	chosen := false
	for id, l := range req.Look {
		if len(l.Start)+len(l.Row)+len(l.Top) > maxLook {
			return none, &ask.Refusal{Code: "bad-request", What: "No list is left like that."}
		}
		chosen = chosen || before[id].Row != l.Row
	}
	if err := v.server.Store.KeepLook(ctx, at.Trail, at.N, depth, req.Look); err != nil {
		return none, err
	}
	if !chosen || !v.App.AsksChosen(place.Screen) {
		return none, nil
	}
	o, err := v.open(ctx, *place)
	if err != nil {
		return none, err
	}
	for _, e := range o.View().Elements {
		if _, button := e.View.(*element.ButtonView); button {
			none.Elements = append(none.Elements, e)
		}
	}
	return none, nil
}

// GetPosition counts where the record of a place stands in the list come from.
func (s *Side) GetPosition(c *gin.Context, slug string) {
	inUse(s, c, slug, func(v *Visit, req api.Pointer) (*use.Position, error) {
		o, err := v.openAt(c, req.Trail, req.N, answer.Value(req.Depth))
		if err != nil {
			return nil, err
		}
		return o.Position(c, v.sources())
	})
}

// ForkTrail lets a duplicated tab go its own way from where it stands.
func (s *Side) ForkTrail(c *gin.Context, slug string) {
	inUse(s, c, slug, func(v *Visit, req api.Pointer) (*api.Shown, error) {
		id := base.NewID()
		if err := s.Store.Fork(c, id, req.Trail, v.account.ID, v.project); err != nil {
			return nil, err
		}
		at, err := v.at(c, id, req.N)
		if err != nil {
			return nil, err
		}
		return v.nearest(c, at, -1)
	})
}

// GetPlaces tells the places of a trail in words, for going to one of them.
func (s *Side) GetPlaces(c *gin.Context, slug string, params api.GetPlacesParams) {
	inUse(s, c, slug, func(v *Visit, _ answer.Nothing) ([]api.RecentPlace, error) {
		known, err := s.Store.TrailOf(c, params.Trail, v.account.ID, v.project)
		if err != nil {
			return nil, &ask.Refusal{Code: "no-place", What: "This tab’s trail has ended.", Then: "Load the page again to go on from this screen."}
		}
		spots, err := s.Store.Places(c, params.Trail, v.account.ID, v.project)
		if err != nil {
			return nil, err
		}
		out := make([]api.RecentPlace, 0, len(spots))
		for _, spot := range spots {
			out = append(out, api.RecentPlace{N: spot.N, Title: spot.Title, Note: v.placeNote(spot.Place), At: spot.MadeAt, Here: spot.N == known.At})
		}
		return out, nil
	})
}

// placeNote says how a place differs from others of the same title: its mode, and what narrows it.
func (v *Visit) placeNote(p place.Place) string {
	var words []string
	switch p.Mode {
	case "edit":
		words = append(words, "editing")
	case "add":
		words = append(words, "new")
	}
	words = append(words, place.NarrowedWords(v.App.Project, p)...)
	return strings.Join(words, ", ")
}
