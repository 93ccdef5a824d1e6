package build

import (
	"strings"

	"github.com/gin-gonic/gin"

	"ambergate/core/ask"
	"ambergate/core/project"
	"ambergate/core/propose"
)

// longestWish is how much may be typed into a cell, in bytes.
const longestWish = 500

// OfferForCell lists what could be put into an empty cell; nothing is changed by it.
func (s *Side) OfferForCell(c *gin.Context, slug string) {
	In(s, c, slug, func(b *Building, w propose.CellWish) ([]propose.CellOffer, error) {
		p := b.Draft.App.Project
		switch {
		case p.Screens[w.Screen] == nil:
			return nil, &ask.Refusal{Code: "no-screen", What: "This screen does not exist any more.", Then: "Choose another."}
		case len(w.Words) > longestWish:
			return nil, &ask.Refusal{Code: "too-much", What: "These are more words than an element is found by.", Then: "Type fewer; more words can be given to it once it is there."}
		}
		if tabs, tab, given := strings.Cut(w.Tab, "."); given {
			if e := p.Screens[w.Screen].Elements[tabs]; e == nil || project.TabsOf(e)[tab] == nil {
				w.Tab = ""
			}
		}
		return propose.OffersFor(p, w), nil
	})
}
