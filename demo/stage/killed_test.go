package stage_test

import (
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"io"
	"math/rand/v2"
	"net"
	"net/http"
	"net/http/cookiejar"
	"net/url"
	"os"
	"os/exec"
	"path/filepath"
	"regexp"
	"strconv"
	"strings"
	"sync"
	"sync/atomic"
	"syscall"
	"testing"
	"time"

	"ambergate/api"
	"ambergate/demo"
	"ambergate/fault"
	"ambergate/server/base"
	"ambergate/store"
)

// killsVariable says how many kills at random points are tried; without it a few dozen.
const killsVariable = "AMBERGATE_KILLS"

// program is the program itself, as a process that can be killed.
type program struct {
	t       *testing.T
	binary  string
	home    string // its folder
	address string
	over    string // the store; "": that of the stage
	mu      sync.Mutex
	run     *exec.Cmd
	ended   chan struct{}
}

// builtOnce builds the program, beside the stage’s cluster, whose folder is thrown away.
var builtOnce = sync.OnceValues(func() (binary string, err error) {
	binary = filepath.Join(up.Dir, "ambergate")
	if out, err := exec.Command("go", "build", "-ldflags=-w", "-o", binary, "ambergate/cmd/ambergate").CombinedOutput(); err != nil {
		return "", fmt.Errorf("build the program: %w\n%s", err, out)
	}
	return binary, nil
})

// built gives the program a folder and a free port.
func built(t *testing.T) *program {
	t.Helper()
	binary, err := builtOnce()
	if err != nil {
		t.Fatal(err)
	}
	l, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		t.Fatal(err)
	}
	p := &program{t: t, binary: binary, home: t.TempDir(), address: l.Addr().String()}
	_ = l.Close()
	t.Cleanup(func() {
		p.kill()
		if t.Failed() {
			t.Log("what the program said last:\n" + p.lastWords())
		}
	})
	return p
}

// lastWords gives what the program wrote last.
func (p *program) lastWords() string {
	text, _ := os.ReadFile(filepath.Join(p.home, "said.log")) // none, where it was never started
	return string(text[max(0, len(text)-6000):])
}

// start lets it serve the stage's databases and plant, with a fault armed or "".
func (p *program) start(armed string) {
	p.mu.Lock()
	defer p.mu.Unlock()
	c := up.Cluster
	over := p.over
	if over == "" {
		over = c.DSN("ambergate", c.Password, "ambergate")
	}
	p.run = exec.Command(p.binary, "serve", "--dir", p.home, "--address", p.address, "--store", over,
		"--records", "tarnhorn="+c.DSN(demo.AppRole, c.Password, demo.Database), "--plant", "ropeway="+up.Sim.Endpoint()+",urn:ambergate:ropeway")
	p.run.Env = append(os.Environ(), fault.Variable+"="+armed)
	said, err := os.OpenFile(filepath.Join(p.home, "said.log"), os.O_CREATE|os.O_APPEND|os.O_WRONLY, 0o600)
	if err != nil {
		p.t.Fatal(err)
	}
	defer said.Close() // the program has its own handle
	p.run.Stderr = said
	if err := p.run.Start(); err != nil {
		p.t.Fatal(err)
	}
	run, ended := p.run, make(chan struct{})
	p.ended = ended
	go func() { _ = run.Wait(); close(ended) }() // it is killed: how it ends is no matter
	for range 400 {
		if conn, err := net.DialTimeout("tcp", p.address, time.Second); err == nil {
			_ = conn.Close()
			return
		}
		time.Sleep(5 * time.Millisecond)
	}
	p.t.Error("the program does not answer")
}

// ready waits until it says that it is.
func (p *program) ready() {
	for range 3000 {
		if resp, err := http.Get("http://" + p.address + "/readyz"); err == nil {
			_ = resp.Body.Close()
			if resp.StatusCode == http.StatusOK {
				return
			}
		}
		time.Sleep(10 * time.Millisecond)
	}
	p.t.Error("the program is not ready")
}

