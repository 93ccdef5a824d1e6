package stage_test

import (
	"context"
	"encoding/json"
	"fmt"
	"maps"
	"os"
	"os/exec"
	"path/filepath"
	"slices"
	"strings"
	"testing"

	"ambergate/api"
)

// A copy of the store that is taken while people work, brought back into an empty database: applications, people, trails
// and what was typed are there, and they go on. An application comes back of its file as it was.
func TestACopyBringsBackAll(t *testing.T) {
	if testing.Short() {
		t.Skip("takes long")
	}
	ctx := t.Context()
	p := built(t)
	p.start("")
	sela := p.browser("sela")
	var shown api.Shown
	if err := sela.call("POST", usePath+"/open", map[string]any{"address": "/defect?~mode=add"}, &shown); err != nil {
		t.Fatal(err)
	}
	typed := map[string]any{"trail": shown.Trail, "n": shown.N, "values": map[string]string{"f_what": "Half typed when it was copied"}}
	if err := sela.call("POST", usePath+"/draft", typed, nil); err != nil {
		t.Fatal(err)
	}
	run := func(name string, args ...string) string {
		t.Helper()
		out, err := exec.CommandContext(ctx, name, args...).CombinedOutput()
		if err != nil {
			t.Fatalf("%s %s: %v\n%s", name, strings.Join(args, " "), err, out)
		}
		return string(out)
	}
	dir := t.TempDir()
	dump, file := filepath.Join(dir, "ambergate.dump"), filepath.Join(dir, "tarnhorn.json")
	c := up.Cluster
	from := c.DSN("ambergate", c.Password, "ambergate")
	run("pg_dump", "--format=custom", "--file="+dump, from)
	run(p.binary, "export", "tarnhorn", "--store", from, "--output", file)
	to, err := c.Database(ctx, "copied", true)
	if err != nil {
		t.Fatal(err)
	}
	run("pg_restore", "--no-owner", "--exit-on-error", "--dbname="+to, dump)

	// Row by row the same, but for what is of this moment.
	tables := func(dsn string) map[string]string {
		out := map[string]string{}
		for _, name := range strings.Fields(run("psql", "--tuples-only", "--no-align", "--command", `select tablename from pg_tables where schemaname = 'public'`, dsn)) {
			if name == "server" || name == "lead" || name == "plant_samples" || name == "presence" || name == "session" || name == "way_used" || name == "practice" {
				continue
			}
			out[name] = run("psql", "--tuples-only", "--no-align", "--command", fmt.Sprintf(`select count(*), md5(string_agg(t::text, '|' order by t::text)) from %s t`, name), dsn)
		}
		return out
	}
	before, after := tables(from), tables(to)
	for _, name := range slices.Sorted(maps.Keys(before)) {
		if before[name] != after[name] {
			t.Errorf("%s: %s before, %s after", name, strings.TrimSpace(before[name]), strings.TrimSpace(after[name]))
		}
	}

	// It is served, and she goes on where she was.
	p.kill()
	p.over = to
	p.start("")
	var again api.Shown
	if err := sela.call("POST", usePath+"/open", map[string]any{"trail": shown.Trail, "n": shown.N}, &again); err != nil {
		t.Fatal(err)
	}
	if again.View.Screen != shown.View.Screen || again.Draft == nil || again.Draft.Values["f_what"] != "Half typed when it was copied" {
		t.Errorf("she is at %s with %+v", again.View.Screen, again.Draft)
	}
	run(p.binary, "import", file, "--store", to, "--as", "arno", "--slug", "tarnhorn-again")
	second := filepath.Join(dir, "again.json")
	run(p.binary, "export", "tarnhorn-again", "--store", to, "--output", second)
	was, is := entities(t, file), entities(t, second)
	delete(was, "project") // another address
	delete(is, "project")
	if !maps.EqualFunc(was, is, func(a, b json.RawMessage) bool { return string(a) == string(b) }) {
		t.Error("the application came back otherwise than it was")
	}
	p.kill()
	if _, err := exec.CommandContext(context.WithoutCancel(ctx), "psql", c.AdminDSN("postgres"), "--command", "drop database copied with (force)").CombinedOutput(); err != nil {
		t.Error(err)
	}
}

func entities(t *testing.T, file string) map[string]json.RawMessage {
	t.Helper()
	text, err := os.ReadFile(file)
	if err != nil {
		t.Fatal(err)
	}
	var f struct{ Entities map[string]json.RawMessage }
	if err := json.Unmarshal(text, &f); err != nil {
		t.Fatal(err)
	}
	return f.Entities
}
