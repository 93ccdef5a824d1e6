package records

import (
	"context"
	"fmt"
	"maps"
	"slices"
	"strconv"

	"ambergate/core/ask"
)

// joinedWith asks statements, or waits for another who asks the very same ones, and later than now. run puts in the
// answers. What locks, and what is asked within a transaction, is asked by each alone.
func (r *Reader) joinedWith(ctx context.Context, qs []ask.Question, statements []asked, run func(ctx context.Context, answers []ask.Answer)) []ask.Answer {
	all := func(ctx context.Context) []ask.Answer {
		answers := make([]ask.Answer, len(statements))
		run(ctx, answers)
		return answers
	}
	if r.joined == nil || slices.ContainsFunc(qs, locks) {
		return all(ctx)
	}
	answers, shared, err := r.joined.Ask(ctx, keyOfAll(statements), all)
	switch {
	case err != nil:
		answers = make([]ask.Answer, len(statements))
		for i, a := range statements {
			answers[i] = a.answer(err)
		}
	case shared:
		answers = ownOf(answers)
	}
	return answers
}

func locks(q ask.Question) bool { return q.Fetch != nil && q.Fetch.Lock }

// keyOfAll tells statements and their values from all others.
func keyOfAll(statements []asked) string {
	var key []byte
	for _, a := range statements {
		key = append(strconv.AppendInt(key, int64(len(a.sql)), 10), ' ')
		key = append(key, a.sql...)
		key = append(strconv.AppendInt(key, int64(len(a.args)), 10), ' ')
		for _, v := range a.args {
			if text, is := v.(string); is {
				key = append(strconv.AppendInt(key, int64(len(text)), 10), ' ')
				key = append(key, text...)
				continue
			}
			key = fmt.Appendf(key, "%T %#v;", v, v)
		}
	}
	return string(key)
}

// ownOf copies answers that others hold too, as far as they may be changed.
func ownOf(answers []ask.Answer) []ask.Answer {
	out := slices.Clone(answers)
	for i := range out {
		a := &out[i]
		a.Page.Rows = slices.Clone(a.Page.Rows)
		for k, row := range a.Page.Rows {
			a.Page.Rows[k] = ownRow(row)
		}
		a.Groups = slices.Clone(a.Groups)
		for k := range a.Groups {
			g := &a.Groups[k]
			g.Row, g.More, g.Parts = ownRow(g.Row), slices.Clone(g.More), slices.Clone(g.Parts)
			for p := range g.Parts {
				g.Parts[p].Row = ownRow(g.Parts[p].Row)
			}
		}
	}
	return out
}

func ownRow(row *ask.Row) *ask.Row {
	if row == nil {
		return nil
	}
	own := *row
	own.Values, own.May = maps.Clone(row.Values), maps.Clone(row.May)
	return &own
}
