package server_test

import (
	"net/http"
	"testing"

	"github.com/jackc/pgx/v5"

	"ambergate/demo"
)

// A record that another program has locked for longer than one waits is told as that, and nothing of the press is done;
// sent again, with the same id, it is saved once the record is free.
func TestARecordThatAnotherHasLockedIsSavedWhenItIsFree(t *testing.T) {
	conn, err := pgx.Connect(t.Context(), up.Cluster.AdminDSN(demo.Database))
	if err != nil {
		t.Fatal(err)
	}
	defer conn.Close(t.Context())
	p := as(t, "mira")
	const was = "To be locked"
	made := p.pressed(p.open("/defect?~mode=add&~set.cabin=40"), "e_save", map[string]any{"values": map[string]string{"f_what": was, "f_severity": "low", "f_state": "open", "f_component": "1"}})
	key := made.View.Record.Key
	edit := p.open("/defect?defect=" + key + "&~mode=edit")
	save := map[string]any{"values": map[string]string{"f_what": "Locked, then saved"}, "base": map[string]string{"f_what": was}, "version": edit.View.Record.Version}
	tx, err := conn.Begin(t.Context())
	if err != nil {
		t.Fatal(err)
	}
	if _, err := tx.Exec(t.Context(), `select from tarnhorn.defects where id::text = $1 for update`, key); err != nil {
		t.Fatal(err)
	}
	if status, _, problem := p.press(edit, "locked-000001", "e_save", save); status != http.StatusServiceUnavailable || problem.Code != "held" {
		t.Errorf("while it is locked: %d %+v", status, problem)
	}
	if err := tx.Rollback(t.Context()); err != nil {
		t.Fatal(err)
	}
	if now := fieldWords(p.open("/defect?defect="+key), "f_what"); now != was {
		t.Errorf("it is %q already", now)
	}
	if status, _, problem := p.press(edit, "locked-000001", "e_save", save); status != http.StatusOK {
		t.Errorf("when it is free: %d %+v", status, problem)
	}
	if now := fieldWords(p.open("/defect?defect="+key), "f_what"); now != "Locked, then saved" {
		t.Errorf("it is %q", now)
	}
}
