package server_test

import (
	"bytes"
	"encoding/json"
	"net/http"
	"strings"
	"testing"
	"time"

	"github.com/santhosh-tekuri/jsonschema/v6"

	"ambergate/api"
	"ambergate/core/project"
	"ambergate/demo"
	"ambergate/schema"
	"ambergate/server/administer"
	"ambergate/server/bounds"
	"ambergate/store"
	"ambergate/store/hashing"
)

// Taken elsewhere, into a program in which nothing is yet, and written again, an application is the same bytes.
func TestAnApplicationIsTakenElsewhereWhole(t *testing.T) {
	ctx := t.Context()
	first, err := administer.Export(ctx, up.Store, demo.ProjectID)
	if err != nil {
		t.Fatal(err)
	}
	if again, err := administer.Export(ctx, up.Store, demo.ProjectID); err != nil || !bytes.Equal(first, again) {
		t.Errorf("written twice it differs: %v", err)
	}
	asTheSchemaSays(t, first)
	if bytes.Contains(first, []byte(up.Cluster.Password)) {
		t.Error("a secret is in it")
	}
	dsn, err := up.Cluster.Database(ctx, "elsewhere", true)
	if err != nil {
		t.Fatal(err)
	}
	empty, err := store.Open(ctx, dsn, hashing.Light, nil)
	if err != nil {
		t.Fatal(err)
	}
	defer empty.Close()
	token, err := empty.FirstLink(ctx, time.Now())
	if err == nil {
		err = empty.First(ctx, token, store.Account{ID: "a_ana", Login: "ana", Name: "Ana"}, "three tall ladders", time.Now())
	}
	if err != nil {
		t.Fatal(err)
	}
	f, p, err := project.ReadFile(first)
	if err != nil {
		t.Fatal(err)
	}
	if _, err := administer.NewFiles(empty).Import(ctx, "a_ana", f, p, administer.Place{}); err != nil {
		t.Fatal(err)
	}
	list, err := empty.Projects(ctx)
	if err != nil || len(list) != 1 || list[0].Slug != "tarnhorn" {
		t.Fatalf("%+v, %v", list, err)
	}
	there, err := administer.Export(ctx, empty, list[0].ID)
	if err != nil || !bytes.Equal(first, there) {
		t.Errorf("there it is written otherwise: %v", err)
	}
}

func asTheSchemaSays(t *testing.T, text []byte) {
	t.Helper()
	document, err := jsonschema.UnmarshalJSON(bytes.NewReader(schema.File))
	if err != nil {
		t.Fatal(err)
	}
	c := jsonschema.NewCompiler()
	if err := c.AddResource(project.FileSchema, document); err != nil {
		t.Fatal(err)
	}
	s, err := c.Compile(project.FileSchema)
	if err != nil {
		t.Fatal(err)
	}
	value, err := jsonschema.UnmarshalJSON(bytes.NewReader(text))
	if err == nil {
		err = s.Validate(value)
	}
	if err != nil {
		t.Error(err)
	}
	for _, wrong := range []string{`{"format":1}`, `{"format":2,"entities":{}}`, `{"format":1,"entities":{},"secret":"x"}`, `{"format":1,"entities":{},"pictures":{"x":{"media":"m","data":"d"}}}`} {
		if value, err := jsonschema.UnmarshalJSON(strings.NewReader(wrong)); err != nil || s.Validate(value) == nil {
			t.Errorf("the schema lets %s be", wrong)
		}
	}
}

func TestAFileIsLookedAtAndImportedOverHTTP(t *testing.T) {
	p := keyed(t)
	status, file := p.call("GET", "/api/build/tarnhorn/export", nil)
	if status != http.StatusOK {
		t.Fatalf("%d %s", status, file)
	}
	var look api.FileLook
	p.must("POST", "/api/imports/look", string(file), &look)
	if !look.Taken || look.Title != "Tarnhorn Ropeway" || len(look.Needs) != 2 || !look.Needs[0].Here || !look.Needs[1].Here || look.Pictures == 0 {
		t.Errorf("%+v", look)
	}
	p.refused("POST", "/api/imports", string(file), http.StatusUnprocessableEntity, "fields") // its address is taken
	var made api.MadeApplication
	p.must("POST", "/api/imports?title=Another+ropeway&connect=tarnhorn=tarnhorn&connect=ropeway=other", string(file), &made)
	if made.Slug != "another-ropeway" {
		t.Errorf("%+v", made)
	}
	var draft api.Draft
	p.must("GET", "/api/build/"+made.Slug, nil, &draft)
	text, err := json.Marshal(draft.Entities)
	if err != nil || !strings.Contains(string(text), `"connection":"other"`) || strings.Contains(string(text), `"connection":"ropeway"`) {
		t.Errorf("the connection was not changed: %v", err)
	}
	before, err := up.Store.Projects(t.Context())
	if err != nil {
		t.Fatal(err)
	}
	settings := `"project":{"kind":"project","title":"A","slug":"b1","zone":"UTC"}`
	for what, wrong := range map[string]string{
		"no JSON": `{`, "newer": `{"format":9,"entities":{` + settings + `}}`, "a hostile id": `{"format":1,"entities":{` + settings + `,"s_a/../b":{}}}`, "null": `{"format":1,"entities":{"project":null}}`,
		"a picture that is none": `{"format":1,"entities":{` + settings + `},"pictures":{"ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad":{"media":"image/png","data":"YWJj"}}}`,
	} {
		if problem := p.refused("POST", "/api/imports", wrong, http.StatusUnprocessableEntity, "bad-file"); problem.Then == nil {
			t.Errorf("%s: %+v", what, problem)
		}
	}
	p.refused("POST", "/api/imports", `{"format":1,"entities":{"project":{"kind":"project","title":"`+strings.Repeat("x", int(bounds.Usual.File))+`"}}}`, http.StatusRequestEntityTooLarge, "too-large")
	if after, err := up.Store.Projects(t.Context()); err != nil || len(after) != len(before) {
		t.Errorf("something is left of what was refused: %d, %d", len(before), len(after))
	}
	as(t, "mira").refused("GET", "/api/build/tarnhorn/export", nil, http.StatusForbidden, "no-builder")
}
