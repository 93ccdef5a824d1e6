package fleet_test

import (
	"bytes"
	"context"
	"crypto/tls"
	"errors"
	"io"
	"log/slog"
	"net"
	"net/http"
	"net/http/httptest"
	"strings"
	"testing"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/demo/stage"
	"ambergate/demo/stage/stagetest"
	"ambergate/plant"
	"ambergate/plant/sim"
	"ambergate/server/fleet"
	"ambergate/store"
)

var up *stage.Stage

func TestMain(m *testing.M) { stagetest.Main(m, &up) }

var key = bytes.Repeat([]byte{3}, store.KeySize)

// member is a server of a fleet that answers the others.
func member(t *testing.T, name string, key []byte, plants map[string]*plant.Client, everybody http.Handler) *fleet.Fleet {
	t.Helper()
	l, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		t.Fatal(err)
	}
	f := fleet.New(fleet.Options{Store: up.Store, Log: slog.New(slog.DiscardHandler), Name: name, Address: l.Addr().String(), Key: key})
	config, err := f.ServerTLS()
	if err != nil {
		t.Fatal(err)
	}
	srv := &http.Server{Handler: f.Handler(everybody, func(name string) *plant.Client { return plants[name] }), ErrorLog: slog.NewLogLogger(slog.DiscardHandler, slog.LevelInfo)}
	go func() { _ = srv.Serve(tls.NewListener(l, config)) }()
	t.Cleanup(func() { _ = srv.Close(); _ = up.Store.Resign(context.Background(), name) })
	return f
}

func within(t *testing.T, limit time.Duration, what string, is func() bool) {
	t.Helper()
	for began := time.Now(); !is(); time.Sleep(10 * time.Millisecond) {
		if time.Since(began) > limit {
			t.Fatalf("not within %s: %s", limit, what)
		}
	}
}

// As long as it is told so, and anew after each time that it was not.
func TestAServerKnowsWhetherItIsAlone(t *testing.T) {
	ctx := t.Context()
	a, b := member(t, "alone a", key, nil, nil), member(t, "alone b", key, nil, nil)
	if _, is := a.Alone(); is {
		t.Error("it is alone before anybody told it so")
	}
	if err := a.Join(ctx); err != nil {
		t.Fatal(err)
	}
	began := time.Now()
	a.BeKnown(ctx)
	if waited := time.Since(began); waited > time.Second/2 {
		t.Errorf("alone, it waits %s for others to know of it", waited)
	}
	since, is := a.Alone()
	if !is {
		t.Error("it is not alone")
	}
	a.Look(ctx)
	if again, is := a.Alone(); is && !again.Equal(since) {
		t.Error("asked again, it is alone since another moment")
	}
	if err := b.Join(ctx); err != nil {
		t.Fatal(err)
	}
	b.BeKnown(ctx)
	for name, f := range map[string]*fleet.Fleet{"the first": a, "the second": b} {
		if _, is := f.Alone(); is {
			t.Errorf("%s believes that it is alone, though it was not asked again", name)
		}
	}
	if err := up.Store.Resign(ctx, "alone b"); err != nil {
		t.Fatal(err)
	}
	a.Look(ctx)
	if again, is := a.Alone(); is && !again.After(since) {
		t.Error("alone again, it is so since before the other one was there")
	}
}

