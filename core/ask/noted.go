package ask

import (
	"context"
	"hash/maphash"
	"math"
	"sync/atomic"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// Noted are records of which is known, by a number, what they answered: where the same place comes to the same number
// again, it shows the same. One request uses it, for one place.
type Noted struct {
	Records
	sum     uint64
	beyond  atomic.Bool
	entries maphash.Hash
}

var noteSeed = maphash.MakeSeed()

// Note gives records that note what they answer.
func Note(records Records) *Noted {
	n := &Noted{Records: records}
	n.entries.SetSeed(noteSeed)
	return n
}

// Beyond notes that something else than records was asked, which no number tells of: the time, a plant, another project.
func (n *Noted) Beyond() { n.beyond.Store(true) }

// Sum gives the number of all that was answered so far; false where something else was asked too, or not answered.
func (n *Noted) Sum() (sum uint64, all bool) { return n.sum, !n.beyond.Load() }

// Together asks several questions at once.
func (n *Noted) Together(ctx context.Context, qs []Question) []Answer {
	answers := All(ctx, n.Records, qs)
	for i := range answers {
		n.note(&answers[i])
	}
	return answers
}

// Fetch asks for records.
func (n *Noted) Fetch(ctx context.Context, q Query) (Page, error) {
	page, err := n.Records.Fetch(ctx, q)
	n.note(&Answer{Page: page, Err: err})
	return page, err
}

// Count asks how many there are.
func (n *Noted) Count(ctx context.Context, q Query) (Count, error) {
	count, err := n.Records.Count(ctx, q)
	n.note(&Answer{Count: count, Err: err})
	return count, err
}

// Group asks for groups.
func (n *Noted) Group(ctx context.Context, q GroupQuery) ([]Group, error) {
	groups, err := n.Records.Group(ctx, q)
	n.note(&Answer{Groups: groups, Err: err})
	return groups, err
}

// OnlyRead says whether a table cannot be changed here.
func (n *Noted) OnlyRead(t *project.Table) bool {
	of, is := n.Records.(OnlyRead)
	return is && of.OnlyRead(t)
}

// Tags gives live values; where one is read, that is noted.
func (n *Noted) Tags(tags Tags) Tags {
	if tags == nil {
		return nil
	}
	return notedTags{tags, n}
}

type notedTags struct {
	Tags
	n *Noted
}

// Read gives a live value.
func (t notedTags) Read(ref TagRef) Reading {
	t.n.Beyond()
	return t.Tags.Read(ref)
}

// note adds an answer to those before. What stands in maps has no order: its entries are added up.
func (n *Noted) note(a *Answer) {
	if a.Err != nil {
		n.Beyond()
		return
	}
	var h maphash.Hash
	h.SetSeed(noteSeed)
	cond.SumCount(&h, len(a.Page.Rows))
	for _, row := range a.Page.Rows {
		n.row(&h, row)
	}
	cond.SumText(&h, a.Page.Next)
	cond.SumCount(&h, a.Count.N)
	flag(&h, a.Count.More)
	cond.SumCount(&h, len(a.Groups))
	for i := range a.Groups {
		n.group(&h, &a.Groups[i])
	}
	cond.SumCount(&h, int(n.sum))
	n.sum = h.Sum64()
}

func (n *Noted) row(h *maphash.Hash, row *Row) {
	flag(h, row != nil)
	if row == nil {
		return
	}
	for _, text := range []string{row.Table, row.Key, row.Version, row.Cursor} {
		cond.SumText(h, text)
	}
	all := uint64(0)
	for path, v := range row.Values {
		n.entries.Reset()
		cond.SumText(&n.entries, path)
		v.Sum(&n.entries)
		all += n.entries.Sum64()
	}
	cond.SumCount(h, len(row.Values))
	cond.SumCount(h, int(all))
	all = 0
	for name, may := range row.May {
		n.entries.Reset()
		cond.SumText(&n.entries, name)
		flag(&n.entries, may)
		all += n.entries.Sum64()
	}
	cond.SumCount(h, len(row.May))
	cond.SumCount(h, int(all))
}

func (n *Noted) group(h *maphash.Hash, g *Group) {
	g.Value.Sum(h)
	n.row(h, g.Row)
	number(h, g.N)
	cond.SumCount(h, len(g.More))
	for _, more := range g.More {
		number(h, more)
	}
	cond.SumCount(h, len(g.Parts))
	for i := range g.Parts {
		part := &g.Parts[i]
		cond.SumText(h, part.Value)
		flag(h, part.Unseen)
		n.row(h, part.Row)
		number(h, part.N)
	}
	cond.SumCount(h, g.Rest)
}

func flag(h *maphash.Hash, is bool) {
	if is {
		h.WriteByte(1)
	} else {
		h.WriteByte(0)
	}
}

func number(h *maphash.Hash, x float64) { cond.SumCount(h, int(math.Float64bits(x))) }
