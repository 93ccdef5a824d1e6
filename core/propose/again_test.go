package propose_test

import (
	"encoding/json"
	"fmt"
	"slices"
	"strings"
	"testing"

	"ambergate/core/catalogue"
	"ambergate/core/patch"
	"ambergate/core/project"
	"ambergate/core/propose"
)

// pumpsAlone is an application over the pumps and their sites.
func pumpsAlone(t *testing.T, d *catalogue.Database) (*propose.Application, *project.Project) {
	t.Helper()
	a, app := proposed(t, d, propose.Wish{Title: "Pumps", Connection: "works", Tables: []propose.TableWish{{Schema: "works", Name: "pumps"}, {Schema: "works", Name: "sites"}}})
	return a, app.Project
}

func numbered(d *catalogue.Database) *catalogue.Database {
	for _, t := range d.Tables {
		for i, c := range t.Columns {
			c.Number = i + 1
		}
	}
	return d
}

func told(differences []propose.Difference, words string) *propose.Difference {
	for i, d := range differences {
		if strings.Contains(d.Words, words) {
			return &differences[i]
		}
	}
	return nil
}

func TestReadAgainNothingDiffersButWhatIsNotTakenIn(t *testing.T) {
	d := numbered(works())
	_, p := pumpsAlone(t, d)
	for _, one := range propose.Again(p, "so_works", d) {
		if one.Kind != propose.New || one.Table != "" {
			t.Errorf("%+v", one)
		}
	}
}

// Each change of a database is told as a sentence; what can be mended is, and then it is told no more.
func TestReadAgainEachDifferenceIsToldAndMended(t *testing.T) {
	for name, c := range map[string]struct {
		change func(pumps *catalogue.Table)
		words  string
		mended bool
	}{
		"a column added": {func(p *catalogue.Table) { c := col("owner text"); c.Number = 99; p.Columns = append(p.Columns, c) }, "Pumps: the database has the column “owner” (text)", true},
		"a column dropped": {func(p *catalogue.Table) {
			p.Columns = slices.DeleteFunc(p.Columns, func(c *catalogue.Column) bool { return c.Name == "built" })
		}, "Pumps, Built: the column “built” is gone", false},
		"a column renamed": {func(p *catalogue.Table) { p.Column("built").Name = "built_in" }, "the column “built” is called “built_in” now", true},
		"another type":     {func(p *catalogue.Table) { c := p.Column("built"); c.Base, c.Type = "text", "text" }, "Pumps, Built: it was a whole number, and is a text now", true},
		"needs a value":    {func(p *catalogue.Table) { p.Column("built").NotNull = true }, "Pumps, Built: it may not be empty any more", true},
		"may be empty":     {func(p *catalogue.Table) { p.Column("state").NotNull = false }, "Pumps, State: it may be empty now", true},
		"other values":     {func(p *catalogue.Table) { p.Checks[0] = `CHECK (state = ANY (ARRAY['running'::text, 'sold'::text]))` }, "its values are “running” and “sold” now", true},
		"no key":           {func(p *catalogue.Table) { p.Primary = nil }, "Pumps: it has no key any more", false},
		"another key":      {func(p *catalogue.Table) { p.Primary = []string{"code"}; p.Unique = nil }, "Pumps: its key is “code” now", false},
		"a right lost":     {func(p *catalogue.Table) { p.Delete, p.Update = false, false }, "lets records be changed or deleted no more", false},
		"not to be read":   {func(p *catalogue.Table) { p.Select = false }, "Pumps: the login may not read it any more", false},
		"a column shut":    {func(p *catalogue.Table) { p.Column("built").Select = false }, "Pumps, Built: the login may not read it any more", false},
		"gone":             {func(p *catalogue.Table) { p.Name = "machines" }, "Pumps: the table “pumps” is gone", false},
	} {
		d := numbered(works())
		a, p := pumpsAlone(t, d)
		c.change(d.Find("works", "pumps"))
		found := told(propose.Again(p, "so_works", d), c.words)
		if found == nil {
			t.Errorf("%s is not told: %+v", name, propose.Again(p, "so_works", d)[0])
			continue
		}
		if (found.Mend != "") != c.mended {
			t.Errorf("%s: its mend is %q", name, found.Mend)
		}
		if !c.mended {
			continue
		}
		if again := told(propose.Again(patched(t, a, found.Patch), "so_works", d), c.words); again != nil {
			t.Errorf("%s is told after it was mended", name)
		}
	}
}

// patched makes a patch on what was proposed, and reads it again.
func patched(t *testing.T, a *propose.Application, ops []patch.Op) *project.Project {
	t.Helper()
	bodies := patch.Bodies{}
	for id, e := range a.Entities {
		var body any
		if err := json.Unmarshal(e, &body); err != nil {
			t.Fatal(err)
		}
		bodies[id] = body
	}
	touched, _, err := patch.Apply(bodies, ops)
	if err != nil {
		t.Fatal(err)
	}
	entities := map[string]json.RawMessage{}
	for id, body := range bodies {
		if touched[id] != nil {
			body = touched[id]
		}
		text, err := json.Marshal(body)
		if err != nil {
			t.Fatal(err)
		}
		entities[id] = text
	}
	for id, body := range touched {
		if entities[id], err = json.Marshal(body); err != nil {
			t.Fatal(err)
		}
	}
	p, err := project.Decode(entities)
	if err != nil {
		t.Fatal(err)
	}
	return p
}

// A table that is taken in later hangs on those that are there, and a column that is a key becomes a relation.
func TestATableTakenInLaterHangsOnThoseThatAreThere(t *testing.T) {
	d := numbered(works())
	a, p := pumpsAlone(t, d)
	repairs := told(propose.Again(p, "so_works", d), "the table “repairs”")
	if repairs == nil || repairs.Mend != "Take it in" {
		t.Fatalf("%+v", repairs)
	}
	after := patched(t, a, repairs.Patch)
	table := after.Tables["t_repairs"]
	if table == nil || table.Source != "so_works" || table.Fields["f_pump_id"].References != "t_pumps" || table.Fields["f_fitter_id"].References != "" {
		t.Errorf("%+v", table)
	}
	if fmt.Sprint(table.Key) != "[f_id]" {
		t.Errorf("its key is %v", table.Key)
	}
}