// kill kills it, if it lives, and waits for its end.
func (p *program) kill() {
	p.mu.Lock()
	defer p.mu.Unlock()
	if p.run != nil {
		_ = p.run.Process.Signal(syscall.SIGKILL)
		<-p.ended
	}
}

// died says whether it came to its end within a moment.
func (p *program) died() bool {
	select {
	case <-p.ended:
		return true
	case <-time.After(3 * time.Second):
		return false
	}
}

// browser is one user's cookie, and what the program answers to it.
type browser struct {
	p      *program
	client http.Client
	once   string // the id of what a builder sends; "" for none
}

// browser signs somebody in at the store itself: the program would take half a second of computing for each.
func (p *program) browser(login string) *browser {
	jar, err := cookiejar.New(nil)
	if err != nil {
		p.t.Fatal(err)
	}
	entered, err := up.Store.SignIn(p.t.Context(), store.Entering{Login: login, Password: login, Now: time.Now()})
	if err != nil {
		p.t.Fatal(err)
	}
	jar.SetCookies(&url.URL{Scheme: "http", Host: p.address}, []*http.Cookie{{Name: base.SessionCookie, Value: entered.Token}})
	return &browser{p: p, client: http.Client{Jar: jar, Timeout: 10 * time.Second}}
}

// call makes one call. errNo is a no from the program; any other error means that nobody answered.
func (b *browser) call(method, path string, body, into any) error {
	text, err := json.Marshal(body)
	if err != nil {
		return err
	}
	req, err := http.NewRequest(method, "http://"+b.p.address+path, bytes.NewReader(text))
	if err != nil {
		return err
	}
	req.Header.Set("Content-Type", "application/json")
	req.Header.Set("Idempotency-Key", b.once)
	resp, err := b.client.Do(req)
	if err != nil {
		return err
	}
	defer resp.Body.Close()
	answer, err := io.ReadAll(resp.Body)
	if err != nil {
		return err
	}
	if resp.StatusCode >= 300 {
		return errNo{resp.StatusCode, string(answer)}
	}
	if into == nil {
		return nil
	}
	return json.Unmarshal(answer, into)
}

type errNo struct {
	status int
	answer string
}

func (e errNo) Error() string { return fmt.Sprintf("%d: %.300s", e.status, e.answer) }

const usePath = "/api/use/tarnhorn"

// counted asks the store or the ropeway's database for one number.
func counted(t *testing.T, database, sql string, args ...any) int {
	t.Helper()
	pool, err := up.Admin(database)
	if err != nil {
		t.Fatal(err)
	}
	var n int
	if err := pool.QueryRow(context.Background(), sql, args...).Scan(&n); err != nil {
		t.Fatalf("%s: %v", sql, err)
	}
	return n
}

// change is a press that changes a record and moves on in full: the trail grows by one place.
func change(shown api.Shown, id string) api.PressRequest {
	return api.PressRequest{Press: id, Trail: shown.Trail, N: shown.N, Release: shown.Release, Element: "e_closenext"}
}

// openDefect goes from a list to one of its records, so that there is a next one.
func (b *browser) openDefect(key string) (api.Shown, error) {
	var list api.Shown
	if err := b.call("POST", usePath+"/open", map[string]any{"address": "/defects?~sort=code"}, &list); err != nil {
		return list, err
	}
	var result api.PressResult
	err := b.call("POST", usePath+"/press", map[string]any{"press": "row-" + list.Trail, "trail": list.Trail, "n": list.N, "release": list.Release, "element": "e_list", "row": key}, &result)
	if err != nil {
		return list, err
	}
	return *result.Shown, nil
}

