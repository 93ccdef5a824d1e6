package stage_test

import (
	"fmt"
	"maps"
	"sync"
	"sync/atomic"
	"testing"
	"time"

	"ambergate/api"
	"ambergate/demo"
	"ambergate/fault"
)

// Every kind of press that changes records, killed before its outcome is kept and after: sent again, it comes to what
// it would have come to, once.
func TestKilledInEveryKindOfPress(t *testing.T) {
	if testing.Short() {
		t.Skip("takes long")
	}
	p := built(t)
	countChanges(t)
	open := func(b *browser, address string) (shown api.Shown) {
		t.Helper()
		if err := b.call("POST", usePath+"/open", map[string]any{"address": address}, &shown); err != nil {
			t.Fatalf("%s: %v", address, err)
		}
		return shown
	}
	// at gives what a press says of the place it is made in.
	at := func(s api.Shown, element string, more map[string]any) map[string]any {
		press := map[string]any{"trail": s.Trail, "n": s.N, "release": s.Release, "element": element}
		maps.Copy(press, more)
		return press
	}
	typed := func(s api.Shown, element, field, value string) map[string]any {
		return at(s, element, map[string]any{"values": map[string]string{field: value}, "base": map[string]string{field: ""}, "version": s.View.Record.Version})
	}
	kinds := []struct {
		what, login string
		begin       func(b *browser) (press map[string]any)
		count       string // how often it was done since it began
	}{
		{"a record is saved", "sela", func(b *browser) map[string]any {
			return typed(open(b, "/defect?defect=201&~mode=edit"), "e_save", "f_detail", "killed")
		}, `select count(*) from tarnhorn.changed where defect = 201`},
		{"a record is added", "mira", func(b *browser) map[string]any {
			return at(open(b, "/defect?~mode=add&~set.cabin=87"), "e_save", map[string]any{"values": map[string]string{"f_what": "Killed while adding", "f_severity": "low", "f_state": "open", "f_component": "4"}})
		}, `select count(*) from tarnhorn.defects where what = 'Killed while adding'`},
		{"guided steps are finished", "mira", func(b *browser) map[string]any {
			shown := open(b, "/report-defect?~mode=add&~tab.e_steps=t_who")
			typed := map[string]string{"f_lift": "1", "f_what": "Killed while finishing", "f_severity": "low", "f_state": "open", "f_component": "4", "f_due": "2026-12-24"}
			draft := map[string]any{"trail": shown.Trail, "n": shown.N, "values": typed, "base": map[string]string{}}
			if err := b.call("POST", usePath+"/draft", draft, nil); err != nil {
				t.Fatal(err)
			}
			return at(shown, "e_done", map[string]any{"values": typed})
		}, `select count(*) from tarnhorn.defects where what = 'Killed while finishing'`},
		{"a record is changed after a question", "sela", func(b *browser) map[string]any {
			return at(open(b, "/cabin?cabin=41"), "e_hold", nil)
		}, `select count(*) from tarnhorn.cabins where id = 41 and state = 'on hold'`},
		{"a record is deleted", "sela", func(b *browser) map[string]any {
			shown, err := b.openDefect("9901")
			if err != nil {
				t.Fatal(err)
			}
			return at(shown, "e_delete", nil)
		}, `select 1 - count(*) from tarnhorn.defects where id = 9901`},
		{"several rows are changed", "sela", func(b *browser) map[string]any {
			return at(open(b, "/defects?~sort=code"), "e_list", map[string]any{"trigger": "several.v_take", "rows": []string{"9902", "9903", "9904"}})
		}, `select case when count(*) = 3 and count(distinct defect) = 3 then 1 else count(*) end from tarnhorn.changed where defect between 9902 and 9904`},
		{"a record is saved in a dialog", "sela", func(b *browser) map[string]any {
			shown := open(b, "/defect?defect=205")
			var over api.PressResult
			if err := b.call("POST", usePath+"/press", at(shown, "e_dlg", map[string]any{"press": "dialog-" + shown.Trail}), &over); err != nil {
				t.Fatal(err)
			}
			top := (*over.Shown.Overlays)[0].View
			return at(*over.Shown, "e_save", map[string]any{"depth": 1, "values": map[string]string{"f_detail": "killed"}, "base": map[string]string{"f_detail": ""}, "version": top.Record.Version})
		}, `select count(*) from tarnhorn.changed where defect = 205`},
	}
	prepare := `update tarnhorn.defects set detail = '' where id = 201; update tarnhorn.defects set detail = '', state = 'assigned', assigned_id = 3 where id = 205; delete from tarnhorn.defects where what in ('Killed while adding', 'Killed while finishing') or id between 9901 and 9904;
		update tarnhorn.cabins set state = 'in service' where id = 41;
		delete from tarnhorn.changed`
	begun := prepare + `; insert into tarnhorn.defects (id, code, cabin_id, component_id, what, severity, state) overriding system value select n, 'D-' || n, 87, 4, 'Killed', 'low', 'open' from generate_series(9901, 9904) n`
	kills := 0
	p.start("")
	for k, kind := range kinds {
		b := p.browser(kind.login)
		before := kills
		for _, point := range []string{fault.PressClaimed, fault.PressStored, fault.PressCommitted, fault.TrailAppending, fault.PressAnswering} {
			if err := up.Exec(begun); err != nil {
				t.Fatal(err)
			}
			press := kind.begin(b)
			press["press"] = fmt.Sprintf("kind-%d-%s", k, point)
			p.kill()
			p.start(point)
			// Not every kind passes every point.
			if _, err := confirmed(b, press); err != nil {
				if !p.died() {
					t.Fatalf("%s at %s: it lives, and says %v", kind.what, point, err)
				}
				kills++
			}
			p.kill()
			p.start("")
			for range 2 {
				if result, err := confirmed(b, press); err != nil || result.Kind == "question" {
					t.Errorf("%s at %s, sent again: %s %v", kind.what, point, result.Kind, err)
				}
			}
			if n := counted(t, demo.Database, kind.count); n != 1 {
				t.Errorf("%s at %s: done %d times", kind.what, point, n)
			}
		}
		if kills-before < 3 {
			t.Errorf("%s: killed at %d points only", kind.what, kills-before)
		}
	}
	if err := up.Exec(prepare); err != nil {
		t.Error(err)
	}
	t.Logf("%d kills", kills)
}

