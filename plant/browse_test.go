package plant

import (
	"log/slog"
	"slices"
	"strings"
	"testing"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/plant/sim"
)

func ropeway(t *testing.T) *sim.Plant {
	t.Helper()
	p, err := sim.Start(freePort(t), []string{"UT", "LT"}, 1)
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(p.Close)
	return p
}

func opened(t *testing.T, s Settings) *Client {
	t.Helper()
	c := Open(s, "so_plant", slog.New(slog.DiscardHandler), nil)
	t.Cleanup(c.Close)
	within(t, 40*time.Second, "connected", c.Good)
	return c
}

func TestWhatAPlantHasIsBrowsedAndSearched(t *testing.T) {
	p := ropeway(t)
	c := opened(t, Settings{Endpoint: p.Endpoint(), Namespace: sim.Namespace})
	names := func(found []Found) (out []string) {
		for _, f := range found {
			out = append(out, f.Name)
		}
		return out
	}
	for path, want := range map[string]string{"": "Ropeway", "/Ropeway": "LT UT", "/Ropeway/UT": "drive scenario wind", "/Ropeway/UT/wind": "alarm gust mean tower9"} {
		found, more, err := c.Browse(t.Context(), path)
		if err != nil || more || strings.Join(names(found), " ") != want {
			t.Errorf("below %q: %v %v %v, want %s", path, names(found), more, err, want)
		}
	}
	found, _, err := c.Browse(t.Context(), "/Ropeway/LT/drive")
	if err != nil {
		t.Fatal(err)
	}
	for name, want := range map[string]Found{
		"speed":     {Kind: cond.Number, Readable: true, Unit: "m/s"},
		"set_speed": {Kind: cond.Number, Readable: true, Unit: "m/s", Writable: true},
		"running":   {Kind: cond.YesNo, Readable: true},
		"cabins":    {Kind: cond.Whole, Readable: true},
	} {
		i := slices.IndexFunc(found, func(f Found) bool { return f.Name == name })
		if i < 0 {
			t.Errorf("%s is not there", name)
			continue
		}
		f := found[i]
		if f.Kind != want.Kind || f.Readable != want.Readable || f.Unit != want.Unit || f.Writable != want.Writable || f.Now == "" || f.Path != "/Ropeway/LT/drive/"+name {
			t.Errorf("%s: %+v", name, f)
		}
		if name == "speed" && (f.Low == nil || *f.Low != 0 || *f.High != 6) {
			t.Errorf("the range of the speed: %v %v", f.Low, f.High)
		}
	}
	found, more, err := c.Search(t.Context(), "ut GUST")
	if err != nil || more || strings.Join(names(found), " ") != "gust gust" && strings.Join(names(found), " ") != "gust" {
		t.Errorf("searched: %v %v %v", names(found), more, err)
	}
	if _, _, err := c.Browse(t.Context(), "/Ropeway/none"); err == nil {
		t.Error("what is not there is browsed")
	}
}

func TestNodesAreNamedInThreeWays(t *testing.T) {
	p := ropeway(t)
	c := opened(t, Settings{Endpoint: p.Endpoint(), Namespace: sim.Namespace})
	all := []string{"UT.drive.set_speed", "/Ropeway/UT/drive/set_speed", "nsu=" + sim.Namespace + ";s=UT.drive.set_speed", "/Ropeway/UT/none"}
	c.Watch(t.Context(), all, 10*time.Second)
	for _, name := range all[:3] {
		within(t, 40*time.Second, name, func() bool {
			v := c.Read(ask.TagRef{Source: "so_plant", Node: name}).Value
			return v.Known() && v.Wire() == "4.8"
		})
	}
	if v := c.Read(ask.TagRef{Source: "so_plant", Node: all[3]}).Value; v.Known() || v.Why() != "the plant has no such value" {
		t.Errorf("what is not there: %s %s", v.Wire(), v.Why())
	}
	if err := c.Write(t.Context(), all[1], cond.Float(3)); err != nil {
		t.Fatal(err)
	}
	within(t, 40*time.Second, "written by a path", func() bool { return c.Read(ask.TagRef{Source: "so_plant", Node: all[0]}).Value.Wire() == "3" })
	if err := c.Write(t.Context(), "/Ropeway/LT/drive/set_speed", cond.Float(2)); err != nil {
		t.Errorf("written without being watched: %v", err)
	}
}