func TestOneLeadsAndAnotherWhenItIsSilent(t *testing.T) {
	ctx := t.Context()
	a, b := member(t, "a", key, nil, nil), member(t, "b", key, nil, nil)
	settled := 0
	b.OnLead(func(context.Context) (func(), error) { settled++; return func() { settled += 10 }, nil })
	if a.Leads() || a.Join(ctx) != nil || !a.Leads() || b.Join(ctx) != nil || b.Leads() {
		t.Fatal("the first does not lead, or the second does")
	}
	if a.Leader() != "" || b.Leader() == "" {
		t.Errorf("the leader is at %q and %q", a.Leader(), b.Leader())
	}
	first := a.Number()
	held := a.Fenced(ctx)
	turn := b.Turn()
	within(t, 30*time.Second, "the second leads", func() bool { b.Look(ctx); return b.Leads() })
	if a.Leads() || b.Number() <= first || settled != 11 {
		t.Errorf("the silent one leads: %v; numbers %d, %d; settled %d", a.Leads(), first, b.Number(), settled)
	}
	select {
	case <-turn:
	default:
		t.Error("nobody was told that another one leads")
	}
	if !a.Direct() {
		t.Error("who has not heard that another one leads does not read the plant any more")
	}
	// What the silent one writes by its number is refused, and what the new one does is not.
	o := store.Occurrence{CallUp: "cu_fenced", Words: "x", Began: time.Now()}
	if _, err := up.Store.BeginOccurrence(held, "p_tarnhorn", o); err == nil {
		t.Error("an occurrence is begun by a number of before")
	}
	id, err := up.Store.BeginOccurrence(b.Fenced(ctx), "p_tarnhorn", o)
	if err != nil {
		t.Fatal(err)
	}
	if again, err := up.Store.BeginOccurrence(b.Fenced(ctx), "p_tarnhorn", o); err != nil || again != id {
		t.Errorf("begun twice: %d, %d, %v", id, again, err)
	}
	if err := up.Store.EndOccurrence(held, id, time.Now()); err != nil {
		t.Fatal(err)
	}
	if open, _ := up.Store.OpenOccurrences(ctx, "p_tarnhorn", ""); len(open) != 1 {
		t.Errorf("it was ended by a number of before: %v", open)
	}
	if err := up.Store.EndOccurrence(b.Fenced(ctx), id, time.Now()); err != nil {
		t.Fatal(err)
	}
	if a.Look(ctx); a.Leads() || a.Direct() || a.Leader() == "" {
		t.Error("back, it does not know who leads")
	}
	// One that ends says so: another one leads at once.
	if err := up.Store.Resign(ctx, "b"); err != nil {
		t.Fatal(err)
	}
	if a.Look(ctx); !a.Leads() {
		t.Error("nobody leads after it was told that the other one ended")
	}
	// Begun anew under its own name it leads at once, by another number.
	number := a.Number()
	anew := member(t, "a", key, nil, nil)
	if anew.Join(ctx) != nil || anew.Number() <= number {
		t.Errorf("begun anew it has the number %d after %d", anew.Number(), number)
	}
}

func TestACommandIsNotSentByANumberOfBefore(t *testing.T) {
	ctx := t.Context()
	a := member(t, "a", key, nil, nil)
	if a.Join(ctx) != nil {
		t.Fatal("it does not lead")
	}
	old := a.Fenced(ctx)
	b := member(t, "a", key, nil, nil) // begun anew: the number is another
	if b.Join(ctx) != nil {
		t.Fatal("it does not lead")
	}
	mark := time.Now().Format("150405.000000")
	for press, by := range map[string]context.Context{"old-" + mark: old, "new-" + mark: b.Fenced(ctx)} {
		if added, err := up.Store.Intend(ctx, []store.Command{{Press: press, Plant: "x", Source: "s", Node: press, Label: "l", Value: "1", Account: "a_jon", Project: "p_tarnhorn"}}, false); err != nil || !added {
			t.Fatal(added, err)
		}
		sent, err := up.Store.MarkSent(by, press, 0)
		if err != nil || sent != strings.HasPrefix(press, "new") {
			t.Errorf("%s is sent: %v, %v", press, sent, err)
		}
	}
	var nobody *fleet.Fleet
	if !nobody.Leads() || !nobody.Direct() || nobody.Lead() != nil || nobody.Fenced(ctx) != ctx {
		t.Error("a server that is alone does not lead")
	}
}

// The others show the values that the one that leads reads; when it goes, they read themselves as soon as they lead.
func TestValuesComeFromWhoLeads(t *testing.T) {
	ctx := t.Context()
	log := slog.New(slog.DiscardHandler)
	plants := map[string]*plant.Client{}
	a := member(t, "a", key, plants, nil)
	if a.Join(ctx) != nil {
		t.Fatal("it does not lead")
	}
	keeping, stop := context.WithCancel(ctx)
	defer stop()
	go a.Keep(keeping)
	at := plant.Settings{Endpoint: up.Sim.Endpoint(), Namespace: sim.Namespace}
	first := plant.Open(at, "ropeway", log, a.Lead())
	defer first.Close()
	plants["ropeway"] = first
	within(t, 40*time.Second, "the first is connected", first.Good)
	b := member(t, "b", key, nil, nil)
	if b.Join(ctx) != nil {
		t.Fatal("it does not join")
	}
	// Its own way to the plant leads nowhere: what it shows is told by the first.
	nowhere := at
	nowhere.Endpoint = "opc.tcp://127.0.0.1:1"
	second := plant.Open(nowhere, "ropeway", log, b.Lead())
	defer second.Close()
	nodes := []string{"UT.drive.speed", "UT.drive.lights", "UT.nothing"}
	within(t, 40*time.Second, "the second hears", second.Good)
	second.Watch(ctx, nodes, 10*time.Second)
	read := func(c *plant.Client, node string) cond.Value {
		return c.Read(ask.TagRef{Source: "ropeway", Node: node}).Value
	}
	within(t, 40*time.Second, "values come", func() bool { return read(second, "UT.drive.speed").Known() })
	heard := second.Listen(nodes)
	defer heard.Close()
	lit := read(second, "UT.drive.lights").True()
	up.Sim.Put("UT.drive.lights", !lit)
	within(t, 40*time.Second, "a change comes", func() bool { return read(second, "UT.drive.lights").True() != lit })
	if len(heard.C) == 0 {
		t.Error("who listens was not told")
	}
	if v, there := read(second, "UT.nothing"), read(first, "UT.nothing"); v.Known() || v.Why() != there.Why() {
		t.Errorf("what the plant does not have is %v (%s), and %s for who leads", v.Wire(), v.Why(), there.Why())
	}
	if err := second.Write(ctx, "UT.drive.lights", cond.Bool(true)); err == nil {
		t.Error("who does not lead writes")
	}
	stop() // the first says that it ends
	within(t, 40*time.Second, "its values are not good any more", func() bool { return !second.Good() })
}

