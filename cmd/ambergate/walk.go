package main

import (
	"context"
	"errors"
	"fmt"
	"io"
	"log/slog"
	"maps"
	"os"
	"slices"
	"strings"
	"time"

	"github.com/spf13/cobra"

	"ambergate/core/differ"
	"ambergate/core/project"
	"ambergate/core/walk"
	"ambergate/plant"
	"ambergate/records"
	"ambergate/server/base"
	"ambergate/store"
)

// walked is what came of walks through an application, and how long it took.
type walked struct {
	application string
	results     []walk.Result
	took        time.Duration
}

// walkForms are what can be written of walks, by the name of the form.
var walkForms = map[string]func(io.Writer, walked) error{"text": writeWalks, "junit": writeJUnit}

func walkCommand() *cobra.Command {
	c := &cobra.Command{
		Use:   "walk APPLICATION [NAME…]",
		Short: "Go the walks of an application, or those that are named, and say where something is not as expected; ends with 1 then",
		Long: `Go the walks of an application, or those that are named, and say where something is not as expected.

Each walk is gone over the records as they are now, and nothing that it changes is kept. The program ends with 1 when one
differs. It is the application as it is being built, or, with --released,
as its users have it, or, with --release, as it was released then.`,
		Args: cobra.MinimumNArgs(1),
	}
	o := storeFlags(c)
	form, released, release := "text", false, 0
	c.Flags().StringVar(&form, "form", form, "text, junit (JUnit XML)")
	c.Flags().BoolVar(&released, "released", released, "the application as its users have it")
	c.Flags().IntVar(&release, "release", release, "the application as it was in this release")
	c.MarkFlagsMutuallyExclusive("released", "release")
	c.Flags().StringArrayVar(&o.records, "records", nil, "NAME=CONNECTION of a database that serve is told of; may be repeated")
	c.RunE = func(cmd *cobra.Command, args []string) error {
		write := walkForms[form]
		if write == nil {
			return fmt.Errorf("--form %s: write one of %s", form, strings.Join(slices.Sorted(maps.Keys(walkForms)), ", "))
		}
		if released {
			release = -1
		}
		var of walked
		err := withStore(cmd.Context(), o, func(st *store.Store) (err error) {
			of, err = walkedIn(cmd.Context(), st, o, args[0], args[1:], release)
			return err
		})
		if err != nil {
			return err
		}
		if err := write(cmd.OutOrStdout(), of); err != nil {
			return err
		}
		if slices.ContainsFunc(of.results, func(r walk.Result) bool { return r.Differs != nil }) {
			return errBroken
		}
		return nil
	}
	return c
}

// walkedIn goes the walks of an application that the store has, over the databases that it is connected to.
func walkedIn(ctx context.Context, st *store.Store, o *serveOptions, slug string, names []string, release int) (walked, error) {
	id, err := projectBySlug(ctx, st, slug)
	if err != nil {
		return walked{}, err
	}
	if o.store == "" { // connections that were added in the program are sealed by its key
		secret, err := key(o.dir)
		if err != nil {
			return walked{}, err
		}
		if err := st.UseKey(secret); err != nil {
			return walked{}, err
		}
	}
	config := base.Config{Store: st, Records: map[string]*records.Source{}, Plants: map[string]*plant.Client{}, Log: slog.New(slog.NewTextHandler(os.Stderr, &slog.HandlerOptions{Level: slog.LevelWarn}))}
	for _, one := range o.records {
		name, dsn, _ := strings.Cut(one, "=")
		source, err := records.Open(ctx, dsn, nil)
		if err != nil {
			return walked{}, err
		}
		defer source.Close()
		config.Records[name] = source
	}
	of := base.New(config)
	defer of.Connected.Close()
	if err := of.Connected.Load(ctx); err != nil {
		return walked{}, err
	}
	side, err := sideOf(ctx, of, id, release)
	if err != nil {
		return walked{}, err
	}
	some, err := walksNamed(side.App.Project, names)
	if err != nil {
		return walked{}, err
	}
	began := time.Now()
	results, err := of.Walked(ctx, side, some)
	return walked{application: slug, results: results, took: time.Since(began)}, err
}

// sideOf gives the draft, or a release of it: the one that all use for -1.
func sideOf(ctx context.Context, of *base.Base, id string, release int) (differ.Side, error) {
	draft, err := of.Apps.Draft(ctx, id)
	if err != nil {
		return differ.Side{}, err
	}
	switch {
	case release == 0:
		return draft.Side(), nil
	case release < 0 && draft.Released == 0:
		return differ.Side{}, errors.New("the application was not released yet: leave --released out")
	case release < 0:
		release = draft.Released
	}
	side, _, err := of.Apps.ReleaseSide(ctx, id, release)
	if errors.Is(err, store.ErrNone) {
		return differ.Side{}, fmt.Errorf("there is no release %d", release)
	}
	return side, err
}

// walksNamed gives the walks of some names, in the order of the document; all where none is named.
func walksNamed(p *project.Project, names []string) ([]*project.Walk, error) {
	all := project.Ordered(p.Walks)
	if len(names) == 0 {
		return all, nil
	}
	var out []*project.Walk
	for _, name := range names {
		i := slices.IndexFunc(all, func(w *project.Walk) bool { return strings.EqualFold(w.Name, name) || w.ID == name })
		if i < 0 {
			var there []string
			for _, w := range all {
				there = append(there, "“"+w.Name+"”")
			}
			return nil, fmt.Errorf("there is no walk “%s”; there are: %s", name, strings.Join(there, ", "))
		}
		out = append(out, all[i])
	}
	return out, nil
}

// writeWalks says each walk in a line, and of one that differs where, and what was expected and found.
func writeWalks(out io.Writer, of walked) error {
	var b strings.Builder
	differ := 0
	for _, r := range of.results {
		if r.Differs == nil {
			fmt.Fprintf(&b, "as expected: %s (%d steps)\n", r.Name, len(r.Steps))
			continue
		}
		differ++
		fmt.Fprintf(&b, "differs: %s\n    step %d, %s\n    expected: %s\n    found: %s\n", r.Name, len(r.Steps)+1, r.Differs.Words, r.Differs.Expected, r.Differs.Found)
		if r.Differs.Why != "" {
			fmt.Fprintf(&b, "    %s\n", r.Differs.Why)
		}
	}
	fmt.Fprintf(&b, "%d walks in %.1f s, %d differ.\n", len(of.results), of.took.Seconds(), differ)
	_, err := io.WriteString(out, b.String())
	return err
}
