package build

import (
	"context"
	"maps"
	"slices"
	"time"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/propose"
	"ambergate/core/use"
	"ambergate/plant"
	"ambergate/server/answer"
	"ambergate/server/base"
)

// ProposeTag tells how a value of a plant would be taken in on its own, for no record; nothing is changed by it.
func (s *Side) ProposeTag(c *gin.Context, slug string) {
	In(s, c, slug, func(b *Building, req api.TagAsked) (propose.PlantTag, error) {
		if err := s.mayTakeFrom(c, b, req.Connection); err != nil {
			return propose.PlantTag{}, err
		}
		if err := s.ToLeader(c, req); err != nil {
			return propose.PlantTag{}, err
		}
		client, err := s.Plant(req.Connection)
		if err != nil {
			return propose.PlantTag{}, err
		}
		way := plant.Names(req.Path)
		here, _, err := client.Browse(c, plantFolder(way))
		if err != nil {
			return propose.PlantTag{}, base.Browsing(client, err)
		}
		i := slices.IndexFunc(here, func(f plant.Found) bool { return slices.Equal(plant.Names(f.Path), way) })
		if i < 0 || !here[i].Readable {
			return propose.PlantTag{}, &ask.Refusal{Code: "plant-refused", What: "There is no value there that can be shown.", Then: "Choose another one."}
		}
		return propose.TagOf(b.Draft.App.Project, req.Connection, valueOf(here[i], 0)), nil
	})
}

// plantFolder is the way to what a node stands in; "" for the root.
func plantFolder(way []string) string {
	if len(way) < 2 {
		return ""
	}
	return plant.Path(way[:len(way)-1])
}

// GetTags gives what the values of the plant as a whole are now, each with its quality.
func (s *Side) GetTags(c *gin.Context, slug string) {
	In(s, c, slug, func(b *Building, _ answer.Nothing) ([]api.TagNow, error) {
		app := b.Draft.App
		var asked []askedTag
		for _, id := range slices.Sorted(maps.Keys(app.Project.Tags)) {
			ref, _ := use.PlantTagOf(app, id)
			asked = append(asked, askedTag{api.TagNow{Tag: id}, ref})
		}
		return readNow(c, base.Tags{Base: s.Base, Project: app.Project}, asked), nil
	})
}

// askedTag is a value that is asked for, with its node; without one where there is none.
type askedTag struct {
	now api.TagNow
	ref ask.TagRef
}

// readNow reads values, all at once.
func readNow(ctx context.Context, tags base.Tags, asked []askedTag) []api.TagNow {
	var refs []ask.TagRef
	for _, a := range asked {
		if a.ref.Node != "" {
			refs = append(refs, a.ref)
		}
	}
	tags.Watch(ctx, refs)
	out := make([]api.TagNow, len(asked))
	for i, a := range asked {
		out[i] = a.now
		if a.ref.Node == "" {
			continue
		}
		out[i].Node = a.ref.Node
		reading := tags.Read(a.ref)
		if reading.Value.Known() {
			out[i].Value = answer.Ptr(reading.Value.Wire())
		} else {
			out[i].Why = answer.Ptr(reading.Value.Why())
		}
		if reading.At != 0 {
			out[i].At = answer.Ptr(time.UnixMilli(reading.At))
		}
	}
	return out
}
