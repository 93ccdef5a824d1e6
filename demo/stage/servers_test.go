package stage_test

import (
	"bufio"
	"context"
	"encoding/hex"
	"encoding/json"
	"errors"
	"fmt"
	"net"
	"net/http"
	"net/http/httptest"
	"os"
	"os/exec"
	"path/filepath"
	"strconv"
	"strings"
	"sync"
	"sync/atomic"
	"syscall"
	"testing"
	"time"

	"ambergate/api"
	"ambergate/demo"
	"ambergate/demo/balance"
)

// serversVariable makes the test of three servers a long one: each is killed more often, and cut off for half a minute.
const serversVariable = "AMBERGATE_SERVERS"

// theThree are servers over the stage’s databases and plant, behind a balancer.
type theThree struct {
	t       *testing.T
	servers []*program
	cut     []*severed     // between each and its databases
	log     *serversLogged // of all of them
	through *program       // the balancer, as far as it is asked like a server
}

// severed is a way to the databases that can be cut without either side being told.
type severed struct {
	l       net.Listener
	blocked atomic.Bool
}

// sever makes a way to a TCP address.
func sever(t *testing.T, to string) *severed {
	t.Helper()
	l, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		t.Fatal(err)
	}
	s := &severed{l: l}
	t.Cleanup(func() { _ = l.Close() })
	pipe := func(from, to net.Conn) {
		defer from.Close()
		defer to.Close()
		buf := make([]byte, 32<<10)
		for {
			n, err := from.Read(buf)
			for s.blocked.Load() {
				time.Sleep(10 * time.Millisecond)
			}
			if err != nil {
				return
			}
			if _, err := to.Write(buf[:n]); err != nil {
				return
			}
		}
	}
	go func() {
		for {
			in, err := l.Accept()
			if err != nil {
				return
			}
			go func() {
				out, err := net.Dial("tcp", to)
				if err != nil {
					_ = in.Close()
					return
				}
				go pipe(in, out)
				pipe(out, in)
			}()
		}
	}()
	return s
}

// serversLogged keeps the last that the servers logged, for when something goes wrong.
type serversLogged struct {
	mu   sync.Mutex
	text []byte
}

// Write keeps it.
func (l *serversLogged) Write(p []byte) (int, error) {
	l.mu.Lock()
	defer l.mu.Unlock()
	l.text = append(l.text, p...)
	l.text = l.text[max(0, len(l.text)-20_000):]
	return len(p), nil
}

func threeServers(t *testing.T) *theThree {
	t.Helper()
	three := &theThree{t: t, log: &serversLogged{}}
	first := built(t)
	at := up.Cluster.Address()
	var addresses []string
	for i := range 3 {
		p := first
		if i > 0 {
			l, err := net.Listen("tcp", "127.0.0.1:0")
			if err != nil {
				t.Fatal(err)
			}
			p = &program{t: t, binary: first.binary, home: first.home, address: l.Addr().String()}
			_ = l.Close()
			t.Cleanup(p.kill)
		}
		three.servers, three.cut = append(three.servers, p), append(three.cut, sever(t, at))
		addresses = append(addresses, p.address)
		three.begin(i)
	}
	b := balance.New(addresses)
	ctx, stop := context.WithCancel(context.Background())
	t.Cleanup(stop)
	go b.Keep(ctx)
	front := httptest.NewServer(b)
	t.Cleanup(front.Close)
	waiting, cancel := context.WithTimeout(ctx, time.Minute)
	defer cancel()
	if err := b.Ready(waiting, 3); err != nil {
		t.Fatalf("%v\n%s", err, three.log.text)
	}
	three.through = &program{t: t, address: front.Listener.Addr().String()}
	return three
}

