package build

import (
	"context"
	"maps"
	"slices"
	"strings"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/project"
	"ambergate/core/propose"
	"ambergate/core/use"
	"ambergate/plant"
	"ambergate/server/answer"
	"ambergate/server/base"
)

// What a proposal of equipment looks at.
const (
	foldersLooked = 100 // pieces of equipment
	stepsLooked   = 4   // folders within one
	recordsLooked = 500
	fieldsLooked  = 8 // of a table
)

// ProposeEquipment tells what would be made of the folders of a plant; nothing is changed by it.
func (s *Side) ProposeEquipment(c *gin.Context, slug string) {
	In(s, c, slug, func(b *Building, req api.EquipmentAsked) (propose.Equipment, error) {
		if err := s.mayTakeFrom(c, b, req.Wish.Connection); err != nil {
			return propose.Equipment{}, err
		}
		if err := s.ToLeader(c, req); err != nil {
			return propose.Equipment{}, err
		}
		client, err := s.Plant(req.Wish.Connection)
		if err != nil {
			return propose.Equipment{}, err
		}
		branches, cut, err := branchesOf(c, client, req.Wish.Path)
		if err != nil {
			return propose.Equipment{}, base.Browsing(client, err)
		}
		keyed, err := s.keyed(c, b, req.As)
		if err != nil {
			return propose.Equipment{}, err
		}
		out := propose.ProposeEquipment(b.Draft.App.Project, req.Wish, branches, keyed)
		if cut {
			out.Notes = append(out.Notes, "There is more in these folders than was looked at.")
		}
		if len(branches) == 0 {
			out.Notes = append(out.Notes, "There are no folders in it: choose the one that holds a folder for each piece of equipment.")
		}
		return out, nil
	})
}

// plantsOf lists the plants that equipment may be taken from: those that the application is over, and all for who
// builds everywhere.
func (s *Side) plantsOf(c *gin.Context, b *Building) ([]string, error) {
	account, err := s.Sessions.Who(c, "")
	if err != nil {
		return nil, err
	}
	open := s.Connected.Now().Plants
	own := map[string]bool{}
	for _, source := range b.Draft.App.Project.Sources {
		if source.Type == base.KindPlant && open[source.Connection] != nil {
			own[source.Connection] = true
		}
	}
	if account.Builds {
		for name := range open {
			own[name] = true
		}
	}
	return append([]string{}, slices.Sorted(maps.Keys(own))...), nil
}

func (s *Side) mayTakeFrom(c *gin.Context, b *Building, connection string) error {
	names, err := s.plantsOf(c, b)
	if err == nil && !slices.Contains(names, connection) {
		err = &ask.Refusal{Code: "no-source", What: "This application is over no plant “" + connection + "”.", Then: "Ask who builds applications everywhere to take equipment of it in."}
	}
	return err
}

// GetPlants lists the plants that equipment may be taken from.
func (s *Side) GetPlants(c *gin.Context, slug string) {
	In(s, c, slug, func(b *Building, _ answer.Nothing) ([]string, error) { return s.plantsOf(c, b) })
}

// GetPlantNodes browses one of them, or searches it.
func (s *Side) GetPlantNodes(c *gin.Context, slug, name string, params api.GetPlantNodesParams) {
	In(s, c, slug, func(b *Building, _ answer.Nothing) (api.PlantNodes, error) {
		if err := s.mayTakeFrom(c, b, name); err != nil {
			return api.PlantNodes{}, err
		}
		if err := s.ToLeader(c, nil); err != nil {
			return api.PlantNodes{}, err
		}
		return s.Nodes(c, name, answer.Value(params.Below), answer.Value(params.Words))
	})
}

// branchesOf reads the folders in a folder, each with all values below it.
func branchesOf(ctx context.Context, client *plant.Client, path string) (out []propose.Branch, cut bool, err error) {
	here, cut, err := client.Browse(ctx, path)
	if err != nil {
		return nil, false, err
	}
	from := len(plant.Names(path))
	for _, f := range here {
		if !f.Folder {
			continue
		}
		if len(out) == foldersLooked {
			return out, true, nil
		}
		values, more, err := client.Below(ctx, f.Path, stepsLooked)
		if err != nil {
			return nil, false, err
		}
		cut = cut || more
		way := plant.Names(f.Path)
		b := propose.Branch{Name: way[len(way)-1]}
		for _, v := range values {
			if v.Readable {
				b.Values = append(b.Values, valueOf(v, from+1))
			}
		}
		out = append(out, b)
	}
	return out, cut, nil
}