// countChanges lets the database itself count how often each defect is changed.
func countChanges(t *testing.T) {
	t.Helper()
	err := up.Exec(`create table if not exists tarnhorn.changed (defect integer not null);
		grant insert on tarnhorn.changed to tarnhorn_app;
		create or replace function tarnhorn.note_change() returns trigger language plpgsql as $$ begin insert into tarnhorn.changed values (new.id); return new; end $$;
		drop trigger if exists note_change on tarnhorn.defects;
		create trigger note_change after update on tarnhorn.defects for each row execute function tarnhorn.note_change();`)
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() {
		if err := up.Exec(`drop trigger note_change on tarnhorn.defects; drop function tarnhorn.note_change; drop table tarnhorn.changed`); err != nil {
			t.Error(err)
		}
	})
}

// assign makes a defect one that can be closed, and forgets what was counted of it.
func assign(t *testing.T, key string) {
	t.Helper()
	if err := up.Exec(`update tarnhorn.defects set state = 'assigned' where id = ` + key + `; delete from tarnhorn.changed where defect = ` + key); err != nil {
		t.Fatal(err)
	}
}

// The program is killed at each point of a press. Sent again with its id, the press comes to what
// it would have come to: the record is changed once, the trail has its place once.
func TestKilledAtEachPointOfAPress(t *testing.T) {
	if testing.Short() {
		t.Skip("takes long")
	}
	p := built(t)
	countChanges(t)
	p.start("")
	b := p.browser("sela")
	for i, point := range fault.OfRecords {
		key := strconv.Itoa(40 + i)
		assign(t, key)
		shown, err := b.openDefect(key)
		if err != nil {
			t.Fatal(err)
		}
		p.kill()
		p.start(point)
		press := change(shown, "killed-"+point)
		err = b.call("POST", usePath+"/press", press, nil)
		if err == nil || !p.died() {
			t.Fatalf("%s: the program lives, and says %v", point, err)
		}
		p.start("")
		var result api.PressResult
		for range 2 { // the browser may well ask twice
			if err := b.call("POST", usePath+"/press", press, &result); err != nil {
				t.Fatalf("%s: %v", point, err)
			}
		}
		if n := counted(t, demo.Database, `select count(*) from tarnhorn.changed where defect = `+key); n != 1 {
			t.Errorf("%s: the record was changed %d times", point, n)
		}
		if n := counted(t, demo.Database, `select count(*) from tarnhorn.defects where state = 'closed' and id = `+key); n != 1 {
			t.Errorf("%s: the record is not closed", point)
		}
		wholeTrail(t, point, shown, result)
	}
	t.Logf("%d kills, one at each point", len(fault.OfRecords))
}

// wholeTrail asks for a trail of list, record and the record stepped to, without gaps.
func wholeTrail(t *testing.T, point string, before api.Shown, result api.PressResult) {
	t.Helper()
	if result.Shown == nil || result.Shown.N != before.N+1 || result.Shown.View.Screen != "s_defect" || result.Shown.View.Record.Key == before.View.Record.Key {
		t.Errorf("%s: the press came to %+v", point, result.Shown)
		return
	}
	if n := counted(t, "ambergate", `select count(*) from place where trail = $1`, before.Trail); n != before.N+1 {
		t.Errorf("%s: %d places on the trail, want %d", point, n, before.N+1)
	}
	if n := counted(t, "ambergate", `select at from trail where id = $1`, before.Trail); n != before.N+1 {
		t.Errorf("%s: the trail stands at %d", point, n)
	}
}

// notYet is what is said as long as the plant is not reached: also of what was sent already, and is asked for again.
var notYet = regexp.MustCompile("no-leader|leader-away|not read yet|not connected")

