package project_test

import (
	"encoding/json"
	"strings"
	"testing"

	"ambergate/core/project"
)

// A value of the plant that belongs to no record has a name that expressions can write, and a node without a record.
func TestPlantTagsAreReadOrRefused(t *testing.T) {
	tag := func(changes map[string]any) error {
		body := map[string]any{"kind": "tag", "pos": 1, "alias": "wind", "label": "Wind", "type": "number", "source": "so_p", "node": "/Top/wind"}
		for k, v := range changes {
			if v == nil {
				delete(body, k)
			} else {
				body[k] = v
			}
		}
		text, err := json.Marshal(body)
		if err != nil {
			t.Fatal(err)
		}
		p, err := project.Decode(map[string]json.RawMessage{
			"project": json.RawMessage(`{"kind":"project","title":"T","slug":"t","zone":"UTC"}`),
			"so_p":    json.RawMessage(`{"kind":"source","name":"Plant","type":"plant","connection":"plant"}`),
			"tg_wind": text,
		})
		if err == nil && p.Tags["tg_wind"].ID != "tg_wind" {
			t.Errorf("it does not know its id: %+v", p.Tags["tg_wind"])
		}
		return err
	}
	for _, fine := range []map[string]any{{}, {"unit": "m/s"}, {"writable": true, "min": 0, "max": 9}, {"type": "yesno"}, {"type": "text"}, {"node": "nsu=urn:works;i=1042"}, {"alias": "wind_2"}} {
		if err := tag(fine); err != nil {
			t.Errorf("%v: %v", fine, err)
		}
	}
	for wrong, changes := range map[string]map[string]any{
		"needs a label":    {"label": ""},
		"small letters":    {"alias": "Wind speed"},
		"needs a node":     {"node": ""},
		"no field in":      {"node": "/Lift_{f_code}/wind"},
		"the plant that":   {"source": ""},
		"type of value":    {"type": "date"},
		"knows nothing":    {"colour": "red"},
		"small letters, d": {"alias": strings.Repeat("a", 90)},
	} {
		if err := tag(changes); err == nil || !strings.Contains(err.Error(), wrong) {
			t.Errorf("%v: %v, want something of %q", changes, err, wrong)
		}
	}
}

// Those of a project are names of one group, in order, for screens and shared gates; of none, the name is not there.
func TestPlantTagsAreNames(t *testing.T) {
	none := &project.Project{Screens: map[string]*project.Screen{"s_a": {}}}
	if _, there := none.Scope(none.Screens["s_a"], "")[project.TagRoot]; there {
		t.Error("a project without them has the name")
	}
	p := &project.Project{Settings: &project.Settings{}, Screens: map[string]*project.Screen{"s_a": {}}, Tags: map[string]*project.PlantTag{
		"tg_b": {Tag: project.Tag{Item: project.Item{ID: "tg_b", Pos: 2}, Alias: "rain", Label: "Rain", Type: "yesno"}},
		"tg_a": {Tag: project.Tag{Item: project.Item{ID: "tg_a", Pos: 1}, Alias: "wind", Label: "Wind", Type: "number", Unit: "m/s"}},
	}}
	group := p.Schema().Groups[p.Scope(p.Screens["s_a"], "")[project.TagRoot]]
	if group == nil || len(group.Fields) != 2 || group.Fields[0].Alias != "wind" || group.Fields[0].Type.Unit != "m/s" {
		t.Fatalf("%+v", group)
	}
	if p.GateScope(&project.SharedGate{})[project.TagRoot] == "" || p.RowScope("t_none")[project.TagRoot] != "" {
		t.Error("shared gates may ask for them, rules about rows may not")
	}
}
