package server_test

import (
	"encoding/json"
	"strings"
	"testing"

	"ambergate/api"
	"ambergate/demo"
	"ambergate/store"
)

// What is typed into a secret field is never kept, whatever else is.
func TestWhatIsTypedIntoASecretFieldIsNotKept(t *testing.T) {
	server(t)
	entities, err := demo.Project()
	if err != nil {
		t.Fatal(err)
	}
	entities["project"] = json.RawMessage(strings.Replace(string(entities["project"]), `"tarnhorn"`, `"secrets"`, 1))
	var table map[string]any
	if err := json.Unmarshal(entities["t_defects"], &table); err != nil {
		t.Fatal(err)
	}
	table["fields"].(map[string]any)["f_detail"].(map[string]any)["secret"] = true
	if entities["t_defects"], err = json.Marshal(table); err != nil {
		t.Fatal(err)
	}
	if err := up.Store.CreateProject(t.Context(), "p_secrets", entities); err != nil {
		t.Fatal(err)
	}
	if err := up.Store.SetRoles(t.Context(), "a_arno", "a_sela", "p_secrets", []string{"r_lead"}, ""); err != nil {
		t.Fatal(err)
	}
	if _, err := up.Store.PutIntoUse(t.Context(), store.NewRelease{Project: "p_secrets", By: "a_arno"}); err != nil {
		t.Fatal(err)
	}
	p := as(t, "sela")
	var shown api.Shown
	p.must("POST", "/api/use/secrets/open", map[string]string{"address": "/defect?defect=108&~mode=edit"}, &shown)
	p.must("POST", "/api/use/secrets/draft", map[string]any{"trail": shown.Trail, "n": shown.N, "base": map[string]string{"f_detail": "", "f_what": ""}, "values": map[string]string{"f_detail": "open sesame", "f_what": "half a word"}, "version": shown.View.Record.Version}, nil)
	p.must("POST", "/api/use/secrets/open", map[string]any{"trail": shown.Trail, "n": shown.N}, &shown)
	if shown.Draft == nil || shown.Draft.Values["f_what"] != "half a word" || shown.Draft.Values["f_detail"] != "" {
		t.Errorf("kept: %+v", shown.Draft)
	}
	drafts, err := up.Store.FormDraftsOf(t.Context(), "a_sela", "p_secrets", []string{"s_defect edit 108"})
	text, _ := json.Marshal(drafts)
	if err != nil || strings.Contains(string(text), "sesame") {
		t.Errorf("the store has %s, %v", text, err)
	}
}
