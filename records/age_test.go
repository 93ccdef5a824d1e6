package records_test

import (
	"errors"
	"testing"
	"time"

	"ambergate/demo"
	"ambergate/records"
)

// Old presses are forgotten; where the login may not delete them, that is told.
func TestOldPressesAreForgotten(t *testing.T) {
	old := func() (n int) {
		pool, err := up.Admin(demo.Database)
		if err != nil {
			t.Fatal(err)
		}
		if err := pool.QueryRow(t.Context(), `select count(*) from ambergate.press where id like 'aged-%'`).Scan(&n); err != nil {
			t.Fatal(err)
		}
		return n
	}
	if err := up.Exec(`insert into ambergate.press (id, user_id, content, at) select 'aged-' || n, 'a', '', now() - interval '1 year' from generate_series(1, 30) n`); err != nil {
		t.Fatal(err)
	}
	if err := up.Exec(`revoke delete on ambergate.press from ` + demo.AppRole); err != nil {
		t.Fatal(err)
	}
	err := up.Records.ForgetOld(t.Context(), time.Now())
	if grant := up.Exec(`grant delete on ambergate.press to ` + demo.AppRole); grant != nil {
		t.Fatal(grant)
	}
	if !errors.Is(err, records.ErrMayNotForget) || old() != 30 {
		t.Errorf("without the right %d of 30 are there: %v", old(), err)
	}
	if err := up.Records.ForgetOld(t.Context(), time.Now()); err != nil || old() != 0 {
		t.Errorf("%d are left: %v", old(), err)
	}
}
