package project_test

import (
	"encoding/json"
	"strings"
	"testing"

	"ambergate/core/cond"
	"ambergate/core/cond/compile"
	"ambergate/core/project"
)

// shop is a small document: a table with a parent, equipment, one screen.
const shop = `{
 "project": {"kind":"project","title":"Shop","slug":"shop","zone":"UTC","userTable":"t_people","userField":"f_name"},
 "r_b": {"kind":"role","pos":2,"name":"Second","start":"s_other"},
 "r_a": {"kind":"role","pos":1,"name":"First","start":"s_main"},
 "r_c": {"kind":"role","pos":3,"name":"Third","start":"s_gone"},
 "so_d": {"kind":"source","name":"Data","type":"postgresql","connection":"data","schema":"shop"},
 "t_people": {"kind":"table","source":"so_d","relation":"people","label":"People","one":"person","key":["f_id"],"title":"{record.f_name}","fields":{
   "f_id":{"pos":1,"column":"id","alias":"id","label":"Id","type":"whole"},"f_name":{"pos":2,"column":"name","alias":"name","label":"Name","type":"text"}}},
 "t_things": {"kind":"table","source":"so_d","relation":"things","label":"Things","one":"thing","key":["f_id"],"title":"{record.f_name}","order":{"o_2":{"pos":2,"path":"f_id"},"o_1":{"pos":1,"path":"f_name","desc":true}},"fields":{
   "f_id":{"pos":1,"column":"id","alias":"id","label":"Id","type":"whole"},"f_name":{"pos":3,"column":"name","alias":"name","label":"Name","type":"text","choices":["a","b"]},
   "f_owner":{"pos":2,"column":"owner","alias":"owner","label":"Owner","type":"record","references":"t_people","nullable":true}}},
 "eq_t": {"kind":"equipment","table":"t_things","source":"so_p","parts":{"q_m":{"pos":1,"alias":"motor","label":"motor","tags":{"g_on":{"pos":1,"alias":"on","label":"on","type":"yesno","node":"{name}.on"}}}}},
 "s_main": {"kind":"screen","type":"form","title":"Main","slug":"main","record":"i_t","inputs":{"i_x":{"pos":2,"alias":"x","label":"X","type":"text"},"i_t":{"pos":1,"alias":"thing","label":"Thing","type":"record","table":"t_things","required":true}}},
 "s_other": {"kind":"screen","type":"menu","title":"Other","slug":"other"}
}`

func decodeShop(t *testing.T) *project.Project {
	t.Helper()
	var entities map[string]json.RawMessage
	if err := json.Unmarshal([]byte(shop), &entities); err != nil {
		t.Fatal(err)
	}
	p, err := project.Decode(entities)
	if err != nil {
		t.Fatal(err)
	}
	return p
}

func TestThingsAreInTheOrderOfTheirPositions(t *testing.T) {
	p := decodeShop(t)
	var roles, fields, orders, inputs []string
	for _, r := range project.Ordered(p.Roles) {
		roles = append(roles, r.Name)
	}
	for _, f := range project.Ordered(p.Tables["t_things"].Fields) {
		fields = append(fields, f.ID)
	}
	for _, o := range project.Ordered(p.Tables["t_things"].Order) {
		orders = append(orders, o.ID+o.Path)
	}
	for _, i := range project.Ordered(p.Screens["s_main"].Inputs) {
		inputs = append(inputs, i.ID)
	}
	for got, want := range map[string]string{
		strings.Join(roles, " "): "First Second Third", strings.Join(fields, " "): "f_id f_owner f_name", strings.Join(orders, " "): "o_1f_name o_2f_id", strings.Join(inputs, " "): "i_t i_x",
	} {
		if got != want {
			t.Errorf("%s, want %s", got, want)
		}
	}
}

func TestTheFirstRoleDecidesTheStart(t *testing.T) {
	p := decodeShop(t)
	for want, roles := range map[string][]string{"s_main": {"r_b", "r_a"}, "s_other": {"r_c", "r_b"}, "": {"r_c"}} {
		set := map[string]bool{}
		for _, r := range roles {
			set[r] = true
		}
		if got := p.StartOf(set); got != want {
			t.Errorf("%v start at %q, want %q", roles, got, want)
		}
	}
}

func TestFieldsAreFoundAlongRelations(t *testing.T) {
	p := decodeShop(t)
	for path, want := range map[string]string{"f_name": "t_things", "f_owner": "t_things", "f_owner.f_name": "t_people"} {
		f, table := p.FieldAt("t_things", path)
		if f == nil || table.ID != want {
			t.Errorf("%s was not found in %s", path, want)
		}
	}
	for _, path := range []string{"", "f_gone", "f_name.f_id", "f_owner.f_gone", "f_owner.f_name.f_id"} {
		if f, _ := p.FieldAt("t_things", path); f != nil {
			t.Errorf("%q leads to %s", path, f.ID)
		}
	}
	if f, _ := p.FieldAt("t_gone", "f_id"); f != nil {
		t.Error("a table that does not exist has fields")
	}
}

