package nav

import (
	"context"
	"strings"

	"ambergate/core/project"
)

// Position is where a record stands in the list that one came from.
type Position struct {
	List string `json:"list"` // what the list is called, with what narrows it
	At   int    `json:"at"`   // from 1; 0 when it is not in the list any more
	Past bool   `json:"past"` // it is further on than counted
	Of   int    `json:"of"`
	More bool   `json:"more"` // there are more than Of
	Gone bool   `json:"gone"` // the record is not in this list any more
	Slow bool   `json:"slow"` // it could not be counted in time
}

// Position counts where the screen's record stands in the list that one came from. It is asked
// for after the screen is shown.
func (o *Opening) Position(ctx context.Context, src Sources) (*Position, error) {
	if o.world.record == nil || o.place.Mode == "add" || len(o.app.Project.Tables[o.world.record.Table].Key) == 0 {
		return nil, refuse("no-record", "This screen shows no record of a list.", "")
	}
	q, list, err := o.listing(ctx, src)
	if err != nil {
		return nil, err
	}
	p := &Position{List: list + o.narrowedBy(ctx, src, q)}
	within, cancel := context.WithTimeout(ctx, stepLimit)
	defer cancel()
	err = o.count(within, src, q, p)
	if err != nil && within.Err() != nil && ctx.Err() == nil {
		return &Position{List: p.List, Slow: true}, nil
	}
	return p, err
}

// count counts a list up to where its record stands.
func (o *Opening) count(ctx context.Context, src Sources, q Query, p *Position) error {
	if err := o.placeInList(ctx, src, q); err != nil {
		return err
	}
	here := q
	here.Key, here.Order, here.Limit = o.world.record.Key, nil, 1
	page, err := src.Records.Fetch(ctx, here)
	if err != nil {
		return err
	}
	all, err := src.Records.Count(ctx, q)
	if err != nil {
		return err
	}
	p.Gone, p.Of, p.More = len(page.Rows) == 0, all.N, all.More
	before := q
	before.After, before.Back = o.place.From.At, true
	n, err := src.Records.Count(ctx, before)
	if err != nil {
		return err
	}
	if p.Past = n.More; !p.Gone {
		p.At = n.N + 1
	}
	return nil
}

// narrowedBy says what narrows the list come from, in a few words.
func (o *Opening) narrowedBy(ctx context.Context, src Sources, q Query) string {
	from := o.place.From
	if from == nil {
		return ""
	}
	var words []string
	if s := o.app.Project.Screens[from.Screen]; s != nil {
		for _, in := range project.Ordered(s.Inputs) {
			if in.Filter != "" && from.Inputs[in.ID] != "" {
				words = append(words, o.titleOf(ctx, src, in.Table, from.Inputs[in.ID]))
			}
		}
	}
	for _, f := range from.Filters {
		if c, _ := o.app.Project.FieldAt(q.Table.ID, f.Path); c != nil && o.maySee(q.Table.ID, f.Path) {
			words = append(words, f.words(c, o.zone()))
		}
	}
	if from.Find != "" {
		words = append(words, "“"+from.Find+"”")
	}
	if len(words) == 0 {
		return ""
	}
	return ", " + strings.Join(words, ", ")
}

// titleOf gives the title of a record by its key; the key itself where it is not to be had.
func (o *Opening) titleOf(ctx context.Context, src Sources, table, key string) string {
	t := o.app.Project.Tables[table]
	if t == nil {
		return key
	}
	set := pathSet{}
	(&planner{app: o.app}).needTitle(set, table, "")
	row, err := o.one(ctx, src, Query{Table: t, Key: key}, set)
	if err != nil || row == nil {
		return key
	}
	return o.world.title(row, table, "")
}