// begin starts a server, or starts it again.
func (three *theThree) begin(i int) {
	t, p := three.t, three.servers[i]
	home := filepath.Join(p.home, strconv.Itoa(i))
	if err := errors.Join(os.MkdirAll(home, 0o711), os.WriteFile(filepath.Join(home, "ambergate.key"), []byte(hex.EncodeToString(up.Key)), 0o600)); err != nil {
		t.Fatal(err)
	}
	p.mu.Lock()
	defer p.mu.Unlock()
	p.run = exec.Command(p.binary, "serve", "--dir", home, "--address", p.address)
	p.run.Env = os.Environ()
	for _, said := range up.Served() {
		p.run.Env = append(p.run.Env, strings.ReplaceAll(said, up.Cluster.Address(), three.cut[i].l.Addr().String()))
	}
	p.run.Stderr = three.log
	if err := p.run.Start(); err != nil {
		t.Fatal(err)
	}
	run, ended := p.run, make(chan struct{})
	p.ended = ended
	go func() { _ = run.Wait(); close(ended) }()
}

// leader gives which of them leads by the store; -1 for none.
func (three *theThree) leader() int {
	pool, err := up.Admin("ambergate")
	if err != nil {
		return -1
	}
	var name string
	if pool.QueryRow(context.Background(), `select server from lead where of = 'plants' and until > now()`).Scan(&name) != nil {
		return -1
	}
	for i, p := range three.servers {
		if strings.HasSuffix(name, " "+p.address) {
			return i
		}
	}
	return -1
}

// another waits until another server leads than one, and says how long that took.
func (three *theThree) another(than int) time.Duration {
	began := time.Now()
	for time.Since(began) < time.Minute {
		if now := three.leader(); now >= 0 && now != than {
			return time.Since(began)
		}
		time.Sleep(20 * time.Millisecond)
	}
	three.t.Errorf("no other server leads\n%s", three.log.text)
	return time.Minute
}

// work is what goes on while servers are ended, and what came of it.
type work struct {
	t    *testing.T
	on   *program
	ease time.Duration // how many times longer than in the long test everybody waits before they do the next thing
	stop atomic.Bool
	all  sync.WaitGroup

	draft sync.Mutex // held by who does not want it edited meanwhile

	presses, again, edits, releases, commands, sent, holds, called atomic.Int64
	longest                                                        atomic.Int64 // a stream was away for, ns
	streams                                                        atomic.Int64 // that began anew
}

// goes does something again and again, as somebody.
func (w *work) goes(what string, run func(b *browser, round int) error, login string, pause time.Duration) {
	b := w.on.browser(login)
	w.all.Go(func() {
		for round := 0; !w.stop.Load(); round++ {
			if err := run(b, round); err != nil {
				w.t.Errorf("%s: %v", what, err)
				return
			}
			time.Sleep(pause * w.ease)
		}
	})
}

// asked asks until somebody answers, with the same id each time; an error is a no.
func (w *work) asked(call func() error) error {
	for tries := 0; ; tries++ {
		err := call()
		var no errNo
		if err == nil || errors.As(err, &no) && no.status < 500 {
			if tries > 0 {
				w.again.Add(1)
			}
			return err
		}
		if tries > 2000 {
			return fmt.Errorf("nobody answers: %w", err)
		}
		time.Sleep(20 * time.Millisecond)
	}
}

// closes changes a record, once.
func (w *work) closes(key string) func(b *browser, round int) error {
	return func(b *browser, round int) error {
		assign(w.t, key)
		var shown api.Shown
		if err := w.asked(func() (err error) { shown, err = b.openDefect(key); return err }); err != nil {
			return err
		}
		id := fmt.Sprintf("three-%s-%d", key, round)
		var result api.PressResult
		if err := w.asked(func() error { return b.call("POST", usePath+"/press", change(shown, id), &result) }); err != nil {
			return err
		}
		w.presses.Add(1)
		if n := counted(w.t, demo.Database, `select count(*) from tarnhorn.changed where defect = `+key); n != 1 {
			return fmt.Errorf("%s: the record was changed %d times", id, n)
		}
		wholeTrail(w.t, id, shown, result)
		return nil
	}
}

