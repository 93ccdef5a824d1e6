package stage_test

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"maps"
	"math/rand/v2"
	"net/http"
	"os"
	"reflect"
	"slices"
	"strconv"
	"strings"
	"sync"
	"sync/atomic"
	"testing"
	"time"

	"ambergate/api"
	"ambergate/core/patch"
	"ambergate/demo"
	"ambergate/store"
)

// editsVariable says how many edits, undos and redos two builders make; without it a few hundred.
const editsVariable = "AMBERGATE_EDITS"

// builder is one of two who edit the same application.
type builder struct {
	*browser
	t     *testing.T
	login string
	r     *rand.Rand
	n     int
	acked map[string]int64 // what was acknowledged, by the id that it was sent with: the number of the edit
	kinds map[string]int   // how many of each sort came to what
	tries int              // sent again, since nobody answered
}

const twofold = "/api/build/twofold"

// send sends something until somebody answers, and notes the number of the edit that it came to; 0 for a no.
func (b *builder) send(sort, path string, body any) int64 {
	b.n++
	b.once = fmt.Sprintf("%s-%d", b.login, b.n)
	for {
		var told api.Edited
		err := b.call(http.MethodPost, twofold+path, body, &told)
		var no errNo
		switch {
		case err == nil:
			b.acked[b.once] = told.Seq
			b.kinds[sort]++
			return told.Seq
		case errors.As(err, &no) && no.status < 500:
			b.kinds[sort+" refused"]++
			if no.status != http.StatusConflict && no.status != http.StatusBadRequest {
				b.t.Errorf("%s: %v", b.login, err)
			}
			return 0
		}
		b.tries++
		time.Sleep(5 * time.Millisecond)
	}
}

// act does one thing at random: words of what both change, something of one's own made or taken out, undo, redo.
func (b *builder) act() {
	mark := fmt.Sprintf("%s %d", b.login, b.n)
	screens := []string{"s_cabins", "s_defects", "s_parts", "s_stops"}
	screen := screens[b.r.IntN(len(screens))]
	own := fmt.Sprintf("x_%s_%d", b.login, b.r.IntN(6))
	edit := func(sort string, ops ...map[string]any) {
		b.send(sort, "/edits", map[string]any{"patch": ops})
	}
	switch b.r.IntN(10) {
	case 0, 1, 2:
		edit("a title", map[string]any{"op": "replace", "path": "/" + screen + "/title", "value": mark})
	case 3:
		edit("two at once", map[string]any{"op": "replace", "path": "/" + screen + "/heading", "value": mark}, map[string]any{"op": "replace", "path": "/t_cabins/label", "value": mark})
	case 4:
		edit("made", map[string]any{"op": "add", "path": "/" + own, "value": map[string]any{"kind": "expectation", "pos": b.n, "screen": screen, "what": "never", "roles": map[string]bool{"r_visitor": true}}})
	case 5:
		edit("taken out", map[string]any{"op": "remove", "path": "/" + own})
	case 6:
		edit("changed", map[string]any{"op": "replace", "path": "/" + own + "/pos", "value": b.n})
	case 7, 8:
		b.send("undo", "/undo", nil)
	case 9:
		b.send("redo", "/redo", nil)
	}
}

