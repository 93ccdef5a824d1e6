package server_test

import (
	"encoding/json"
	"fmt"
	"math/rand/v2"
	"net/http"
	"strings"
	"sync"
	"testing"

	"ambergate/api"
	"ambergate/core/kinds/element"
)

// Random bodies for every call: whatever is sent, the answer is one of the documented form, never a fault.
func TestHostileBodiesAreRefusedInOrder(t *testing.T) {
	r := rand.New(rand.NewPCG(5, 5))
	values := []any{nil, true, -1, 1e300, "", "x", strings.Repeat("é", 300), "../../etc/passwd", "'; drop table tarnhorn.defects; --", "\u0000", "{record.f_code}", []any{}, []any{1, "a"}, map[string]any{}, map[string]any{"a": map[string]any{"b": nil}}}
	words := []string{"trail", "n", "release", "element", "press", "row", "point", "values", "base", "keep", "overlay", "address", "filters", "sort", "clear", "cursor", "to", "screen", "as", "inputs", "mode", "set", "journal", "place", "text", "rows", "template", "target", "input", "patch", "versions", "op", "path", "value"}
	shape := func(depth int) any { return nil }
	shape = func(depth int) any {
		if depth == 0 || r.IntN(3) > 0 {
			return values[r.IntN(len(values))]
		}
		m := map[string]any{}
		for range r.IntN(5) {
			m[words[r.IntN(len(words))]] = shape(depth - 1)
		}
		if r.IntN(4) == 0 {
			return []any{m}
		}
		return m
	}
	mira, arno := as(t, "mira"), as(t, "arno")
	calls := []struct {
		p    *person
		path string
	}{
		{mira, "/api/use/tarnhorn/open"}, {mira, "/api/use/tarnhorn/press"}, {mira, "/api/use/tarnhorn/go"}, {mira, "/api/use/tarnhorn/arrange"}, {mira, "/api/use/tarnhorn/rows"},
		{arno, "/api/build/tarnhorn/edits"}, {arno, "/api/build/tarnhorn/work"}, {arno, "/api/build/tarnhorn/practise"}, {arno, "/api/build/tarnhorn/condition"}, {arno, "/api/build/tarnhorn/proposals"},
	}
	shown := mira.open("/cabins")
	tried := 0
	for range 120 {
		for _, c := range calls {
			body := map[string]any{}
			for range 1 + r.IntN(7) {
				body[words[r.IntN(len(words))]] = shape(3)
			}
			if r.IntN(2) == 0 { // nearly right
				body["trail"], body["n"], body["release"], body["press"] = shown.Trail, shown.N, shown.Release, fmt.Sprintf("hostile-%d", r.Int())
				body["screen"], body["as"] = "s_cabin", "a_mira"
			}
			status, answer := c.p.call("POST", c.path, body)
			tried++
			if status >= 500 {
				text, _ := json.Marshal(body)
				t.Errorf("%s %s: %d %s", c.path, text, status, answer)
			}
		}
	}
	t.Logf("%d bodies", tried)
	if n := count(mira.open("/cabins")); n == 0 {
		t.Error("the cabins are gone")
	}
}

func count(s api.Shown) int {
	for _, e := range s.View.Elements {
		if shows[element.ListView](e) {
			return e.View.(*element.ListView).Count
		}
	}
	return 0
}

// Many people press at once: every answer is right, and every change is there once.
func TestManyPressAtOnce(t *testing.T) {
	const people, presses = 12, 5
	var wait sync.WaitGroup
	for i := range people {
		p := as(t, "mira")
		wait.Add(1)
		go func() {
			defer wait.Done()
			for k := range presses {
				add := p.open(fmt.Sprintf("/defect?~mode=add&~set.cabin=%d", 50+i))
				status, result, problem := p.press(add, fmt.Sprintf("many-%03d-%03d", i, k), "e_save", map[string]any{"values": map[string]string{"f_what": fmt.Sprintf("Many %d", k), "f_severity": "low", "f_state": "open", "f_component": "3"}})
				if status != http.StatusOK || result.Shown.View.Record == nil {
					t.Errorf("person %d, press %d: %d %+v", i, k, status, problem)
				}
			}
			list := p.open(fmt.Sprintf("/defects?cabin=%d&~filter.what=contains:Many", 50+i))
			if n := listRows(list); n != presses {
				t.Errorf("person %d has %d defects, pressed %d times", i, n, presses)
			}
		}()
	}
	wait.Wait()
	if err := up.Exec("delete from tarnhorn.defects where what like 'Many %'"); err != nil {
		t.Error(err)
	}
}

// A release while people are at work: nobody is thrown out, and what they see belongs together.
func TestAReleaseWhilePeopleWork(t *testing.T) {
	arno := as(t, "arno")
	stop := make(chan struct{})
	var wait sync.WaitGroup
	ended := sync.OnceFunc(func() {
		close(stop)
		wait.Wait()
	})
	defer ended() // they work in no other test
	for range 4 {
		wait.Add(1)
		go func() {
			defer wait.Done()
			p := as(t, "mira")
			for i := 0; ; i++ {
				select {
				case <-stop:
					return
				default:
				}
				shown := p.open("/cabin?cabin=87")
				status, result, problem := p.press(shown, fmt.Sprintf("work-%d-%d", rand.Int(), i), "e_defects", map[string]any{"row": "107"})
				if status == http.StatusServiceUnavailable {
					continue // too busy to answer in time
				}
				if status != http.StatusOK || result.Shown.View.Heading != "Defect D-2107" {
					t.Errorf("%d %+v", status, problem)
				}
			}
		}()
	}
	for i := range 5 {
		heading := fmt.Sprintf("Cabins %d", i)
		arno.must("POST", "/api/build/tarnhorn/edits", map[string]any{"patch": []any{map[string]any{"op": "replace", "path": "/s_cabins/heading", "value": heading}}}, nil)
		arno.must("POST", "/api/build/tarnhorn/releases", map[string]any{}, nil)
	}
	ended()
	for range 5 {
		arno.must("POST", "/api/build/tarnhorn/undo", nil, nil)
	}
	arno.must("POST", "/api/build/tarnhorn/releases", map[string]any{}, nil)
}