func TestTheSchemaHasTablesEquipmentInputsAndTheUser(t *testing.T) {
	p := decodeShop(t)
	c, err := compile.New(p.Schema())
	if err != nil {
		t.Fatal(err)
	}
	scope := p.Scope(p.Screens["s_main"], "t_people")
	for text, kind := range map[string]cond.Kind{
		"record.owner.name": cond.Text, "record.equip.motor.on": cond.YesNo, "row.name": cond.Text, "inputs.x": cond.Text, "inputs.thing.owner.name": cond.Text,
		"user.name": cond.Text, "user.record.name": cond.Text, `user.is("First")`: cond.YesNo, "record.f_owner.f_name": cond.Text, "record": cond.Record,
	} {
		e, problem := c.Expression(scope, text)
		if problem != nil {
			t.Errorf("%s: %s", text, problem.Message)
			continue
		}
		if e.Root.Type.Kind != kind {
			t.Errorf("%s is %s, want %s", text, e.Root.Type.Kind, kind)
		}
	}
	for _, text := range []string{"tag.x", "saved.name", "row.owner", "inputs.y", "record.equip.motor.off"} {
		if _, problem := c.Expression(scope, text); problem == nil {
			t.Errorf("%s is known here", text)
		}
	}
	if _, problem := c.Expression(p.Scope(p.Screens["s_other"], ""), "record.name"); problem == nil {
		t.Error("a screen without a record has one")
	}
}

func TestLegalIds(t *testing.T) {
	for id, want := range map[string]bool{
		"s_cabin": true, "e_k3d9x2ab": true, "project": true, "gr_tech_cabins": true, "s-cabin": false, "cabin": false, "S_cabin": false, "s_": false, "": false, "s_a b": false, "toolong_x": false,
		"s_" + strings.Repeat("x", 41): false, "s_ä": false, "../etc": false,
	} {
		if project.LegalID(id) != want {
			t.Errorf("%q: %v", id, !want)
		}
	}
}

func TestOnlyWhatCanStandInAnAddressIsASlug(t *testing.T) {
	for slug, legal := range map[string]bool{"lifts": true, "lifts-2": true, "": false, "Lifts": false, "lift s": false, "../x": false, "s_x": false, "-x": false, strings.Repeat("x", 80): true, strings.Repeat("x", 81): false} {
		for _, screen := range []string{`"slug":"` + slug + `"`, `"slug":"a","oldSlugs":{"` + slug + `":true}`} {
			_, err := project.Decode(map[string]json.RawMessage{"project": json.RawMessage(`{"kind":"project","title":"Shop","slug":"shop","zone":"UTC"}`), "s_a": json.RawMessage(`{"kind":"screen","type":"menu","title":"A",` + screen + `}`)})
			if (err == nil) != legal {
				t.Errorf("%s: %v", screen, err)
			}
		}
	}
}

func TestGatesSayWhetherTheyWrite(t *testing.T) {
	var moves, writes project.Gate
	if err := json.Unmarshal([]byte(`{"cases":{"c_1":{"pos":1,"move":{"kind":"back"}}}}`), &moves); err != nil {
		t.Fatal(err)
	}
	if err := json.Unmarshal([]byte(`{"cases":{"c_1":{"pos":1,"move":{"kind":"back"}},"c_2":{"pos":2,"do":{"d_1":{"kind":"save","pos":1}}}}}`), &writes); err != nil {
		t.Fatal(err)
	}
	if moves.Writes() || !writes.Writes() {
		t.Errorf("%v %v", moves.Writes(), writes.Writes())
	}
}

func TestEveryKindOfElementReadsAndRefuses(t *testing.T) {
	for kind, tc := range map[string]struct{ good, bad string }{
		"button": {`"words":"Go"`, `"words":"Go","trigger":"shake"`},
		"text":   {`"words":"Hello","style":"note"`, `"words":"Hello","style":"loud"`},
		"field":  {`"path":"f_name"`, `"label":"x"`},
		"list":   {`"table":"t_things","columns":{}`, `"table":"t_things","columns":{},"rows":9000`},
		"chart":  {`"table":"t_things","by":"f_name"`, `"table":"t_things","by":"f_name","measure":"guess"`},
		"gauge":  {`"words":"x","value":"1.0","min":0,"max":1`, `"words":"x","value":"1.0","min":1,"max":0`},
		"lamp":   {`"words":"x","value":"true","on":"y","off":"n"`, `"words":"x","value":"true","on":"y","off":"n","abnormal":"maybe"`},
		"trend":  {`"words":"x","minutes":5,"lines":{"l_1":{"pos":1,"words":"a","value":"1.0","max":2}}`, `"words":"x","minutes":5,"lines":{}`},
		"figure": {`"picture":"a.svg"`, `"words":"x"`},
	} {
		screen := func(body string) json.RawMessage {
			return json.RawMessage(`{"kind":"screen","type":"menu","title":"A","slug":"a","elements":{"e_1":{"kind":"` + kind + `","pos":1,"cell":{"row":1,"col":1,"w":2},` + body + `}}}`)
		}
		if err := project.CheckEntity("s_a", screen(tc.good)); err != nil {
			t.Errorf("%s: %v", kind, err)
		}
		if err := project.CheckEntity("s_a", screen(tc.bad)); err == nil {
			t.Errorf("%s: %s was accepted", kind, tc.bad)
		}
	}
}
