package propose_test

import (
	"slices"
	"testing"

	"ambergate/core/plan"
	"ambergate/core/propose"
)

// A value is taken in under its own name; the second of that name by its folder too; none twice.
func TestTagIsTakenInOnItsOwn(t *testing.T) {
	a, p := pumpsAlone(t, works())
	wind := propose.PlantValue{Way: []string{"Hall", "Roof {east}", "WindSpeed"}, Type: "number", Unit: "m/s", Low: number(0), High: number(60)}
	first := propose.TagOf(p, "press hall", wind)
	p2 := patched(t, a, first.Patch)
	tag := p2.Tags[first.ID]
	if tag == nil || tag.Alias != "windspeed" && tag.Alias != "wind_speed" || tag.Label != "Wind speed" || tag.Node != "/Hall/Roof %7Beast%7D/WindSpeed" || tag.Unit != "m/s" || tag.Min != nil {
		t.Fatalf("%+v", tag)
	}
	if p2.Sources[tag.Source] == nil || p2.Sources[tag.Source].Connection != "press hall" {
		t.Errorf("its plant: %+v", p2.Sources)
	}
	if again := propose.TagOf(p2, "press hall", wind); len(again.Patch) != 0 || again.ID != first.ID {
		t.Errorf("taken in twice: %+v", again)
	}
	west := propose.PlantValue{Way: []string{"Hall", "Roof west", "WindSpeed"}, Type: "number", Low: number(0), High: number(9), Writable: true}
	second := propose.TagOf(p2, "press hall", west)
	app, err := plan.Compile(patched(t, a, slices.Concat(first.Patch, second.Patch)))
	if err != nil {
		t.Fatal(err)
	}
	if tag := app.Project.Tags[second.ID]; len(second.Patch) != 1 || tag.Label != "Roof west wind speed" || tag.Pos != 2 || *tag.Max != 9 {
		t.Errorf("%+v %+v", second, tag)
	}
	releasable(t, app)
}