// editing changes the title of a screen, and looks that each edit is there once.
func (w *work) editing(b *browser, round int) error {
	w.draft.Lock()
	defer w.draft.Unlock()
	b.once = fmt.Sprintf("three-edit-%d", round)
	title := fmt.Sprintf("Parts in store %d", round)
	if err := w.asked(func() error {
		return b.call("POST", "/api/build/tarnhorn/edits", map[string]any{"patch": []map[string]any{{"op": "replace", "path": "/s_parts/title", "value": title}}}, nil)
	}); err != nil {
		return err
	}
	w.edits.Add(1)
	if n := counted(w.t, "ambergate", `select count(*) from edit where request = $1`, b.once); n != 1 {
		return fmt.Errorf("edit %d is there %d times", round, n)
	}
	if n := counted(w.t, "ambergate", `select count(*) from entity where project = 'p_tarnhorn' and id = 's_parts' and body ->> 'title' = $1`, title); n != 1 {
		return fmt.Errorf("edit %d was acknowledged and is lost", round)
	}
	return nil
}

// releasing puts the draft into use, whatever stands in the way, once. Where it was edited meanwhile, it is tried again.
func (w *work) releasing(b *browser, round int) error {
	before := w.releases.Load()
	if err := w.release(b, fmt.Sprintf("three-release-%d-raced", round)); err != nil || w.releases.Load() > before {
		return err
	}
	w.draft.Lock()
	defer w.draft.Unlock()
	return w.release(b, fmt.Sprintf("three-release-%d", round))
}

func (w *work) release(b *browser, id string) error {
	var ready api.Readiness
	if err := w.asked(func() error { return b.call("GET", "/api/build/tarnhorn/readiness", nil, &ready) }); err != nil {
		return err
	}
	accepted := []map[string]string{}
	for _, stop := range ready.Stops {
		accepted = append(accepted, map[string]string{"key": stop.Key, "because": "the test goes on"})
	}
	b.once = id
	err := w.asked(func() error {
		return b.call("POST", "/api/build/tarnhorn/releases", map[string]any{"note": b.once, "accepted": accepted}, nil)
	})
	var no errNo
	if errors.As(err, &no) && no.status == http.StatusConflict {
		return nil // it was edited meanwhile
	}
	if err != nil {
		return err
	}
	w.releases.Add(1)
	if n := counted(w.t, "ambergate", `select count(*) from release where request = $1`, b.once); n != 1 {
		return fmt.Errorf("release %s is there %d times", id, n)
	}
	return nil
}

// room opens a drive room.
func (w *work) room(b *browser, lift int) (shown api.Shown, err error) {
	err = w.asked(func() error {
		return b.call("POST", usePath+"/open", map[string]any{"address": fmt.Sprintf("/drive-room?lift=%d", lift)}, &shown)
	})
	return shown, err
}

// commanding lets a line creep: what was told as done reached the plant once.
func (w *work) commanding(b *browser, round int) error {
	shown, err := w.room(b, 2)
	if err != nil {
		return err
	}
	const node = "LT.drive.creep"
	before := up.Sim.Taken(node)
	press := api.PressRequest{Press: fmt.Sprintf("three-creep-%d", round), Trail: shown.Trail, N: shown.N, Release: shown.Release, Element: "e_creep"}
	var result api.PressResult
	err = w.asked(func() error { return b.call("POST", usePath+"/press", press, &result) })
	taken := up.Sim.Taken(node) - before
	var no errNo
	if errors.As(err, &no) { // no server leads, or its values are not there yet: nothing was sent
		time.Sleep(50 * time.Millisecond)
		if taken = up.Sim.Taken(node) - before; taken != 0 {
			return fmt.Errorf("refused (%w), and written %d times", err, taken)
		}
		return nil
	}
	if err != nil {
		return err
	}
	w.commands.Add(1)
	state := (*result.Commands)[0].State
	switch {
	case taken > 1, taken == 0 && state == "done", taken == 1 && (state == "refused" || state == "expired"):
		return fmt.Errorf("%s was told as %s, and written %d times", press.Press, state, taken)
	case taken == 1:
		w.sent.Add(1)
	}
	return nil
}

