package ask

import (
	"context"
	"sync/atomic"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// Noted are records of which is known, by a number, what they answered: where the same place comes to the same number
// again, it shows the same. One request uses it, for one place.
type Noted struct {
	Records
	sum    cond.Sum
	beyond atomic.Bool
}

// Note gives records that note what they answer.
func Note(records Records) *Noted { return &Noted{Records: records} }

// Beyond notes that something else than records was asked, which no number tells of: the time, a plant, another project.
func (n *Noted) Beyond() { n.beyond.Store(true) }

// Sum gives the number of all that was answered so far; false where something else was asked too, or not answered.
func (n *Noted) Sum() (sum uint64, all bool) { return uint64(n.sum), !n.beyond.Load() }

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

// note adds an answer to those before.
func (n *Noted) note(a *Answer) {
	if a.Err != nil {
		n.Beyond()
		return
	}
	s := &n.sum
	s.Add(uint64(len(a.Page.Rows)))
	for _, row := range a.Page.Rows {
		noteRow(s, row)
	}
	s.Text(a.Page.Next)
	s.Add(uint64(a.Count.N))
	s.Is(a.Count.More)
	s.Add(uint64(len(a.Groups)))
	for i := range a.Groups {
		noteGroup(s, &a.Groups[i])
	}
}

func noteRow(s *cond.Sum, row *Row) {
	s.Is(row != nil)
	if row == nil {
		return
	}
	s.Text(row.Table)
	s.Text(row.Key)
	s.Text(row.Version)
	s.Text(row.Cursor)
	noteMap(s, row.Values, (*cond.Sum).Value)
	noteMap(s, row.May, (*cond.Sum).Is)
}

// noteMap adds what stands under names: in no order, so the numbers of all are added up.
func noteMap[V any](s *cond.Sum, of map[string]V, add func(*cond.Sum, V)) {
	all, one := uint64(0), cond.Sum(0)
	for name, v := range of {
		one = 0
		one.Text(name)
		add(&one, v)
		all += uint64(one)
	}
	s.Add(uint64(len(of)))
	s.Add(all)
}

func noteGroup(s *cond.Sum, g *Group) {
	s.Value(g.Value)
	noteRow(s, g.Row)
	s.Number(g.N)
	s.Add(uint64(len(g.More)))
	for _, more := range g.More {
		s.Number(more)
	}
	s.Add(uint64(len(g.Parts)))
	for i := range g.Parts {
		part := &g.Parts[i]
		s.Text(part.Value)
		s.Is(part.Unseen)
		noteRow(s, part.Row)
		s.Number(part.N)
	}
	s.Add(uint64(g.Rest))
}