// valueOf gives a value as it was browsed, with its names from some step on.
func valueOf(f plant.Found, from int) propose.PlantValue {
	return propose.PlantValue{Way: plant.Names(f.Path)[from:], Type: f.Kind.String(), Unit: f.Unit, Low: f.Low, High: f.High, Writable: f.Writable}
}

// keyed reads what could name equipment: short texts and whole numbers of tables with few records, as far as the
// walked user may view them.
func (s *Side) keyed(ctx context.Context, b *Building, as string) ([]propose.Keyed, error) {
	user, err := s.WalkedAs(ctx, b, as)
	if err != nil {
		return nil, err
	}
	app := b.Draft.App
	out := []propose.Keyed{}
	for _, id := range slices.Sorted(maps.Keys(app.Project.Tables)) {
		fields := naming(app.Project.Tables[id])
		records, err := use.Held(ctx, app, user, s.Reader(app), s.LocalNow(app), id, fields, recordsLooked)
		if answer.IsRefusal(err) || len(fields) == 0 {
			continue
		}
		if err != nil {
			return nil, err
		}
		for _, f := range fields {
			k := propose.Keyed{Table: id, Field: f}
			for _, r := range records {
				if v := r.Values[f]; v != "" {
					k.Records = append(k.Records, propose.KeyedRecord{Title: r.Title, Value: v})
				}
			}
			out = append(out, k)
		}
	}
	return out, nil
}

func naming(t *project.Table) (fields []string) {
	byPos := slices.SortedFunc(maps.Keys(t.Fields), func(a, b string) int {
		if d := t.Fields[a].Pos - t.Fields[b].Pos; d < 0 {
			return -1
		} else if d > 0 {
			return 1
		}
		return strings.Compare(a, b)
	})
	for _, id := range byPos {
		if f := t.Fields[id]; (f.Type == "text" && !f.Long && len(f.Choices) == 0 || f.Type == "whole" && f.References == "") && len(fields) < fieldsLooked {
			fields = append(fields, id)
		}
	}
	return fields
}

// GetEquipment gives what the values of a record's equipment are now, each with its quality.
func (s *Side) GetEquipment(c *gin.Context, slug, table string, params api.GetEquipmentParams) {
	In(s, c, slug, func(b *Building, _ answer.Nothing) ([]api.TagNow, error) {
		user, err := s.WalkedAs(c, b, params.As)
		if err != nil {
			return nil, err
		}
		app := b.Draft.App
		row, err := use.ForEquipment(c, app, user, s.Reader(app), s.LocalNow(app), table, params.Record)
		if err != nil {
			return nil, err
		}
		tags := base.Tags{Base: s.Base, Project: app.Project}
		return tagsNow(c, app.Project.EquipmentOf(table), tags, func(names []string) (ask.TagRef, bool) {
			ref, tag, _ := use.TagOf(app, row, nil, names)
			return ref, tag != nil
		}), nil
	})
}

// tagsNow tells what each value of an equipment is now.
func tagsNow(ctx context.Context, e *project.Equipment, tags base.Tags, refOf func(names []string) (ask.TagRef, bool)) []api.TagNow {
	if e == nil {
		return []api.TagNow{}
	}
	var asked []askedTag
	for _, part := range slices.Sorted(maps.Keys(e.Parts)) {
		for _, tag := range slices.Sorted(maps.Keys(e.Parts[part].Tags)) {
			one := askedTag{now: api.TagNow{Part: &part, Tag: tag}}
			if ref, ok := refOf([]string{part, tag}); ok {
				one.ref = ref
			} else {
				one.now.Why = answer.Ptr("the record does not say which equipment it is")
			}
			asked = append(asked, one)
		}
	}
	return readNow(ctx, tags, asked)
}
