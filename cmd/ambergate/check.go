package main

import (
	"errors"
	"fmt"
	"io"
	"maps"
	"slices"
	"strings"
	"text/tabwriter"

	"github.com/spf13/cobra"

	"ambergate/core/check"
	"ambergate/core/check/reach"
	"ambergate/core/checks"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/whole"
)

// errBroken means that something is broken: the program ends with 1, and has said what.
var errBroken = errors.New("something is broken")

// checked is an application that is told of as a whole.
type checked struct {
	name  string // as it was named on the command line
	app   *plan.App
	graph *reach.Graph
	who   []whole.Who // each role, or the one that was asked for
	found []check.Finding
}

// forms are what can be written of an application, by the name of the form.
var forms = map[string]func(io.Writer, checked) error{
	"text":  writeText,
	"sarif": func(out io.Writer, c checked) error { return writeSARIF(out, c.name, c.found) },
	"csv":   func(out io.Writer, c checked) error { return whole.TableOf(c.graph, c.who, nil).CSV(out) },
	"svg": func(out io.Writer, c checked) error {
		_, err := io.WriteString(out, whole.MapOf(c.graph, c.who, nil).SVG(c.app.Project.Settings.Title))
		return err
	},
	"scxml": func(out io.Writer, c checked) error {
		if len(c.who) == 0 {
			return errors.New("the application has no role, so it has no start: name one in it first")
		}
		text, err := whole.SCXML(c.graph, c.who[0])
		if err == nil {
			_, err = io.WriteString(out, text)
		}
		return err
	},
}

func checkCommand() *cobra.Command {
	c := &cobra.Command{Use: "check FILE|APPLICATION", Short: "Print what is wrong with an application, and who gets where; ends with 1 when something is broken", Args: cobra.ExactArgs(1)}
	o := storeFlags(c)
	form, role := "text", ""
	c.Flags().StringVar(&form, "form", form, "text, sarif (SARIF 2.1.0), csv (who gets where), svg (the map), scxml (screens and ways, W3C SCXML)")
	c.Flags().StringVar(&role, "role", role, "of the map and of who gets where: just this role, by its name; of scxml the first where none is named")
	c.RunE = func(cmd *cobra.Command, args []string) error {
		write := forms[form]
		if write == nil {
			return fmt.Errorf("--form %s: write one of %s", form, strings.Join(slices.Sorted(maps.Keys(forms)), ", "))
		}
		p, err := fileOrProject(cmd.Context(), o, args[0])
		if err != nil {
			return err
		}
		of, err := checkedOf(args[0], p, role)
		if err != nil {
			return err
		}
		if err := write(cmd.OutOrStdout(), of); err != nil {
			return err
		}
		if slices.ContainsFunc(check.Open(of.found), func(f check.Finding) bool { return f.Severity == check.Broken }) {
			return errBroken
		}
		return nil
	}
	return c
}

func checkedOf(name string, p *project.Project, role string) (checked, error) {
	app, err := plan.Compile(p)
	if err != nil {
		return checked{}, err
	}
	out := checked{name: name, app: app, graph: reach.Of(app, nil), found: checks.All.Sorted(checks.All.Run(app))}
	for _, w := range whole.Sets(p, nil) {
		if role == "" || strings.EqualFold(w.Name, role) {
			out.who = append(out.who, w)
		}
	}
	if role != "" && len(out.who) == 0 {
		return checked{}, fmt.Errorf("--role %s: the application has no role of that name", role)
	}
	return out, nil
}

// writeText says what is wrong, what is expected, and who gets where.
func writeText(out io.Writer, c checked) error {
	var b strings.Builder
	open := check.Open(c.found)
	for _, f := range open {
		where := f.Entity
		if s := c.app.Project.Screens[f.Screen]; s != nil {
			where = s.Title
		}
		fmt.Fprintf(&b, "%s: %s: %s (%s)\n", where, f.Severity, f.Words, f.Check)
		if f.Check == "expectation" && f.Evidence != "" {
			fmt.Fprintf(&b, "    %s\n", f.Evidence)
		}
	}
	fmt.Fprintf(&b, "%d findings", len(open))
	if accepted := len(c.found) - len(open); accepted > 0 {
		fmt.Fprintf(&b, ", and %d accepted", accepted)
	}
	b.WriteString(".\n")
	table := whole.TableOf(c.graph, c.who, nil)
	if len(table.Expected) > 0 {
		b.WriteString("\nExpected:\n")
	}
	for _, e := range table.Expected {
		fmt.Fprintf(&b, "  %s: %s.\n", e.Kept, e.Words)
	}
	if len(table.Who) > 0 {
		b.WriteString("\nWho gets where, in how many presses:\n")
		w := tabwriter.NewWriter(&b, 0, 0, 2, ' ', 0)
		for _, who := range table.Who {
			fmt.Fprintf(w, "\t%s", who.Name)
		}
		fmt.Fprintln(w)
		for _, l := range table.Lines {
			fmt.Fprintf(w, "  %s", l.Title)
			for _, cell := range l.Cells {
				fmt.Fprintf(w, "\t%s", cell.Words())
			}
			fmt.Fprintln(w)
		}
		if err := w.Flush(); err != nil {
			return err
		}
	}
	_, err := io.WriteString(out, b.String())
	return err
}
