package server_test

import (
	"bytes"
	"log/slog"
	"strings"
	"testing"

	"ambergate/api"
	"ambergate/core/propose"
)

// The database changes while a release runs: what is gone is told, what can go on goes on, and a mend is one edit.
func TestADatabaseThatChangesUnderARelease(t *testing.T) {
	p := keyed(t)
	if err := up.Exec(`create schema moving; create table moving.crates (id integer primary key, name text not null, weight integer, colour text); insert into moving.crates values (1, 'One', 5, 'red');
		grant usage on schema moving to tarnhorn_app; grant all on moving.crates to tarnhorn_app`); err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() {
		if err := up.Exec(`drop schema moving cascade`); err != nil {
			t.Error(err)
		}
	})
	wish := propose.Wish{Title: "Moving", Connection: "tarnhorn", Tables: []propose.TableWish{{Schema: "moving", Name: "crates"}}}
	var made api.MadeApplication
	p.must("POST", "/api/applications", wish, &made)
	p.must("POST", "/api/build/moving/releases", map[string]any{}, nil)
	open := func(address string) (int, string) {
		status, answer := p.call("POST", "/api/use/moving/open", map[string]string{"address": address})
		return status, string(answer)
	}
	if status, answer := open("/crates"); status != 200 || !strings.Contains(answer, "One") {
		t.Fatalf("%d %s", status, answer)
	}
	differences := func() []propose.Difference {
		t.Helper()
		var read []api.SourceRead
		p.must("GET", "/api/build/moving/structure", nil, &read)
		if len(read) != 1 || read[0].No != nil {
			t.Fatalf("%+v", read)
		}
		return read[0].Differences
	}
	if d := differences(); len(d) != 0 {
		t.Errorf("%+v", d)
	}
	for _, c := range []struct {
		sql, words string
		mends      bool
		stays      int // the status of its list
	}{
		{`alter table moving.crates rename column weight to kilos`, "is called “kilos” now", true, 403},
		{`alter table moving.crates add column owner text`, "has the column “owner”", true, 200},
		{`alter table moving.crates alter column kilos type text`, "it was a whole number, and is a text now", true, 200},
		{`alter table moving.crates drop constraint crates_pkey`, "it has no key any more", false, 200},
		{`revoke delete on moving.crates from tarnhorn_app`, "records be deleted no more", false, 200},
		{`alter table moving.crates drop column colour`, "the column “colour” is gone", false, 403},
		{`revoke all on moving.crates from tarnhorn_app`, "the login may not read it any more", false, 403},
		{`drop table moving.crates`, "the table “crates” is gone", false, 403},
	} {
		if err := up.Exec(c.sql); err != nil {
			t.Fatal(err)
		}
		status, answer := open("/crates")
		if status != c.stays && status != 403 || status >= 500 {
			t.Errorf("after %s the list answers %d %.300s", c.sql, status, answer)
		}
		var found *propose.Difference
		for _, d := range differences() {
			if strings.Contains(d.Words, c.words) {
				found = &d
			}
		}
		if found == nil || (len(found.Patch) > 0) != c.mends {
			t.Errorf("after %s: %+v", c.sql, found)
			continue
		}
		if c.mends {
			p.must("POST", "/api/build/moving/edits", map[string]any{"patch": found.Patch}, nil)
			p.must("POST", "/api/build/moving/releases", map[string]any{}, nil)
			if status, answer := open("/crates"); status != 200 {
				t.Errorf("after %s was mended the list answers %d %.300s", c.sql, status, answer)
			}
		}
	}
	// At the next start it is logged; what is only not taken in is not.
	var log bytes.Buffer
	up.Server.TellDifferences(t.Context(), slog.New(slog.NewTextHandler(&log, nil)))
	if !strings.Contains(log.String(), "application=moving") || !strings.Contains(log.String(), "“crates” is gone") || strings.Contains(log.String(), "not taken in") {
		t.Errorf("logged: %s", log.String())
	}
}