// Two builders edit, undo and redo at random while the program is killed: both see the same document, each undo is of
// one's own, and nothing that was acknowledged is lost, or there twice.
func TestTwoBuildersWhileTheProgramIsKilled(t *testing.T) {
	if testing.Short() {
		t.Skip("takes long")
	}
	edits := 300
	if n, err := strconv.Atoi(os.Getenv(editsVariable)); err == nil {
		edits = n
	}
	ctx := t.Context()
	begin, err := demo.Project()
	if err != nil {
		t.Fatal(err)
	}
	begin["project"] = json.RawMessage(strings.Replace(string(begin["project"]), `"tarnhorn"`, `"twofold"`, 1))
	const id = "p_twofold"
	if err := up.Store.CreateProject(ctx, id, begin); err != nil {
		t.Fatal(err)
	}
	p := built(t)
	p.start("")
	var two []*builder
	for i, login := range []string{"arno", "nora"} {
		if err := up.Store.SetRights(ctx, "a_arno", "a_"+login, id, store.Rights{Builds: true}); err != nil {
			t.Fatal(err)
		}
		two = append(two, &builder{browser: p.browser(login), t: t, login: login, r: rand.New(rand.NewPCG(5, uint64(i))), acked: map[string]int64{}, kinds: map[string]int{}})
	}
	var left atomic.Int64
	left.Store(int64(edits))
	var work sync.WaitGroup
	for _, b := range two {
		work.Add(1)
		go func() {
			defer work.Done()
			for left.Add(-1) >= 0 {
				b.act()
			}
		}()
	}
	over := make(chan struct{})
	go func() { work.Wait(); close(over) }()
	kills, random := 0, rand.New(rand.NewPCG(3, 4))
	for done := false; !done; {
		select {
		case <-over:
			done = true
		case <-time.After(time.Duration(150+random.IntN(500)) * time.Millisecond):
			p.kill()
			p.start("")
			kills++
		}
	}

	made := history(t, id)
	sound(t, made, two)
	want := replayed(t, begin, made)
	for _, b := range two {
		var draft struct {
			Seq      int64
			Entities map[string]any
		}
		if err := b.call(http.MethodGet, twofold, nil, &draft); err != nil {
			t.Fatal(err)
		}
		if draft.Seq != int64(len(made)) || !reflect.DeepEqual(draft.Entities, want) {
			t.Errorf("%s sees another document than all edits come to", b.login)
		}
	}
	again, kinds := 0, map[string]int{}
	for _, b := range two {
		again += b.tries
		for k, n := range b.kinds {
			kinds[k] += n
		}
	}
	t.Logf("%d edits, undos and redos asked for by two builders, %d kills, %d sent again; %d edits in the end; %v", edits, kills, again, len(made), kinds)
}

// history gives all edits of a project, the oldest first.
func history(t *testing.T, id string) []store.Made {
	t.Helper()
	made, err := up.Store.Edits(context.Background(), store.HistoryQuery{Project: id})
	if err != nil {
		t.Fatal(err)
	}
	slices.Reverse(made)
	return made
}

// sound holds the edits against what was acknowledged: all are there once, and whoever takes something back takes back
// what is theirs.
func sound(t *testing.T, made []store.Made, two []*builder) {
	t.Helper()
	for i, e := range made {
		if e.Seq != int64(i+1) {
			t.Fatalf("edit %d has number %d", i+1, e.Seq)
		}
		if e.Undoes != 0 && made[e.Undoes-1].By != e.By {
			t.Errorf("edit %d of %s takes back one of %s", e.Seq, e.Name, made[e.Undoes-1].Name)
		}
		if e.Undone != 0 && made[e.Undone-1].By != e.By {
			t.Errorf("edit %d of %s was taken back by %s", e.Seq, e.Name, made[e.Undone-1].Name)
		}
	}
	for _, b := range two {
		seen := map[int64]bool{}
		for once, seq := range b.acked {
			if seq < 1 || seq > int64(len(made)) || made[seq-1].By != "a_"+b.login || seen[seq] {
				t.Errorf("what %s acknowledged as edit %d is not there, or there twice", once, seq)
			}
			seen[seq] = true
		}
		own := 0
		for _, e := range made {
			if e.By == "a_"+b.login {
				own++
			}
		}
		if own != len(b.acked) {
			t.Errorf("%s was told of %d edits, and %d were made", b.login, len(b.acked), own)
		}
	}
}

// replayed gives what all edits come to, made anew one after the other.
func replayed(t *testing.T, begin map[string]json.RawMessage, made []store.Made) map[string]any {
	t.Helper()
	bodies := patch.Bodies{}
	for id, text := range begin {
		var body any
		if err := json.Unmarshal(text, &body); err != nil {
			t.Fatal(err)
		}
		bodies[id] = body
	}
	for _, e := range made {
		touched, _, err := patch.Apply(bodies, e.Patch)
		if err != nil {
			t.Fatalf("edit %d does not fit what was before it: %v", e.Seq, err)
		}
		maps.Copy(bodies, touched)
	}
	maps.DeleteFunc(bodies, func(_ string, body any) bool { return body == nil })
	return bodies
}
