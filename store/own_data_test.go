package store_test

import (
	"bytes"
	"errors"
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/jackc/pgx/v5"

	"ambergate/demo"
	"ambergate/store"
	"ambergate/store/hashing"
)

// emptyStore is one in which nobody is yet, in a database of its own.
func emptyStore(t *testing.T, name string) (*store.Store, *pgx.Conn) {
	t.Helper()
	admin, err := pgx.Connect(ctx, up.Cluster.AdminDSN("postgres"))
	if err != nil {
		t.Fatal(err)
	}
	defer admin.Close(ctx)
	if _, err := admin.Exec(ctx, `create database `+name+` owner ambergate`); err != nil {
		t.Fatal(err)
	}
	dsn := up.Cluster.DSN("ambergate", up.Cluster.Password, name)
	s, err := store.Open(ctx, dsn, hashing.Light, nil)
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(s.Close)
	conn, err := pgx.Connect(ctx, dsn)
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = conn.Close(ctx) })
	return s, conn
}

func TestTheFirstPersonComesByALinkThatHoldsOnce(t *testing.T) {
	s, _ := emptyStore(t, "first_person")
	now := time.Now()
	old, err := s.FirstLink(ctx, now)
	if err != nil {
		t.Fatal(err)
	}
	token, err := s.FirstLink(ctx, now)
	if err != nil {
		t.Fatal(err)
	}
	ana := store.Account{ID: "a_ana", Login: "ana", Name: "Ana Ruiz"}
	for what, no := range map[string]struct {
		token, password string
		at              time.Time
		err             error
	}{
		"the link before": {old, "three tall ladders", now, store.ErrLink}, "no link": {"", "three tall ladders", now, store.ErrLink},
		"too late": {token, "three tall ladders", now.Add(31 * time.Minute), store.ErrLink},
	} {
		if err := s.First(ctx, no.token, ana, no.password, no.at); !errors.Is(err, no.err) {
			t.Errorf("%s: %v", what, err)
		}
	}
	var weak *store.WeakPassword
	if err := s.First(ctx, token, ana, "ana", now); !errors.As(err, &weak) {
		t.Errorf("a weak password: %v", err)
	}
	if err := s.First(ctx, token, ana, "three tall ladders", now); err != nil {
		t.Fatal(err)
	}
	if err := s.First(ctx, token, store.Account{ID: "a_b", Login: "b", Name: "B"}, "three tall ladders", now); !errors.Is(err, store.ErrLink) {
		t.Errorf("a second first person: %v", err)
	}
	in, err := s.SignIn(ctx, store.Entering{Login: "ana", Password: "three tall ladders", Now: now})
	if err != nil {
		t.Fatal(err)
	}
	who, err := s.Session(ctx, in.Token, "", now)
	if err != nil || !who.Administers || !who.Builds {
		t.Errorf("%+v, %v", who, err)
	}
	if again, err := s.NeedsFirst(ctx); again || err != nil {
		t.Errorf("somebody is there: %v, %v", again, err)
	}
}

func TestPeopleAreAddedByLinkAndKeptOut(t *testing.T) {
	now := time.Now()
	add := []store.NewPerson{{ID: "a_bo", Login: "bo", Name: "Bo Lund", Roles: map[string][]string{demo.ProjectID: {"r_tech"}}}, {ID: "a_cy", Login: "cy", Name: "Cy Moss"}}
	tokens, err := up.Store.AddPeople(ctx, "a_arno", add, now)
	if err != nil || len(tokens) != 2 {
		t.Fatal(tokens, err)
	}
	if _, err := up.Store.AddPeople(ctx, "a_arno", []store.NewPerson{{ID: "a_d", Login: "dee", Name: "Dee"}, {ID: "a_e", Login: "bo", Name: "Other Bo"}}, now); !errors.Is(err, store.ErrNameTaken) {
		t.Errorf("a name that is taken: %v", err)
	}
	if _, _, err := signIn("dee", "", "desk", now); !errors.Is(err, store.ErrSignIn) {
		t.Error("half of a list was added")
	}
	if _, _, err := signIn("bo", "", "desk", now); !errors.Is(err, store.ErrSignIn) {
		t.Error("without a password one comes in with none")
	}
	if a, err := up.Store.UseLink(ctx, tokens[0], "seven green boats", now); err != nil || a.Login != "bo" {
		t.Fatal(a, err)
	}
	if _, err := up.Store.UseLink(ctx, tokens[0], "eight green boats", now); !errors.Is(err, store.ErrLink) {
		t.Errorf("a link that was used: %v", err)
	}
	if _, err := up.Store.UseLink(ctx, tokens[1], "seven green boats", now.Add(8*24*time.Hour)); !errors.Is(err, store.ErrLink) {
		t.Errorf("a link that is too old: %v", err)
	}
	session, _, err := signIn("bo", "seven green boats", "desk", now)
	if err != nil {
		t.Fatal(err)
	}
	people, err := up.Store.People(ctx, now)
	if err != nil {
		t.Fatal(err)
	}
	i := slices.IndexFunc(people, func(p *store.Person) bool { return p.ID == "a_bo" })
	if bo := people[i]; !bo.Password || bo.Invited || bo.Seen == nil || bo.Sessions != 1 || !slices.Equal(bo.Roles[demo.ProjectID], []string{"r_tech"}) {
		t.Errorf("%+v", bo)
	}
	if err := up.Store.Disable(ctx, "a_arno", "a_bo", true); err != nil {
		t.Fatal(err)
	}
	if _, err := up.Store.Session(ctx, session, "", now); !errors.Is(err, store.ErrNone) {
		t.Errorf("who is kept out goes on: %v", err)
	}
	if _, _, err := signIn("bo", "seven green boats", "desk", now); !errors.Is(err, store.ErrSignIn) {
		t.Errorf("who is kept out comes in: %v", err)
	}
	if _, err := up.Store.LinkFor(ctx, "a_arno", "a_bo", now); !errors.Is(err, store.ErrNone) {
		t.Errorf("a link for who is kept out: %v", err)
	}
	if err := up.Store.Disable(ctx, "a_arno", "a_bo", false); err != nil {
		t.Fatal(err)
	}
	if _, _, err := signIn("bo", "seven green boats", "desk", now); err != nil {
		t.Errorf("let in again: %v", err)
	}
}