// Killed at each point of a press that writes to the plant: the plant gets it once at most, never
// late, and what became of it is always told.
func TestKilledAtEachPointOfACommand(t *testing.T) {
	if testing.Short() {
		t.Skip("takes long")
	}
	p := built(t)
	told := map[string]string{fault.PressCommitted: "expired", fault.CommandIntended: "expired", fault.CommandSent: "unknown", fault.CommandWritten: "unknown", fault.CommandEnded: "done", fault.PressAnswering: "done"}
	for _, point := range fault.OfPlant {
		lift := "LT"
		p.start(point)
		b := p.browser("jon")
		var shown api.Shown
		if err := b.call("POST", usePath+"/open", map[string]any{"address": "/drive-room?lift=2"}, &shown); err != nil {
			t.Fatal(err)
		}
		node := lift + ".drive.creep"
		before := up.Sim.Taken(node)
		press := api.PressRequest{Press: "plant-" + point, Trail: shown.Trail, N: shown.N, Release: shown.Release, Element: "e_creep"}
		// It leads later than it serves, and the plant's first word comes later still.
		reached := func(into any) error {
			err := b.call("POST", usePath+"/press", press, into)
			for deadline := time.Now().Add(90 * time.Second); err != nil && notYet.MatchString(err.Error()) && time.Now().Before(deadline); time.Sleep(100 * time.Millisecond) {
				err = b.call("POST", usePath+"/press", press, into)
			}
			return err
		}
		if err := reached(nil); err == nil || !p.died() {
			t.Fatalf("%s: the program lives, and says %v", point, err)
		}
		p.start("")
		var result api.PressResult
		for range 2 {
			if err := reached(&result); err != nil {
				t.Fatalf("%s: %v", point, err)
			}
		}
		if result.Commands == nil || (*result.Commands)[0].State != told[point] {
			t.Errorf("%s: told as %+v, want %s", point, result.Commands, told[point])
		}
		taken := up.Sim.Taken(node) - before
		if sent := told[point] != "expired" && point != fault.CommandSent; taken > 1 || (taken == 1) != sent {
			t.Errorf("%s: the plant was written to %d times", point, taken)
		}
		p.kill()
	}
	t.Logf("%d kills, one at each point", len(fault.OfPlant))
}

// Killed at each point of a builder's edit: it is there whole or not at all, and it was told only if it is there.
func TestKilledAtEachPointOfAnEdit(t *testing.T) {
	if testing.Short() {
		t.Skip("takes long")
	}
	p := built(t)
	for i, point := range fault.OfEdits {
		p.start(point)
		b := p.browser("arno")
		before := counted(t, "ambergate", `select seq::int from project where id = $1`, demo.ProjectID)
		old := fmt.Sprintf("Hours %d", i)
		if i == 0 {
			old = "Hours"
		}
		patch := []map[string]any{{"op": "test", "path": "/t_defects/fields/f_hours/label", "value": old}, {"op": "replace", "path": "/t_defects/fields/f_hours/label", "value": fmt.Sprintf("Hours %d", i+1)}}
		b.once = "edit-" + point
		if err := b.call("POST", "/api/build/tarnhorn/edits", map[string]any{"patch": patch}, nil); err == nil || !p.died() {
			t.Fatalf("%s: the program lives, and says %v", point, err)
		}
		p.start("")
		var told api.Edited
		for range 2 { // sent again it is found, whether it was made before the end or not
			if err := b.call("POST", "/api/build/tarnhorn/edits", map[string]any{"patch": patch}, &told); err != nil || told.Seq != int64(before+1) {
				t.Errorf("%s: sent again it comes to %+v, %v", point, told, err)
			}
		}
		if n := counted(t, "ambergate", `select seq::int from project where id = $1`, demo.ProjectID); n != before+1 {
			t.Errorf("%s: %d edits were made", point, n-before)
		}
		p.kill()
	}
	p.start("")
	b := p.browser("arno")
	for i := range fault.OfEdits {
		b.once = fmt.Sprintf("undo-%d", i)
		if err := b.call("POST", "/api/build/tarnhorn/undo", nil, nil); err != nil {
			t.Fatal(err)
		}
	}
	t.Logf("%d kills, one at each point", len(fault.OfEdits))
}

