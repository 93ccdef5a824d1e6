package ask

import (
	"context"

	"ambergate/core/project"
)

// Question is one of several that are asked at once: exactly one of its parts is given.
type Question struct {
	Fetch *Query
	Count *Query
	Group *GroupQuery
}

// Of gives the table that a question is of.
func (q Question) Of() *project.Table {
	switch {
	case q.Fetch != nil:
		return q.Fetch.Table
	case q.Count != nil:
		return q.Count.Table
	}
	return q.Group.Table
}

// Answer is what came of a question, or why nothing did.
type Answer struct {
	Page   Page
	Count  Count
	Groups []Group
	Err    error
}

// Together is answered by records that take several questions in one go to their database.
type Together interface {
	// Together gives an answer to each question, in their order. It never fails as a whole.
	Together(ctx context.Context, qs []Question) []Answer
}

// Round is questions that do not wait for each other, each with what is done with its answer. What is done may
// ask on: that is the next round. The zero value is ready.
type Round struct {
	asked    []Question
	answered []func(Answer) error
}

func (r *Round) ask(q Question, then func(Answer) error) {
	r.asked, r.answered = append(r.asked, q), append(r.answered, then)
}

// Fetch asks for records. What is done is told of an error, and may pass it on.
func (r *Round) Fetch(q Query, then func(Page, error) error) {
	r.ask(Question{Fetch: &q}, func(a Answer) error { return then(a.Page, a.Err) })
}

// Count asks how many there are. An error ends the round.
func (r *Round) Count(q Query, then func(Count)) {
	r.ask(Question{Count: &q}, func(a Answer) error {
		if a.Err == nil {
			then(a.Count)
		}
		return a.Err
	})
}

// Group asks for groups. An error ends the round.
func (r *Round) Group(q GroupQuery, then func([]Group)) {
	r.ask(Question{Group: &q}, func(a Answer) error {
		if a.Err == nil {
			then(a.Groups)
		}
		return a.Err
	})
}

// Run asks until nothing is asked any more, and gives the first error that was not dealt with.
func (r *Round) Run(ctx context.Context, records Records) error {
	for len(r.asked) > 0 {
		asked, answered := r.asked, r.answered
		r.asked, r.answered = nil, nil
		for i, a := range All(ctx, records, asked) {
			if err := answered[i](a); err != nil {
				return err
			}
		}
	}
	return nil
}

// All asks several questions, at once where the records can.
func All(ctx context.Context, records Records, qs []Question) []Answer {
	if many, ok := records.(Together); ok {
		return many.Together(ctx, qs)
	}
	answers := make([]Answer, len(qs))
	for i, q := range qs {
		answers[i] = One(ctx, records, q)
	}
	return answers
}

// One asks one question.
func One(ctx context.Context, records Records, q Question) (a Answer) {
	switch {
	case q.Fetch != nil:
		a.Page, a.Err = records.Fetch(ctx, *q.Fetch)
	case q.Count != nil:
		a.Count, a.Err = records.Count(ctx, *q.Count)
	default:
		a.Groups, a.Err = records.Group(ctx, *q.Group)
	}
	return a
}
