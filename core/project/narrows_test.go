package project_test

import (
	"testing"

	"ambergate/core/project"
)

// An input narrows a table by the first of its paths that is meant for it, and by no field that only has the same id.
func TestAnInputNarrowsWhatItIsMeantFor(t *testing.T) {
	column := func(kind, references string) *project.Column {
		return &project.Column{Type: kind, References: references}
	}
	p := &project.Project{Tables: map[string]*project.Table{
		"t_pumps":   {Fields: map[string]*project.Column{"f_state": column("text", ""), "f_site": column("record", "t_sites"), "f_built": column("date", "")}},
		"t_repairs": {Fields: map[string]*project.Column{"f_state": column("text", ""), "f_site": column("record", "t_shops"), "f_pump": column("record", "t_pumps")}},
		"t_sites":   {Fields: map[string]*project.Column{}},
		"t_shops":   {Fields: map[string]*project.Column{}},
	}}
	for _, c := range []struct {
		filter, kind, of string
		table, path      string // what narrows the table, "" for nothing
	}{
		{"f_state", "text", "", "t_pumps", "f_state"},
		{"f_state", "text", "", "t_repairs", "f_state"},
		{"t_pumps:f_state", "text", "", "t_pumps", "f_state"},
		{"t_pumps:f_state", "text", "", "t_repairs", ""},
		{"t_pumps:f_state t_repairs:f_pump.f_state", "text", "", "t_repairs", "f_pump.f_state"},
		{"f_site", "record", "t_sites", "t_pumps", "f_site"},
		{"f_site", "record", "t_sites", "t_repairs", ""},
		{"f_site f_pump.f_site", "record", "t_sites", "t_repairs", "f_pump.f_site"},
		{"f_gone", "text", "", "t_pumps", ""},
		{"t_gone:f_state", "text", "", "t_pumps", ""},
		{"", "text", "", "t_pumps", ""},
	} {
		path, field := p.Narrows(&project.Input{Filter: c.filter, Type: c.kind, Table: c.of}, c.table)
		if path != c.path || (field != nil) != (c.path != "") {
			t.Errorf("%q narrows %s by %q, want %q", c.filter, c.table, path, c.path)
		}
	}
}
