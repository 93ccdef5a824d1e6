package use

import (
	"context"
	"fmt"
	"strings"

	"ambergate/core/ask"
	"ambergate/core/english"
	"ambergate/core/place"
	"ambergate/core/plan"
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
	q, list := o.listing()
	p := &Position{List: list + o.narrowedBy(ctx, src, q)}
	within, cancel := context.WithTimeout(ctx, stepLimit)
	defer cancel()
	err := o.count(within, src, q, p)
	if err != nil && within.Err() != nil && ctx.Err() == nil {
		return &Position{List: p.List, Slow: true}, nil
	}
	return p, err
}

// count counts a list up to where its record stands.
func (o *Opening) count(ctx context.Context, src Sources, q ask.Query, p *Position) error {
	var round ask.Round
	here := q
	here.Key, here.Limit = o.World.Record.Key, 1
	before := func(cursor string) {
		part := q
		part.After, part.Back = cursor, true
		round.Count(part, func(n ask.Count) {
			if p.Past = n.More; !p.Gone {
				p.At = n.N + 1
			}
		})
	}
	round.Fetch(here, func(page ask.Page, err error) error {
		p.Gone = len(page.Rows) == 0
		return err
	})
	round.Count(q, func(all ask.Count) { p.Of, p.More = all.N, all.More })
	if from := o.At.From; from != nil && from.At != "" && from.Key == o.World.Record.Key {
		before(from.At)
		return round.Run(ctx, src.Records)
	}
	// Its place is that among all records: it may be out of the list.
	err := o.askOne(&round, ask.Query{Table: q.Table, Key: o.World.Record.Key, Order: q.Order}, plan.Paths{}, func(row *ask.Row) error {
		if row != nil {
			before(row.Cursor)
		}
		return nil
	})
	if err != nil {
		return err
	}
	return round.Run(ctx, src.Records)
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
				of := place.Place{Inputs: from.Inputs}
				if several := of.Several(in); len(several) > 1 {
					words = append(words, fmt.Sprintf("%d of %s", len(several), english.Lower(in.Label)))
					continue
				}
				words = append(words, o.TitleOf(ctx, src, in.Table, from.Inputs[in.ID]))
			}
		}
	}
	for _, f := range from.Filters {
		if c, _ := o.App.Project.FieldAt(q.Table.ID, f.Path); c != nil && o.MaySee(q.Table.ID, f.Path) {
			words = append(words, f.Words(c, o.App.Language, o.zone()))
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