func TestTheLastAdministratorStays(t *testing.T) {
	s, _ := emptyStore(t, "last_administrator")
	now := time.Now()
	token, err := s.FirstLink(ctx, now)
	if err != nil {
		t.Fatal(err)
	}
	if err := s.First(ctx, token, store.Account{ID: "a_ana", Login: "ana", Name: "Ana"}, "three tall ladders", now); err != nil {
		t.Fatal(err)
	}
	if _, err := s.AddPeople(ctx, "a_ana", []store.NewPerson{{ID: "a_bo", Login: "bo", Name: "Bo", ForAll: store.Rights{Administers: true}}}, now); err != nil {
		t.Fatal(err)
	}
	if err := s.SetForAll(ctx, "a_ana", "a_ana", store.Rights{Builds: true}); err != nil {
		t.Errorf("there is another one: %v", err)
	}
	for what, err := range map[string]error{"the right": s.SetForAll(ctx, "a_bo", "a_bo", store.Rights{}), "the person": s.Disable(ctx, "a_bo", "a_bo", true)} {
		if !errors.Is(err, store.ErrLastAdministrator) {
			t.Errorf("%s of the last one is taken: %v", what, err)
		}
	}
}

func TestSecretsOfConnectionsAreSealed(t *testing.T) {
	s, conn := emptyStore(t, "sealed")
	c := store.Connection{Name: "works", Kind: "postgresql", Settings: []byte(`{"host":"127.0.0.1"}`), Secret: "planted-secret"}
	if err := s.KeepConnection(ctx, "a_ana", c); !errors.Is(err, store.ErrNoKey) {
		t.Errorf("without a key: %v", err)
	}
	if err := s.UseKey(bytes.Repeat([]byte{7}, store.KeySize)); err != nil {
		t.Fatal(err)
	}
	if err := s.KeepConnection(ctx, "a_ana", c); err != nil {
		t.Fatal(err)
	}
	list, err := s.Connections(ctx)
	if err != nil || len(list) != 1 || list[0].Secret != "planted-secret" || list[0].Sealed {
		t.Errorf("%+v, %v", list, err)
	}
	var all string
	if err := conn.QueryRow(ctx, `select (select string_agg(c::text, ' ') from connection c) || (select string_agg(u::text, ' ') from audit u)`).Scan(&all); err != nil {
		t.Fatal(err)
	}
	if strings.Contains(all, "planted") {
		t.Error("the secret can be read in the store")
	}
	// Sealed for one name, it opens for no other; and not with another key.
	if _, err := conn.Exec(ctx, `insert into connection (name, kind, settings, secret, by) select 'other', kind, settings, secret, by from connection`); err != nil {
		t.Fatal(err)
	}
	if list, err = s.Connections(ctx); err != nil || !list[0].Sealed || list[0].Secret != "" {
		t.Errorf("under another name: %+v, %v", list, err)
	}
	if err := s.UseKey(bytes.Repeat([]byte{8}, store.KeySize)); err != nil {
		t.Fatal(err)
	}
	if list, err = s.Connections(ctx); err != nil || !list[1].Sealed {
		t.Errorf("with another key: %+v, %v", list, err)
	}
	if err := s.RemoveConnection(ctx, "a_ana", "works"); err != nil {
		t.Fatal(err)
	}
	if err := s.RemoveConnection(ctx, "a_ana", "works"); !errors.Is(err, store.ErrNone) {
		t.Errorf("one that is gone: %v", err)
	}
}
