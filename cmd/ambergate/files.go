package main

import (
	"context"
	"fmt"
	"os"
	"slices"
	"strings"

	"github.com/spf13/cobra"

	"ambergate/cluster"
	"ambergate/core/project"
	"ambergate/schema"
	"ambergate/server/administer"
	"ambergate/store"
	"ambergate/store/hashing"
)

// withStore opens the program's own store as serve does, also while serve runs.
func withStore(ctx context.Context, o *serveOptions, run func(*store.Store) error) error {
	dsn := o.store
	if dsn == "" {
		c, done, err := cluster.Attach(ctx, o.dir)
		if err != nil {
			return fmt.Errorf("%w: name the store with --store, or its folder with --dir", err)
		}
		defer done()
		if dsn, err = c.Database(ctx, "ambergate", true); err != nil {
			return err
		}
	}
	st, err := store.Open(ctx, dsn, hashing.Usual, nil)
	if err != nil {
		return err
	}
	defer st.Close()
	return run(st)
}

// storeFlags are those by which the store is named.
func storeFlags(c *cobra.Command) *serveOptions {
	o := &serveOptions{}
	c.Flags().StringVar(&o.store, "store", "", "connection string of the program's own database")
	c.Flags().StringVar(&o.dir, "dir", "ambergate-data", "folder of the program, where no store is named")
	c.PreRunE = func(cmd *cobra.Command, _ []string) error { return fill(cmd.Flags(), settings{}) }
	return o
}

// projectBySlug finds a project in the store.
func projectBySlug(ctx context.Context, st *store.Store, slug string) (id string, err error) {
	list, err := st.Projects(ctx)
	if err != nil {
		return "", err
	}
	names := []string{}
	for _, p := range list {
		if p.Slug == slug {
			return p.ID, nil
		}
		names = append(names, p.Slug)
	}
	return "", fmt.Errorf("there is no application “%s”; there are: %s", slug, strings.Join(names, ", "))
}

func exportCommand() *cobra.Command {
	c := &cobra.Command{Use: "export APPLICATION", Short: "Write an application as it is being built, as a file (JSON)", Args: cobra.ExactArgs(1)}
	o := storeFlags(c)
	var to string
	c.Flags().StringVarP(&to, "output", "o", "", "file to write; the terminal when absent")
	c.RunE = func(cmd *cobra.Command, args []string) error {
		return withStore(cmd.Context(), o, func(st *store.Store) error {
			id, err := projectBySlug(cmd.Context(), st, args[0])
			if err != nil {
				return err
			}
			text, err := administer.Export(cmd.Context(), st, id)
			if err != nil {
				return err
			}
			if to == "" {
				_, err = cmd.OutOrStdout().Write(text)
				return err
			}
			return os.WriteFile(to, text, 0o644)
		})
	}
	return c
}

func importCommand() *cobra.Command {
	c := &cobra.Command{Use: "import FILE", Short: "Make an application of a file that was exported", Args: cobra.ExactArgs(1)}
	o := storeFlags(c)
	var as string
	var at administer.Place
	c.Flags().StringVar(&as, "as", "", "who makes it, by the name they sign in by; they build and administer it")
	c.Flags().StringVar(&at.Title, "title", "", "what it is called; as in the file when absent")
	c.Flags().StringVar(&at.Slug, "slug", "", "its address; as in the file when absent")
	c.Flags().StringToStringVar(&at.Connect, "connect", nil, "THERE=HERE: which connection takes the place of which; may be repeated")
	_ = c.MarkFlagRequired("as")
	c.RunE = func(cmd *cobra.Command, args []string) error {
		f, p, err := readProject(args[0])
		if err != nil {
			return err
		}
		return withStore(cmd.Context(), o, func(st *store.Store) error {
			by, err := st.AccountID(cmd.Context(), as)
			if err != nil {
				return fmt.Errorf("nobody signs in as “%s”", as)
			}
			files := administer.NewFiles(st)
			slug, err := files.Import(cmd.Context(), by, f, p, at)
			if err != nil {
				return err
			}
			fmt.Fprintf(cmd.OutOrStdout(), "It is at /build/%s.\n", slug)
			return sayNeeds(cmd, st, p, at.Connect)
		})
	}
	return c
}

// sayNeeds says which connections are needed and were not added in the program; others may stand in its configuration.
func sayNeeds(cmd *cobra.Command, st *store.Store, p *project.Project, moved map[string]string) error {
	here, err := st.Connections(cmd.Context())
	if err != nil {
		return err
	}
	for name := range p.Needs() {
		if to, ok := moved[name]; ok {
			name = to
		}
		if !slices.ContainsFunc(here, func(c store.Connection) bool { return c.Name == name }) {
			fmt.Fprintf(cmd.OutOrStdout(), "It needs the connection “%s”: add it in the program, or in its configuration.\n", name)
		}
	}
	return nil
}

func readProject(file string) (*project.File, *project.Project, error) {
	text, err := os.ReadFile(file)
	if err != nil {
		return nil, nil, fmt.Errorf("read the file: %w", err)
	}
	f, p, err := project.ReadFile(text)
	if err != nil {
		return nil, nil, fmt.Errorf("%s: %w", file, err)
	}
	return f, p, nil
}

func schemaCommand() *cobra.Command {
	return &cobra.Command{Use: "schema", Short: "Print the JSON Schema of files that applications are exported to", Args: cobra.NoArgs, RunE: func(cmd *cobra.Command, _ []string) error {
		_, err := cmd.OutOrStdout().Write(schema.File)
		return err
	}}
}

func fileOrProject(ctx context.Context, o *serveOptions, name string) (*project.Project, error) {
	if _, err := os.Stat(name); err == nil || strings.HasSuffix(name, ".json") {
		_, p, err := readProject(name)
		return p, err
	}
	var p *project.Project
	err := withStore(ctx, o, func(st *store.Store) error {
		id, err := projectBySlug(ctx, st, name)
		if err != nil {
			return err
		}
		d, err := st.Draft(ctx, id)
		if err != nil {
			return err
		}
		p, err = project.Decode(d.Entities)
		return err
	})
	return p, err
}
