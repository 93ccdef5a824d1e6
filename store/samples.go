package store

import (
	"context"
	"fmt"
	"time"

	"github.com/jackc/pgx/v5"
)

// Samples are values of one node of a plant over a stretch of time, oldest first.
type Samples struct {
	Plant  string // the connection, by name
	Node   string
	At     []int64 // Unix milliseconds
	Values []float64
}

// SamplesKept is for how long samples are kept: for as long as a trend reaches back.
const SamplesKept = time.Hour

// KeepSamples adds stretches of samples, all or none, and forgets those that are too old.
func (s *Store) KeepSamples(ctx context.Context, all []Samples, now time.Time) error {
	return s.inTx(ctx, "keep what trends show", func(tx pgx.Tx) error {
		b := &pgx.Batch{}
		for _, one := range all {
			if n := len(one.At); n > 0 {
				b.Queue(`insert into plant_samples (plant, node, until, at, value) values ($1, $2, $3, $4, $5) on conflict do nothing`, one.Plant, one.Node, one.At[n-1], one.At, one.Values)
			}
		}
		b.Queue(`delete from plant_samples where until < $1`, now.Add(-SamplesKept).UnixMilli())
		return tx.SendBatch(ctx, b).Close()
	})
}

// SamplesOf gives what was kept of a node since a moment, oldest first.
func (s *Store) SamplesOf(ctx context.Context, plant, node string, since time.Time) (Samples, error) {
	out := Samples{Plant: plant, Node: node}
	rows, err := s.pool.Query(ctx, `select at, value from plant_samples where plant = $1 and node = $2 and until >= $3 order by until`, plant, node, since.UnixMilli())
	if err != nil {
		return out, fmt.Errorf("read what a trend shows: %w", err)
	}
	var at []int64
	var value []float64
	_, err = pgx.ForEachRow(rows, []any{&at, &value}, func() error {
		out.At, out.Values = append(out.At, at...), append(out.Values, value...)
		return nil
	})
	if err != nil {
		return out, fmt.Errorf("read what a trend shows: %w", err)
	}
	return out, nil
}
