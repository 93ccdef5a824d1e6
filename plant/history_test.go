package plant

import (
	"context"
	"log/slog"
	"slices"
	"testing"
	"time"

	"github.com/gopcua/opcua/ua"

	"ambergate/core/cond"
	"ambergate/plant/sim"
)

func TestHistoryKeepsOneSampleASecondAndForgetsTheOldest(t *testing.T) {
	n := &node{name: "x"}
	start := time.Date(2026, 11, 24, 10, 0, 0, 0, time.UTC)
	for i := range 50 {
		n.now = cond.Float(float64(i))
		n.keep(start.Add(time.Duration(i) * 100 * time.Millisecond))
	}
	if len(n.history) != 5 || n.history[1].Value != 10 {
		t.Errorf("five seconds at ten a second kept %v", n.history)
	}
	for i := range historyLength + 20 {
		n.keep(start.Add(time.Minute + time.Duration(i)*time.Second))
	}
	if len(n.history) != historyLength {
		t.Errorf("it keeps %d samples", len(n.history))
	}
	n.now = cond.String("a text")
	n.keep(start.Add(3 * time.Hour))
	if len(n.history) != historyLength || n.history[len(n.history)-1].At >= start.Add(3*time.Hour).UnixMilli() {
		t.Error("a text was kept as a number")
	}
}

// What an earlier run kept comes before what was read since; a value that does not change is known at any moment.
func TestHistoryGoesOnWithWhatAnEarlierRunKept(t *testing.T) {
	now := time.Now().UnixMilli()
	c := &Client{nodes: map[string]*node{"x": {name: "x", history: []Sample{{now - 5000, 5}, {now - 1000, 6}}}}}
	c.Seed("x", []Sample{{now - 90_000, 1}, {now - 60_000, 2}, {now - 5000, 3}, {now - 2000, 4}})
	c.Seed("gone", []Sample{{now, 1}})
	values := func(samples []Sample) (out []float64) {
		for _, s := range samples {
			out = append(out, s.Value)
		}
		return out
	}
	if got := values(c.History("x", time.UnixMilli(now-100_000))); !slices.Equal(got, []float64{1, 2, 5, 6}) {
		t.Errorf("the history is %v", got)
	}
	if got := c.History("x", time.UnixMilli(now-30_000)); !slices.Equal(values(got), []float64{2, 5, 6}) || got[0].At != now-30_000 {
		t.Errorf("of half a minute it is %v", got)
	}
	if got := values(c.Since("x", now-5000)); !slices.Equal(got, []float64{6}) {
		t.Errorf("since the last time came %v", got)
	}
	if got := c.Since("gone", 0); len(got) != 0 {
		t.Errorf("of a node that nobody watches came %v", got)
	}
}

func TestValuesOfEveryKind(t *testing.T) {
	for _, tc := range []struct {
		in   any
		kind cond.Kind
		wire string
	}{
		{true, cond.YesNo, "true"}, {int16(-3), cond.Whole, "-3"}, {int32(7), cond.Whole, "7"}, {int64(1) << 40, cond.Whole, "1099511627776"}, {uint16(9), cond.Whole, "9"}, {uint32(9), cond.Whole, "9"},
		{float32(0.5), cond.Number, "0.5"}, {4.75, cond.Number, "4.75"}, {"open", cond.Text, "open"},
	} {
		v := valueOf(ua.MustVariant(tc.in))
		if v.Kind() != tc.kind || v.Wire() != tc.wire {
			t.Errorf("%T %v reads as %s %s", tc.in, tc.in, v.Kind(), v.Wire())
		}
		like := ua.MustVariant(tc.in)
		if tc.kind == cond.Number || tc.kind == cond.Whole {
			if _, unsigned := tc.in.(uint16); unsigned {
				continue
			}
			if _, unsigned := tc.in.(uint32); unsigned {
				continue
			}
		}
		back, err := variantOf(v, like)
		if err != nil || back.Type() != like.Type() {
			t.Errorf("%T is written back as %v (%v)", tc.in, back, err)
		}
	}
	if _, err := variantOf(cond.NullValue, nil); err == nil {
		t.Error("nothing can be written")
	}
}

func TestAListenerIsToldOfItsOwnNodesOnly(t *testing.T) {
	port := freePort(t)
	p := startSim(t, port)
	defer p.Close()
	c := Open(Settings{Endpoint: p.Endpoint(), Namespace: sim.Namespace}, "so_plant", slog.New(slog.DiscardHandler), nil)
	defer c.Close()
	within(t, 40*time.Second, "connected", c.Good)
	c.Watch(context.Background(), []string{"UT.drive.gates", "UT.wind.gust"}, 2*time.Second)
	still, moving := c.Listen([]string{"UT.drive.gates"}), c.Listen([]string{"UT.wind.gust"})
	defer still.Close()
	defer moving.Close()
	drain(still)
	drain(moving)
	select {
	case <-moving.C:
	case <-time.After(40 * time.Second):
		t.Error("the wind never changed")
	}
	select {
	case <-still.C:
		t.Error("told of a node that did not change")
	default:
	}
	within(t, 40*time.Second, "history of the wind", func() bool { return len(c.History("UT.wind.gust", time.Now().Add(-time.Minute))) > 1 })
	if h := c.History("UT.wind.gust", time.Now().Add(time.Hour)); len(h) != 0 {
		t.Errorf("samples of the future: %v", h)
	}
	if h := c.History("UT.nothing", time.Time{}); h == nil || len(h) != 0 {
		t.Errorf("samples of nothing: %v", h)
	}
}

func drain(l *Listener) {
	select {
	case <-l.C:
	default:
	}
}
