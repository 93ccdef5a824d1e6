package server_test

import (
	"bytes"
	"encoding/json"
	"fmt"
	"maps"
	"net/http"
	"net/http/cookiejar"
	"net/http/httptest"
	"os"
	"strings"
	"testing"
	"time"

	"github.com/jackc/pgx/v5"

	"ambergate/api"
	"ambergate/demo"
	"ambergate/records"
	"ambergate/server/base"
)

// Lists are read from a replica, but never as they were before what the same person has changed since.
func TestAReplicaIsReadWhereItIsFarEnough(t *testing.T) {
	if testing.Short() {
		t.Skip("takes long")
	}
	ctx := t.Context()
	dir, err := os.MkdirTemp("", "ambergate-standby")
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = os.RemoveAll(dir) })
	standby, err := up.Cluster.Standby(ctx, dir)
	if err != nil {
		t.Fatal(err)
	}
	stopped := false
	stop := func() {
		if !stopped {
			stopped = true
			standby.Stop()
		}
	}
	t.Cleanup(stop)
	source, err := records.Open(ctx, up.Cluster.DSN(demo.AppRole, up.Cluster.Password, demo.Database), nil)
	if err != nil {
		t.Fatal(err)
	}
	defer source.Close()
	if err := source.AddReplica(ctx, standby.DSN(demo.AppRole, up.Cluster.Password, demo.Database), nil); err != nil {
		t.Fatal(err)
	}
	srv := httptest.NewServer(handlerWith(t, func(c *base.Config) {
		c.Records = maps.Clone(c.Records)
		c.Records["tarnhorn"] = source
	}))
	defer srv.Close()
	jar, err := cookiejar.New(nil)
	if err != nil {
		t.Fatal(err)
	}
	client := http.Client{Jar: jar}
	ask := func(path string, body, into any) {
		t.Helper()
		text, err := json.Marshal(body)
		if err != nil {
			t.Fatal(err)
		}
		resp, err := client.Post(srv.URL+path, "application/json", bytes.NewReader(text))
		if err != nil {
			t.Fatal(err)
		}
		defer resp.Body.Close()
		if resp.StatusCode != http.StatusOK {
			t.Fatalf("%s: %d", path, resp.StatusCode)
		}
		if err := json.NewDecoder(resp.Body).Decode(into); err != nil {
			t.Fatal(err)
		}
	}
	var me map[string]any
	ask("/api/sign-in", api.SignIn{Login: "sela", Password: "sela"}, &me)
	var shown api.Shown
	fromReplica := func() bool {
		before := source.ReplicaRead()
		ask("/api/use/tarnhorn/open", map[string]any{"address": "/defects-by-component"}, &shown)
		return source.ReplicaRead() > before
	}
	until(t, "the replica is read", fromReplica)
	ask("/api/use/tarnhorn/open", map[string]any{"address": "/defects?~sort=code"}, &shown)
	before := source.ReplicaRead()
	var pressed api.PressResult
	mark := time.Now().UnixNano()
	press := func(element, id string, more map[string]any) {
		t.Helper()
		req := map[string]any{"press": id, "trail": shown.Trail, "n": shown.N, "release": shown.Release, "element": element}
		maps.Copy(req, more)
		ask("/api/use/tarnhorn/press", req, &pressed)
		if pressed.Shown != nil {
			shown = *pressed.Shown
		}
	}
	press("e_list", fmt.Sprintf("row-%d", mark), map[string]any{"row": "91"})
	if source.ReplicaRead() != before {
		t.Error("a form was read from the replica")
	}
	conn, err := pgx.Connect(ctx, standby.AdminDSN(demo.Database))
	if err != nil {
		t.Fatal(err)
	}
	defer conn.Close(ctx)
	hold := func(what string) {
		t.Helper()
		if _, err := conn.Exec(ctx, `select pg_wal_replay_`+what+`()`); err != nil {
			t.Fatal(err)
		}
	}
	if err := up.Exec(`update tarnhorn.defects set state = 'assigned' where id = 91`); err != nil {
		t.Fatal(err)
	}
	hold("pause")
	press("e_closenext", fmt.Sprintf("close-%d", mark), nil)
	seen := ""
	for _, c := range jar.Cookies(mustURL(t, srv.URL)) {
		if c.Name == base.SeenCookie {
			seen = c.Value
		}
	}
	if !strings.HasPrefix(seen, "tarnhorn_") {
		t.Errorf("the browser was told %q", seen)
	}
	if fromReplica() {
		t.Error("the replica was read that does not know what was changed")
	}
	hold("resume")
	until(t, "the replica is read again", fromReplica)
	stop()
	if ask("/api/use/tarnhorn/open", map[string]any{"address": "/defects-by-component"}, &shown); shown.View.Screen != "s_bycomp" {
		t.Errorf("without the replica: %s", shown.View.Screen)
	}
	until(t, "the replica is not asked any more", func() bool { return !fromReplica() })
}