// holding holds a button for a while, and looks that its tag is false then, whatever became of the servers.
func (w *work) holding(b *browser, round int) error {
	const node = "HS.drive.inch"
	shown, err := w.room(b, 3)
	if err != nil {
		return err
	}
	id := fmt.Sprintf("three-hold-%d", round)
	var result api.PressResult
	if b.call("POST", usePath+"/press", api.PressRequest{Press: id, Trail: shown.Trail, N: shown.N, Release: shown.Release, Element: "e_inch"}, &result) != nil {
		return nil // what begins to hold is sent once
	}
	held := result.Commands != nil && (*result.Commands)[0].State == "done"
	if held {
		w.holds.Add(1)
	}
	for began := time.Now(); time.Since(began) < time.Second; time.Sleep(150 * time.Millisecond) {
		if b.call("PUT", usePath+"/holds/"+id, nil, nil) != nil {
			break
		}
	}
	_ = b.call("DELETE", usePath+"/holds/"+id, nil, nil) // who cannot be reached lets go by itself
	for began := time.Now(); up.Sim.Now(node) != false; time.Sleep(20 * time.Millisecond) {
		if time.Since(began) > 5*time.Second {
			return fmt.Errorf("%s: the tag is still true five seconds after it was let go", id)
		}
	}
	return nil
}

// gusting lets it blow until that was noted, and be calm until it was: each gust is noted once.
func (w *work) gusting(_ *browser, round int) error {
	open := func() int {
		return counted(w.t, "ambergate", `select count(*) from callup where callup = 'cu_gusts' and record = '1' and ended is null`)
	}
	before := counted(w.t, "ambergate", `select count(*) from callup where callup = 'cu_gusts' and record = '1'`)
	until := func(n int) bool {
		for began := time.Now(); open() != n; time.Sleep(50 * time.Millisecond) {
			if w.stop.Load() || time.Since(began) > 45*time.Second {
				return false
			}
		}
		return true
	}
	up.Sim.Put("UT.scenario.gust", true)
	if !until(1) {
		return nil
	}
	up.Sim.Put("UT.scenario.calm", true)
	if !until(0) {
		return nil
	}
	w.called.Add(1)
	if n := counted(w.t, "ambergate", `select count(*) from callup where callup = 'cu_gusts' and record = '1'`) - before; n != 1 {
		return fmt.Errorf("a gust was noted %d times", n)
	}
	return nil
}

// streaming keeps an event stream of a live screen open, and notes how long it was away.
func (w *work) streaming(login string) {
	b := w.on.browser(login)
	shown, err := w.room(b, 1)
	if err != nil {
		w.t.Error(err)
		return
	}
	w.all.Go(func() {
		var lost time.Time
		for !w.stop.Load() {
			w.hear(b, shown, func() {
				if !lost.IsZero() {
					w.streams.Add(1)
					if away := time.Since(lost); away > time.Duration(w.longest.Load()) {
						w.longest.Store(int64(away))
					}
					lost = time.Time{}
				}
			})
			if lost.IsZero() {
				lost = time.Now()
			}
			time.Sleep(50 * time.Millisecond)
			_ = b.call("POST", usePath+"/open", map[string]any{"trail": shown.Trail, "n": shown.N}, &shown) // as a tab does
		}
	})
}

// far is what nobody would wait for, on a machine however busy; what is to be reached, 3 s, is logged and measured.
const far = 20 * time.Second

// silentFor is how long a stream may say nothing until a tab takes it for lost: a server that does not know that it is
// cut off says that it lives each two seconds.
const silentFor = 4500 * time.Millisecond

