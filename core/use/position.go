package use

import (
	"context"
	"strings"

	"ambergate/core/ask"
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
	if o.World.Record == nil || o.At.Mode == "add" || len(o.App.Project.Tables[o.World.Record.Table].Key) == 0 {
		return nil, ask.Refuse("no-record", "This screen shows no record of a list.", "Open one from its list.")
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
func (o *Opening) count(ctx context.Context, src Sources, q ask.Query, p *Position) error {
	if err := o.placeInList(ctx, src, q); err != nil {
		return err
	}
	here := q
	here.Key, here.Order, here.Limit = o.World.Record.Key, nil, 1
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
	before.After, before.Back = o.At.From.At, true
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
func (o *Opening) narrowedBy(ctx context.Context, src Sources, q ask.Query) string {
	from := o.At.From
	if from == nil {
		return ""
	}
	var words []string
	if s := o.App.Project.Screens[from.Screen]; s != nil {
		for _, in := range project.Ordered(s.Inputs) {
			if in.Filter != "" && from.Inputs[in.ID] != "" {
				words = append(words, o.TitleOf(ctx, src, in.Table, from.Inputs[in.ID]))
			}
		}
	}
	for _, f := range from.Filters {
		if c, _ := o.App.Project.FieldAt(q.Table.ID, f.Path); c != nil && o.MaySee(q.Table.ID, f.Path) {
			words = append(words, f.Words(c, o.zone()))
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
