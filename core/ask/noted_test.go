package ask

import (
	"context"
	"errors"
	"math/big"
	"testing"

	"ambergate/core/cond"
)

// answered gives the same answer to whatever is asked.
type answered struct{ Answer }

func (a answered) Fetch(context.Context, Query) (Page, error)         { return a.Page, a.Err }
func (a answered) Count(context.Context, Query) (Count, error)        { return a.Answer.Count, a.Err }
func (a answered) Group(context.Context, GroupQuery) ([]Group, error) { return a.Groups, a.Err }

func row(change func(*Row)) *Row {
	r := &Row{Table: "t", Key: "7", Version: "3", Values: map[string]cond.Value{"a": cond.String("x"), "b": cond.Int(1), "c": cond.Exact(big.NewRat(1, 3)), "d": cond.NullValue}, May: map[string]bool{"edit": true}}
	change(r)
	return r
}

func page(change func(*Row)) Answer { return Answer{Page: Page{Rows: []*Row{row(change)}}} }

func same(*Row) {}

// sumOf gives the number of some answers, each to a question of its own.
func sumOf(answers ...Answer) (uint64, bool) {
	n := Note(nil)
	for _, a := range answers {
		n.Records = answered{a}
		n.Together(context.Background(), []Question{{Fetch: &Query{}}, {Count: &Query{}}, {Group: &GroupQuery{}}})
	}
	return n.Sum()
}

func TestTheSameAnswersComeToTheSameNumber(t *testing.T) {
	want, all := sumOf(page(same), Answer{Count: Count{N: 3}})
	for range 20 { // what is in a map comes in any order
		if got, known := sumOf(page(same), Answer{Count: Count{N: 3}}); got != want || !known || !all {
			t.Fatalf("%d, known %v, and not %d", got, known, want)
		}
	}
}

func TestAnyOtherAnswerComesToAnother(t *testing.T) {
	group := func(change func(*Group)) Answer {
		g := Group{Value: cond.String("x"), N: 2, More: []float64{1}, Parts: []GroupPart{{Value: "p", N: 1}}, Row: row(same)}
		change(&g)
		return Answer{Groups: []Group{g}}
	}
	seen := map[uint64]string{}
	for name, answers := range map[string][]Answer{
		"nothing":          {{}},
		"nothing twice":    {{}, {}},
		"a record":         {page(same)},
		"two":              {{Page: Page{Rows: []*Row{row(same), row(same)}}}},
		"another key":      {page(func(r *Row) { r.Key = "8" })},
		"another version":  {page(func(r *Row) { r.Version = "4" })},
		"another text":     {page(func(r *Row) { r.Values["a"] = cond.String("y") })},
		"a text of digits": {page(func(r *Row) { r.Values["b"] = cond.String("1") })},
		"values swapped":   {page(func(r *Row) { r.Values["a"], r.Values["d"] = r.Values["d"], r.Values["a"] })},
		"another fraction": {page(func(r *Row) { r.Values["c"] = cond.Exact(big.NewRat(2, 3)) })},
		"one value less":   {page(func(r *Row) { delete(r.Values, "d") })},
		"not to change":    {page(func(r *Row) { r.May["edit"] = false })},
		"of another table": {page(func(r *Row) { r.Table = "u" })},
		"further on":       {page(func(r *Row) { r.Cursor = "c" })},
		"more after it":    {{Page: Page{Next: "n"}}},
		"a count":          {{Count: Count{N: 1}}},
		"at least a count": {{Count: Count{N: 1, More: true}}},
		"a group":          {group(func(*Group) {})},
		"a larger group":   {group(func(g *Group) { g.N = 3 })},
		"another part":     {group(func(g *Group) { g.Parts[0].N = 2 })},
		"an unseen part":   {group(func(g *Group) { g.Parts[0].Unseen = true })},
		"more of it":       {group(func(g *Group) { g.More[0] = 2 })},
		"of another name":  {group(func(g *Group) { g.Row = row(func(r *Row) { r.Values["a"] = cond.String("z") }) })},
		"one for others":   {group(func(g *Group) { g.Rest = 1 })},
	} {
		sum, all := sumOf(answers...)
		if was, taken := seen[sum]; taken || !all {
			t.Errorf("%s comes to the number of %s (all known: %v)", name, was, all)
		}
		seen[sum] = name
	}
}

func TestWhatNoNumberTellsOfIsNoted(t *testing.T) {
	if _, all := sumOf(page(same), Answer{Err: errors.New("away")}); all {
		t.Error("an answer that did not come counts as known")
	}
	n := Note(answered{})
	tags := n.Tags(plantOf{})
	if _, all := n.Sum(); !all {
		t.Error("nothing was read yet")
	}
	tags.Read(TagRef{})
	if _, all := n.Sum(); all {
		t.Error("a live value was read, and nobody knows")
	}
	if n.Tags(nil) != nil {
		t.Error("a plant comes from nowhere")
	}
}

type plantOf struct{}

func (plantOf) Read(TagRef) Reading { return Reading{} }