// hear reads one stream until it ends, or is silent.
func (w *work) hear(b *browser, shown api.Shown, heard func()) {
	ctx, stop := context.WithCancel(context.Background())
	defer stop()
	silent := time.AfterFunc(silentFor, stop)
	defer silent.Stop()
	req, err := http.NewRequestWithContext(ctx, "GET", fmt.Sprintf("http://%s%s/events?at=%s.%d.0", b.p.address, usePath, shown.Trail, shown.N), nil)
	if err != nil {
		w.t.Error(err)
		return
	}
	client := http.Client{Jar: b.client.Jar}
	resp, err := client.Do(req)
	if err != nil {
		return
	}
	defer resp.Body.Close()
	lines := bufio.NewScanner(resp.Body)
	lines.Buffer(nil, 1<<20)
	for lines.Scan() && !w.stop.Load() {
		if strings.HasPrefix(lines.Text(), "event: live") || strings.HasPrefix(lines.Text(), "event: alive") {
			silent.Reset(silentFor)
			heard()
		}
	}
}

// Three servers over one store: each is killed in turn, one is stopped for ten seconds while it leads, one is cut from
// the databases, while people press, edit, release, look, hold and are called up. Nothing is lost, nothing is done twice.
func TestThreeServersEachEndedInTurn(t *testing.T) {
	if testing.Short() {
		t.Skip("takes long")
	}
	rounds, cutFor, ease := 1, 12*time.Second, time.Duration(4)
	if os.Getenv(serversVariable) != "" {
		rounds, cutFor, ease = 4, 30*time.Second, 1
	}
	countChanges(t)
	for _, lift := range []string{"UT", "LT", "HS"} {
		up.Sim.Put(lift+".scenario.calm", true)
	}
	up.Sim.Put("HS.drive.stop", true) // only a line that stands is inched
	three := threeServers(t)
	w := &work{t: t, on: three.through, ease: ease}
	w.goes("a press", w.closes("81"), "sela", 30*time.Millisecond)
	w.goes("a press", w.closes("82"), "mira", 30*time.Millisecond)
	w.goes("an edit", w.editing, "arno", 100*time.Millisecond)
	w.goes("a release", w.releasing, "arno", 3*time.Second)
	w.goes("a command", w.commanding, "jon", 100*time.Millisecond)
	w.goes("a hold", w.holding, "ilse", 100*time.Millisecond)
	w.goes("a gust", w.gusting, "jon", 100*time.Millisecond)
	for _, login := range []string{"jon", "sela", "ilse"} {
		w.streaming(login)
	}
	kills := 0
	slowest := time.Duration(0)
	for range rounds {
		for i := range three.servers {
			time.Sleep(time.Second)
			led := three.leader() == i
			three.servers[i].kill()
			kills++
			if led {
				slowest = max(slowest, three.another(i))
			}
			time.Sleep(2 * time.Second)
			three.begin(i)
			time.Sleep(2 * time.Second)
		}
	}
	t.Logf("%d kills: a server led again after %s at the most; a stream was away for %s at the most", kills, slowest.Round(10*time.Millisecond), time.Duration(w.longest.Load()).Round(10*time.Millisecond))
	if slowest > far {
		t.Errorf("no server led for %s", slowest)
	}
	if away := time.Duration(w.longest.Load()); away > far {
		t.Errorf("a stream was away for %s", away)
	}
	three.paused(w)
	three.cutOff(w, cutFor)
	w.stop.Store(true)
	w.all.Wait()
	arno := w.on.browser("arno")
	arno.once = "three-back"
	if err := w.asked(func() error {
		return arno.call("POST", "/api/build/tarnhorn/edits", map[string]any{"patch": []map[string]any{{"op": "replace", "path": "/s_parts/title", "value": "Parts"}}}, nil)
	}); err != nil {
		t.Error(err)
	}
	if n := counted(t, "ambergate", `select count(*) from (select trail, max(n) - count(*) as gaps from place group by trail) t where gaps <> 0`); n != 0 {
		t.Errorf("%d trails have gaps", n)
	}
	if n := counted(t, "ambergate", `select count(*) from plant_hold`); n != 0 {
		t.Errorf("%d buttons are kept as held", n)
	}
	if t.Failed() {
		t.Logf("%s", three.log.text)
	}
	t.Logf("%d presses, %d sent again, %d edits, %d releases, %d commands answered of which %d reached the plant, %d holds, %d gusts called up, %d streams begun anew",
		w.presses.Load(), w.again.Load(), w.edits.Load(), w.releases.Load(), w.commands.Load(), w.sent.Load(), w.holds.Load(), w.called.Load(), w.streams.Load())
	for what, n := range map[string]int64{"presses": w.presses.Load(), "edits": w.edits.Load(), "releases": w.releases.Load(), "commands": w.sent.Load(), "holds": w.holds.Load(), "gusts": w.called.Load(), "streams": w.streams.Load()} {
		if n == 0 {
			t.Errorf("there were no %s: nothing was tried", what)
		}
	}
}

