package stage

import (
	"context"
	"fmt"
	"io"
	"log/slog"
	"os"
	"time"

	"github.com/jackc/pgx/v5"
)

// Throwaway puts the demo up in a folder of its own, quietly, for tests and measurements. What it
// gives back ends it and deletes the folder. Whoever is told hears of every statement; nil: nobody. What it logs is
// written to log.
func Throwaway(ctx context.Context, today time.Time, told pgx.QueryTracer, log io.Writer) (*Stage, func(), error) {
	dir, err := os.MkdirTemp("", "ambergate")
	if err != nil {
		return nil, nil, fmt.Errorf("make a folder for a throwaway cluster: %w", err)
	}
	remove := func() { _ = os.RemoveAll(dir) } // it is the system's temporary folder
	if err := os.Chmod(dir, 0o711); err != nil {
		remove()
		return nil, nil, fmt.Errorf("open the folder of a throwaway cluster: %w", err)
	}
	quiet := slog.New(slog.NewTextHandler(log, nil))
	slog.SetDefault(quiet)
	s, err := Up(ctx, Options{Dir: dir, Today: today, Log: quiet, Told: told})
	if err == nil {
		err = s.nobodyRuns(ctx)
	}
	if err != nil {
		if s != nil {
			s.Down()
		}
		remove()
		return nil, nil, err
	}
	return s, func() { s.Down(); remove() }, nil
}