// confirmed presses, and says yes to what is asked.
func confirmed(b *browser, press map[string]any) (result api.PressResult, err error) {
	if err = b.call("POST", usePath+"/press", press, &result); err != nil || result.Question == nil {
		return result, err
	}
	answered := maps.Clone(press)
	answered["confirmed"], answered["tokens"] = true, []string{result.Question.Token}
	result = api.PressResult{}
	return result, b.call("POST", usePath+"/press", answered, &result)
}

// PostgreSQL itself is killed again and again while people press: what was acknowledged is there, once, and what
// was not is done when it is sent again.
func TestPostgreSQLIsKilledUnderPresses(t *testing.T) {
	if testing.Short() {
		t.Skip("takes long")
	}
	p := built(t)
	countChanges(t)
	p.start("")
	const users, rounds = 3, 12
	var done, again atomic.Int64
	var work sync.WaitGroup
	stop := make(chan struct{})
	for i := range users {
		b := p.browser("sela")
		work.Add(1)
		go func() {
			defer work.Done()
			key := fmt.Sprint(80 + i)
			for round := range rounds {
				insist(t, func() error {
					return up.Exec(`update tarnhorn.defects set state = 'assigned' where id = ` + key + `; delete from tarnhorn.changed where defect = ` + key)
				})
				var shown api.Shown
				insist(t, func() (err error) { shown, err = b.openDefect(key); return err })
				press := change(shown, fmt.Sprintf("postgres-%d-%d", i, round))
				var result api.PressResult
				tries := insist(t, func() error { return b.call("POST", usePath+"/press", press, &result) })
				if done.Add(1); tries > 1 {
					again.Add(1)
				}
				var changes int
				insist(t, func() error {
					pool, err := up.Admin(demo.Database)
					if err != nil {
						return err
					}
					return pool.QueryRow(t.Context(), `select count(*) from tarnhorn.changed where defect = $1`, 80+i).Scan(&changes)
				})
				if changes != 1 {
					t.Errorf("user %d, round %d: the record was changed %d times", i, round, changes)
				}
			}
		}()
	}
	kills := 0
	ended := make(chan struct{})
	go func() {
		defer close(ended)
		for last := int64(0); ; {
			select {
			case <-stop:
				return
			case <-time.After(100 * time.Millisecond):
			}
			// However slow the machine: between two kills something goes through.
			if done.Load() < last+2 {
				continue
			}
			last = done.Load()
			up.Cluster.Kill()
			kills++
			if err := up.Cluster.Restart(t.Context()); err != nil {
				t.Errorf("start PostgreSQL again: %v", err)
				return
			}
		}
	}()
	work.Wait()
	close(stop)
	<-ended
	if n := counted(t, "ambergate", `select count(*) from (select trail, max(n) - count(*) as gaps from place group by trail) t where gaps <> 0`); n != 0 {
		t.Errorf("%d trails have gaps", n)
	}
	t.Logf("PostgreSQL killed %d times, %d presses, %d of them sent more than once", kills, done.Load(), again.Load())
}

// insist does something until it goes through, for a while, and tells how often that took.
func insist(t *testing.T, try func() error) (tries int) {
	for end := time.Now().Add(60 * time.Second); ; time.Sleep(30 * time.Millisecond) {
		tries++
		err := try()
		if err == nil {
			return tries
		}
		if no, is := err.(errNo); is && no.status < 500 || time.Now().After(end) {
			t.Errorf("after %d tries: %v", tries, err)
			return tries
		}
	}
}