// paused stops the server that leads for ten seconds: another one leads, and what the first comes back with is not done.
func (three *theThree) paused(w *work) {
	t := three.t
	i := three.leader()
	if i < 0 {
		t.Error("no server leads")
		return
	}
	number := counted(t, "ambergate", `select number from lead`)
	if err := three.servers[i].run.Process.Signal(syscall.SIGSTOP); err != nil {
		t.Error(err)
		return
	}
	took := three.another(i)
	time.Sleep(10*time.Second - took)
	began := map[string]int{}
	for _, sort := range []string{"sent", "intended"} {
		began[sort] = counted(t, "ambergate", `select count(*) from plant_command where state = $1 and at < now() - interval '5 seconds'`, sort)
	}
	if began["sent"]+began["intended"] != 0 {
		t.Errorf("of commands that were under way it is not told what became: %v", began)
	}
	if err := three.servers[i].run.Process.Signal(syscall.SIGCONT); err != nil {
		t.Error(err)
	}
	time.Sleep(3 * time.Second)
	if now := three.leader(); now == i || counted(t, "ambergate", `select number from lead`) <= number {
		t.Errorf("the server that was stopped leads again, or by the number of before")
	}
	t.Logf("stopped for 10 s while it led: another one led after %s", took.Round(10*time.Millisecond))
	if took > far {
		t.Errorf("no server led for %s", took)
	}
}

// cutOff cuts the server that leads from the databases: the others go on, and it comes back by itself.
func (three *theThree) cutOff(w *work, lasts time.Duration) {
	t := three.t
	i := three.leader()
	if i < 0 {
		t.Error("no server leads")
		return
	}
	before := w.presses.Load()
	three.cut[i].blocked.Store(true)
	took := three.another(i)
	time.Sleep(lasts - took)
	during := w.presses.Load() - before
	three.cut[i].blocked.Store(false)
	began := time.Now()
	for {
		resp, err := http.Get("http://" + three.servers[i].address + "/readyz")
		if err == nil {
			var ready api.Probe
			err = json.NewDecoder(resp.Body).Decode(&ready)
			_ = resp.Body.Close()
			if err == nil && ready.Ready {
				break
			}
		}
		if time.Since(began) > 30*time.Second {
			t.Errorf("half a minute later the server that was cut off is not ready: %v", err)
			break
		}
		time.Sleep(50 * time.Millisecond)
	}
	t.Logf("cut from the databases for %s while it led: another one led after %s, %d presses meanwhile, ready again after %s", lasts, took.Round(10*time.Millisecond), during, time.Since(began).Round(10*time.Millisecond))
	if during == 0 {
		t.Error("the others did not go on")
	}
}
