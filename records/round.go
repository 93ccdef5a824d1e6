package records

import (
	"context"
	"fmt"
	"slices"
	"strconv"
	"strings"

	"github.com/jackc/pgx/v5"

	"ambergate/core/ask"
)

// asked is a question as a statement, and how its answer is read.
type asked struct {
	sql   string
	args  []any
	doing string                   // for errors: “read defects”
	shape func() string            // statements of one shape can be put together; nil and "" for none
	take  func(values []any) error // a row of the answer
	done  func() ask.Answer        // when all were taken
	loose bool                     // finds nothing where a value cannot be one of its column’s type
}

func (r *Reader) prepare(q ask.Question) (asked, error) {
	switch {
	case q.Fetch != nil:
		return r.preparedFetch(*q.Fetch)
	case q.Count != nil:
		return r.preparedCount(*q.Count)
	}
	return r.preparedGroup(*q.Group)
}

// alone asks one question.
func (r *Reader) alone(ctx context.Context, q ask.Question) ask.Answer {
	a, err := r.prepare(q)
	if err != nil {
		return ask.Answer{Err: err}
	}
	return r.joinedWith(ctx, []ask.Question{q}, []asked{a}, func(ctx context.Context, answers []ask.Answer) {
		answers[0] = r.run(ctx, a)
	})[0]
}

// again asks one question anew, by itself.
func (r *Reader) again(ctx context.Context, q ask.Question) ask.Answer {
	a, err := r.prepare(q)
	if err != nil {
		return ask.Answer{Err: err}
	}
	return r.run(ctx, a)
}

func (r *Reader) run(ctx context.Context, a asked) ask.Answer {
	err := a.all(r.db.Query(ctx, a.sql, a.args...))
	if isOneOf(err, otherPlan) && !r.within {
		err = a.all(r.db.Query(ctx, a.sql, a.args...)) // a column is of another type by now: it is planned anew
	}
	return a.answer(err)
}

// all takes what came back.
func (a asked) all(rows pgx.Rows, err error) error {
	if err != nil {
		return err
	}
	defer rows.Close()
	for rows.Next() {
		values, err := rows.Values()
		if err != nil {
			return err
		}
		if err := a.take(values); err != nil {
			return err
		}
	}
	return rows.Err()
}

// answer is what was taken, or the error in words. "abc" as a number's key finds nothing rather than fail.
func (a asked) answer(err error) ask.Answer {
	switch {
	case err == nil:
		return a.done()
	case a.loose && isOneOf(err, misfits):
		return ask.Answer{}
	}
	return ask.Answer{Err: fmt.Errorf("%s: %w", a.doing, gone(err))}
}

// Together asks several questions in one round trip. Within a transaction, where a value cannot be
// one of its column’s type nothing is found of what was asked after it either.
func (r *Reader) Together(ctx context.Context, qs []ask.Question) []ask.Answer {
	if len(qs) == 1 {
		return []ask.Answer{r.alone(ctx, qs[0])}
	}
	statements, failed := make([]asked, len(qs)), make([]error, len(qs))
	for i, q := range qs {
		statements[i], failed[i] = r.prepare(q)
	}
	answers := r.joinedWith(ctx, qs, statements, func(ctx context.Context, answers []ask.Answer) {
		r.together(ctx, qs, statements, answers)
	})
	for i, err := range failed {
		if err != nil {
			answers[i] = ask.Answer{Err: err}
		}
	}
	return answers
}

func (r *Reader) together(ctx context.Context, qs []ask.Question, statements []asked, answers []ask.Answer) {
	var sent [][]int // questions, those of one shape together
	of := map[string]int{}
	for i, a := range statements {
		if a.sql == "" {
			continue // it cannot be asked
		}
		shape := ""
		if a.shape != nil {
			shape = a.shape()
		}
		if k, there := of[shape]; there {
			sent[k] = append(sent[k], i)
			continue
		}
		if shape != "" {
			of[shape] = len(sent)
		}
		sent = append(sent, []int{i})
	}
	if r.send(ctx, sent, statements, answers) && !r.within {
		for _, i := range slices.Concat(sent...) { // one misfit spoils what comes after it: each by itself then
			answers[i] = r.again(ctx, qs[i])
		}
	}
}

// send asks and reads the answers, up to the first misfit, of which it tells.
func (r *Reader) send(ctx context.Context, sent [][]int, statements []asked, answers []ask.Answer) (misfit bool) {
	if len(sent) == 0 {
		return false
	}
	var batch pgx.Batch
	together := make([]asked, len(sent))
	for k, of := range sent {
		together[k] = statements[of[0]]
		if len(of) > 1 {
			together[k] = united(of, statements)
		}
		batch.Queue(together[k].sql, together[k].args...)
	}
	results := r.db.SendBatch(ctx, &batch)
	defer results.Close() // each answer has told its own error
	for k, of := range sent {
		err := together[k].all(results.Query())
		if together[k].loose && isOneOf(err, misfits) || isOneOf(err, otherPlan) {
			return true
		}
		for _, i := range of {
			answers[i] = statements[i].answer(err)
		}
	}
	return false
}

// renumbered gives SQL whose parameters come after so many others. What stands in quotes, names of columns among it, is
// left as it is.
func renumbered(sql string, by int) string {
	if by == 0 {
		return sql
	}
	out, quote := make([]byte, 0, len(sql)+8), byte(0)
	for i := 0; i < len(sql); i++ {
		c := sql[i]
		out = append(out, c)
		switch {
		case quote != 0:
			if c == quote {
				quote = 0
			}
			continue
		case c == '"' || c == '\'':
			quote = c
			continue
		case c != '$':
			continue
		}
		n := 0
		for ; i+1 < len(sql) && '0' <= sql[i+1] && sql[i+1] <= '9'; i++ {
			n = 10*n + int(sql[i+1]-'0')
		}
		out = strconv.AppendInt(out, int64(n+by), 10)
	}
	return string(out)
}

// united puts statements of one shape into one.
func united(of []int, statements []asked) asked {
	first := statements[of[0]]
	all := asked{doing: first.doing, loose: first.loose}
	parts := make([]string, len(of))
	for k, i := range of {
		parts[k] = fmt.Sprintf("(select %d, x.* from (%s) x)", i, renumbered(statements[i].sql, len(all.args)))
		all.args = append(all.args, statements[i].args...)
	}
	all.sql = strings.Join(parts, " union all ")
	all.take = func(values []any) error {
		i, _ := values[0].(int32)
		return statements[i].take(values[1:])
	}
	return all
}

// ended cuts what was read beyond a query's limit, and gives it in the list's order.
func ended(page ask.Page, q ask.Query) ask.Page {
	if q.Limit > 0 && len(page.Rows) > q.Limit {
		page.Rows = page.Rows[:q.Limit]
		page.Next = page.Rows[q.Limit-1].Cursor
	}
	if q.Back {
		slices.Reverse(page.Rows)
	}
	return page
}