func TestStrangersAreNotAnswered(t *testing.T) {
	a := member(t, "a", key, nil, http.NotFoundHandler())
	if a.Join(t.Context()) != nil {
		t.Fatal("it does not lead")
	}
	stranger := member(t, "s", bytes.Repeat([]byte{4}, store.KeySize), nil, nil)
	if stranger.Join(t.Context()) != nil || stranger.Leader() == "" {
		t.Fatal("it does not know who leads")
	}
	err := stranger.Values(t.Context(), "ropeway", nil, func(plant.Batch) {})
	if err == nil || !strings.Contains(err.Error(), "tls") && !strings.Contains(err.Error(), "same key") {
		t.Errorf("with another key: %v", err)
	}
	client := &http.Client{Transport: &http.Transport{TLSClientConfig: &tls.Config{InsecureSkipVerify: true}}} // it shows no certificate
	if resp, err := client.Get("https://" + stranger.Leader() + "/"); err == nil {
		_ = resp.Body.Close()
		t.Errorf("without a certificate: %d", resp.StatusCode)
	}
}

// What is passed on arrives as it came, with where it came from, and nobody else's word for that.
func TestARequestIsPassedOn(t *testing.T) {
	type request struct{ method, address, body, from, cookie, forwarded string }
	var got request
	a := member(t, "a", key, nil, http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		text, _ := io.ReadAll(r.Body)
		got = request{r.Method, r.URL.String(), string(text), r.RemoteAddr, r.Header.Get("Cookie"), r.Header.Get("X-Forwarded-For")}
		if !fleet.Passed(r.Context()) {
			t.Error("it is not known that it was passed on")
		}
		w.Header().Set("X-Said", "once")
		w.WriteHeader(http.StatusTeapot)
	}))
	if a.Join(t.Context()) != nil {
		t.Fatal("it does not lead")
	}
	b := member(t, "b", key, nil, nil)
	if b.Join(t.Context()) != nil {
		t.Fatal("it does not join")
	}
	r := httptest.NewRequest("POST", "/api/use/x/press?a=1", strings.NewReader("read already"))
	r.Header.Set("Cookie", "session=s")
	r.Header.Set("X-Forwarded-For", "203.0.113.9")
	w := httptest.NewRecorder()
	w.Header().Set("X-Said", "twice")
	b.Pass(w, r, []byte(`{"press":"1"}`), "2001:db8::1", func(err error) { t.Error(err) })
	want := request{"POST", "/api/use/x/press?a=1", `{"press":"1"}`, "[2001:db8::1]:0", "session=s", ""}
	if got != want || w.Code != http.StatusTeapot || len(w.Header().Values("X-Said")) != 1 {
		t.Errorf("it arrived as %+v, answered %d %v", got, w.Code, w.Header())
	}
	alone := fleet.New(fleet.Options{Store: up.Store, Log: slog.New(slog.DiscardHandler), Name: "c", Key: key})
	var lost error
	alone.Pass(httptest.NewRecorder(), r, nil, "192.0.2.1", func(err error) { lost = err })
	if !errors.Is(lost, plant.ErrNoLead) {
		t.Errorf("where nobody is known to lead: %v", lost)
	}
}

// A store that takes long when a server begins, as under load, does not end it.
func TestAServerIsHeardByAStoreThatTakesLong(t *testing.T) {
	f := member(t, "late", key, nil, nil)
	pool, err := up.Admin("ambergate")
	if err != nil {
		t.Fatal(err)
	}
	tx, err := pool.Begin(t.Context())
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = tx.Rollback(context.Background()) }()
	if _, err := tx.Exec(t.Context(), `lock table server in exclusive mode`); err != nil {
		t.Fatal(err)
	}
	joined := make(chan error, 1)
	go func() { joined <- f.Join(t.Context()) }()
	select {
	case err := <-joined:
		t.Fatalf("it was heard by a store that does not listen: %v", err)
	case <-time.After(1500 * time.Millisecond): // longer than one word may take
	}
	if err := tx.Rollback(t.Context()); err != nil {
		t.Fatal(err)
	}
	if err := <-joined; err != nil {
		t.Error(err)
	}
}