// Killed at random while several users work: what was acknowledged is there, and nothing is there twice.
func TestKilledAtRandomPoints(t *testing.T) {
	if testing.Short() {
		t.Skip("takes long")
	}
	kills := 30
	if n, err := strconv.Atoi(os.Getenv(killsVariable)); err == nil {
		kills = n
	}
	p := built(t)
	countChanges(t)
	p.start("")
	const users = 4
	browsers := make([]*browser, users)
	for i := range browsers {
		browsers[i] = p.browser("sela")
	}
	var stop atomic.Bool
	var acknowledged, again atomic.Int64
	var work sync.WaitGroup
	for i, b := range browsers {
		work.Add(1)
		go func() {
			defer work.Done()
			for round := 0; !stop.Load(); round++ {
				one(t, b, strconv.Itoa(60+i), fmt.Sprintf("random-%d-%d", i, round), &acknowledged, &again)
			}
		}()
	}
	random := rand.New(rand.NewPCG(1, 2))
	for kill := range kills {
		time.Sleep(time.Duration(100+random.IntN(400)) * time.Millisecond)
		// On a machine that is slower than the kills nothing would ever go through.
		for before := acknowledged.Load(); kill%5 == 4 && acknowledged.Load() == before && !t.Failed(); {
			time.Sleep(10 * time.Millisecond)
		}
		p.kill()
		p.start("")
	}
	stop.Store(true)
	work.Wait()
	if n := counted(t, "ambergate", `select count(*) from (select trail, max(n) - count(*) as gaps from place group by trail) t where gaps <> 0`); n != 0 {
		t.Errorf("%d trails have gaps", n)
	}
	t.Logf("%d kills at random points, %d presses acknowledged, %d of them sent more than once", kills, acknowledged.Load(), again.Load())
}

// one closes a defect once, however often it has to be asked for, and looks at what came of it.
func one(t *testing.T, b *browser, key, id string, acknowledged, again *atomic.Int64) {
	assign(t, key)
	var shown api.Shown
	var err error
	for shown, err = b.openDefect(key); err != nil; shown, err = b.openDefect(key) {
		time.Sleep(10 * time.Millisecond)
	}
	press := change(shown, id)
	var result api.PressResult
	tries := 1
	for err = b.call("POST", usePath+"/press", press, &result); err != nil; err = b.call("POST", usePath+"/press", press, &result) {
		if no, ok := err.(errNo); ok && no.status < 500 {
			t.Errorf("%s: %v", id, err)
			return
		}
		tries++
		time.Sleep(10 * time.Millisecond)
	}
	acknowledged.Add(1)
	if tries > 1 {
		again.Add(1)
	}
	if n := counted(t, demo.Database, `select count(*) from tarnhorn.changed where defect = `+key); n != 1 {
		t.Errorf("%s: the record was changed %d times", id, n)
	}
	if n := counted(t, "ambergate", `select count(*) from place where press = $1`, id); n != 1 {
		t.Errorf("%s: %d places on the trail", id, n)
	}
	wholeTrail(t, id, shown, result)
}

// Told once, a draft is there, whatever happens then.
func TestADraftOutlivesTheProgram(t *testing.T) {
	p := built(t)
	p.start(fault.DraftKept)
	b := p.browser("mira")
	var shown api.Shown
	if err := b.call("POST", usePath+"/open", map[string]any{"address": "/defect?defect=107&~mode=edit"}, &shown); err != nil {
		t.Fatal(err)
	}
	draft := map[string]any{"trail": shown.Trail, "n": shown.N, "base": map[string]string{"f_detail": ""}, "values": map[string]string{"f_detail": "half a"}, "version": shown.View.Record.Version}
	if err := b.call("POST", usePath+"/draft", draft, nil); err == nil || !p.died() {
		t.Fatalf("the program lives, and says %v", err)
	}
	p.start("")
	if err := b.call("POST", usePath+"/open", map[string]any{"trail": shown.Trail, "n": shown.N}, &shown); err != nil {
		t.Fatal(err)
	}
	if shown.Draft == nil || shown.Draft.Values["f_detail"] != "half a" || !strings.HasPrefix(shown.View.Heading, "Defect") {
		t.Errorf("found again: %+v", shown.Draft)
	}
}
