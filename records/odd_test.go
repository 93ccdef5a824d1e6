package records_test

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"slices"
	"strings"
	"testing"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/records"
)

// oddSchema has what real databases have: quoted names, keys that are UUIDs, texts or several
// columns, domains, generated columns, views without keys, and a table of 200 columns.
const oddSchema = `create schema "Odd schema";
create domain "Odd schema".grade as integer check (value between 1 and 6);
create table "Odd schema"."Group by" (id uuid primary key default gen_random_uuid(), "select" text not null unique, "Grade" "Odd schema".grade, twice integer generated always as (coalesce("Grade", 0) * 2) stored, more jsonb);
create table "Odd schema".line ("order" uuid references "Odd schema"."Group by", "no." text, what text not null, primary key ("order", "no."));
create table "Odd schema".codes (code text primary key, what text);
create view "Odd schema".sums as select "select" as name, "Grade" as grade from "Odd schema"."Group by";
%s
grant usage on schema "Odd schema" to tarnhorn_app; grant all on all tables in schema "Odd schema" to tarnhorn_app;`

const oddDocument = `{
 "project": {"kind":"project","title":"O","slug":"o","zone":"UTC"},
 "so_o": {"kind":"source","name":"O","type":"postgresql","connection":"tarnhorn","schema":"Odd schema"},
 "t_g": {"kind":"table","source":"so_o","relation":"Group by","label":"Groups","one":"group","key":["f_id"],"title":"{record.f_sel}","fields":{
   "f_id":{"pos":1,"column":"id","alias":"id","label":"Id","type":"text","readOnly":true},"f_sel":{"pos":2,"column":"select","alias":"sel","label":"Select","type":"text"},
   "f_grade":{"pos":3,"column":"Grade","alias":"grade","label":"Grade","type":"whole","nullable":true},"f_twice":{"pos":4,"column":"twice","alias":"twice","label":"Twice","type":"whole","readOnly":true},
   "f_more":{"pos":5,"column":"more","alias":"more","label":"More","type":"json","nullable":true}}},
 "t_l": {"kind":"table","source":"so_o","relation":"line","label":"Lines","one":"line","key":["f_o","f_no"],"title":"{record.f_what}","fields":{
   "f_o":{"pos":1,"column":"order","alias":"order","label":"Order","type":"record","references":"t_g"},"f_no":{"pos":2,"column":"no.","alias":"no","label":"No","type":"text"},"f_what":{"pos":3,"column":"what","alias":"what","label":"What","type":"text"}}},
 "t_c": {"kind":"table","source":"so_o","relation":"codes","label":"Codes","one":"code","key":["f_code"],"title":"{record.f_code}","fields":{
   "f_code":{"pos":1,"column":"code","alias":"code","label":"Code","type":"text"},"f_what":{"pos":2,"column":"what","alias":"what","label":"What","type":"text","nullable":true}}},
 "t_v": {"kind":"table","source":"so_o","relation":"sums","label":"Sums","one":"sum","view":true,"key":[],"title":"{record.f_name}","fields":{
   "f_name":{"pos":1,"column":"name","alias":"name","label":"Name","type":"text"},"f_grade":{"pos":2,"column":"grade","alias":"grade","label":"Grade","type":"whole","nullable":true}}},
 "t_w": %s
}`

// wide is a table of 200 columns: its statement, and how the project describes it.
func wide(t *testing.T) (sql, document string) {
	t.Helper()
	columns := []string{"id integer primary key"}
	fields := map[string]any{"f_id": map[string]any{"pos": 0, "column": "id", "alias": "id", "label": "Id", "type": "whole"}}
	for i := 1; i < 200; i++ {
		columns = append(columns, fmt.Sprintf("c%d text default 'v%d'", i, i))
		fields[fmt.Sprintf("f_%d", i)] = map[string]any{"pos": i, "column": fmt.Sprintf("c%d", i), "alias": fmt.Sprintf("c%d", i), "label": fmt.Sprintf("Column %d", i), "type": "text", "nullable": true}
	}
	text, err := json.Marshal(map[string]any{"kind": "table", "source": "so_o", "relation": "wide", "label": "Wide", "one": "row", "key": []string{"f_id"}, "title": "{record.f_1}", "fields": fields})
	if err != nil {
		t.Fatal(err)
	}
	return fmt.Sprintf(`create table "Odd schema".wide (%s); insert into "Odd schema".wide (id) select generate_series(1, 30);`, strings.Join(columns, ", ")), string(text)
}

func odd(t *testing.T) *project.Project {
	t.Helper()
	sql, table := wide(t)
	if err := up.Exec(fmt.Sprintf(oddSchema, sql)); err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() {
		if err := up.Exec(`drop schema "Odd schema" cascade`); err != nil {
			t.Error(err)
		}
	})
	var entities map[string]json.RawMessage
	if err := json.Unmarshal(fmt.Appendf(nil, oddDocument, table), &entities); err != nil {
		t.Fatal(err)
	}
	p, err := project.Decode(entities)
	if err != nil {
		t.Fatal(err)
	}
	return p
}

// do runs a press on odd tables.
func do(t *testing.T, p *project.Project, id string, run func(*records.Press) error) error {
	t.Helper()
	_, _, err := up.Records.Do(context.Background(), p, records.Stored{ID: id, User: "u"}, func(press *records.Press) (any, error) { return nil, run(press) })
	return err
}

func text(s string) cond.Value { return cond.String(s) }

func TestOddTablesAreReadAndChanged(t *testing.T) {
	p := odd(t)
	r := up.Records.Reader(p)
	ctx := context.Background()
	var group string
	keys := map[string]string{}
	err := do(t, p, "odd-insert", func(press *records.Press) (err error) {
		if group, err = press.Insert(ctx, p.Tables["t_g"], map[string]cond.Value{"f_sel": text("a ~ b"), "f_grade": cond.Int(3)}); err != nil {
			return err
		}
		for _, no := range []string{"1", "a~b", "50%", "ä/ö?"} {
			if keys[no], err = press.Insert(ctx, p.Tables["t_l"], map[string]cond.Value{"f_o": cond.Key(group), "f_no": text(no), "f_what": text("line " + no)}); err != nil {
				return err
			}
		}
		for _, code := range []string{"%41", "a~b", "x y"} {
			if _, err = press.Insert(ctx, p.Tables["t_c"], map[string]cond.Value{"f_code": text(code), "f_what": text("what of " + code)}); err != nil {
				return err
			}
		}
		return nil
	})
	if err != nil {
		t.Fatal(err)
	}
	row := fetch(t, r, ask.Query{Rights: ask.EveryRow, Table: p.Tables["t_g"], Key: group, Paths: []string{"f_sel", "f_grade", "f_twice", "f_more"}}).Rows[0]
	if row.Values["f_twice"].Wire() != "6" || row.Values["f_sel"].Wire() != "a ~ b" || !row.Values["f_more"].IsNull() {
		t.Errorf("%+v", row.Values)
	}
	for no, key := range keys {
		page := fetch(t, r, ask.Query{Rights: ask.EveryRow, Table: p.Tables["t_l"], Key: key, Paths: []string{"f_what", "f_o.f_sel"}})
		if len(page.Rows) != 1 || page.Rows[0].Values["f_what"].Wire() != "line "+no || page.Rows[0].Key != key || page.Rows[0].Values["f_o.f_sel"].Wire() != "a ~ b" {
			t.Errorf("key %q of %q finds %+v", key, no, page.Rows)
		}
	}
	for _, code := range []string{"%41", "a~b", "x y"} {
		if page := fetch(t, r, ask.Query{Rights: ask.EveryRow, Table: p.Tables["t_c"], Key: code, Paths: []string{"f_what"}}); len(page.Rows) != 1 || page.Rows[0].Values["f_what"].Wire() != "what of "+code {
			t.Errorf("the code %q finds %+v", code, page.Rows)
		}
	}
	// Steps through a key of several columns.
	q := ask.Query{Rights: ask.EveryRow, Table: p.Tables["t_l"], Order: []ask.Sort{{Path: "f_what", Desc: true}}}
	whole := fetch(t, r, q).Rows
	q.After, q.Limit, q.Back = whole[2].Cursor, 1, true
	if got := fetch(t, r, q).Rows; len(got) != 1 || got[0].Key != whole[1].Key {
		t.Errorf("before %s: %v", whole[2].Key, got)
	}
	err = do(t, p, "odd-change", func(press *records.Press) error {
		if err := press.Update(ctx, p.Tables["t_l"], keys["a~b"], map[string]cond.Value{"f_what": text("changed")}); err != nil {
			return err
		}
		return press.Delete(ctx, p.Tables["t_l"], keys["50%"])
	})
	if err != nil {
		t.Fatal(err)
	}
	hanging, err := r.Hanging(ctx, p.Tables["t_g"], group, ask.EveryRow)
	if err != nil || len(hanging) != 1 || hanging[0].N != 3 || hanging[0].Label != "Lines" || hanging[0].Then != "kept" {
		t.Errorf("hanging %+v, %v", hanging, err)
	}
	var refusal *ask.Refusal
	err = do(t, p, "odd-delete", func(press *records.Press) error { return press.Delete(ctx, p.Tables["t_g"], group) })
	if !errors.As(err, &refusal) || refusal.Code != "in-use" || strings.Contains(refusal.Error(), "constraint") {
		t.Errorf("deleting what is in use: %v", err)
	}
	var wrong *ask.FieldErrors
	err = do(t, p, "odd-domain", func(press *records.Press) error {
		return press.Update(ctx, p.Tables["t_g"], group, map[string]cond.Value{"f_grade": cond.Int(9)})
	})
	if !errors.As(err, &wrong) && !errors.As(err, &refusal) {
		t.Errorf("a value that the domain forbids: %v", err)
	}
}

func TestAViewWithoutAKeyIsReadPageByPage(t *testing.T) {
	p := odd(t)
	if err := up.Exec(`insert into "Odd schema"."Group by" ("select", "Grade") select 'g' || i, 1 + i % 5 from generate_series(1, 60) i`); err != nil {
		t.Fatal(err)
	}
	r := up.Records.Reader(p)
	q := ask.Query{Rights: ask.EveryRow, Table: p.Tables["t_v"], Paths: []string{"f_name"}, Order: []ask.Sort{{Path: "f_grade"}}}
	names := func(rows []*ask.Row) (out []string) {
		for _, row := range rows {
			out = append(out, row.Values["f_name"].Wire())
			if row.Key != "" || row.Version == "" {
				t.Fatalf("%+v", row)
			}
		}
		return out
	}
	whole := names(fetch(t, r, q).Rows)
	var got []string
	for q.Limit = 7; ; {
		page := fetch(t, r, q)
		got = append(got, names(page.Rows)...)
		if q.After = page.Next; q.After == "" {
			break
		}
	}
	if len(whole) != 60 || !slices.Equal(got, whole) {
		t.Errorf("%d rows in pages, %d in all", len(got), len(whole))
	}
	if _, err := r.Fetch(context.Background(), ask.Query{Rights: ask.EveryRow, Table: p.Tables["t_v"], Key: "1"}); err == nil {
		t.Error("a record without a key is opened")
	}
}

func TestARelationToAKeyOfSeveralFieldsIsSaidPlainly(t *testing.T) {
	p := odd(t)
	p.Tables["t_c"].Fields["f_line"] = &project.Column{Item: project.Item{ID: "f_line"}, Column: "what", Alias: "line", Label: "Line", Type: "record", References: "t_l", Nullable: true}
	_, err := up.Records.Reader(p).Fetch(context.Background(), ask.Query{Rights: ask.EveryRow, Table: p.Tables["t_c"], Paths: []string{"f_line.f_what"}})
	var refusal *ask.Refusal
	if !errors.As(err, &refusal) || refusal.Code != "broken" || !strings.Contains(refusal.What, "Lines") {
		t.Errorf("%v", err)
	}
	app, err := plan.Compile(p)
	if err != nil {
		t.Fatal(err)
	}
	said := slices.ContainsFunc(app.Problems, func(one plan.Problem) bool {
		return one.Entity == "t_c" && strings.Contains(one.Problem.Message, "cannot be named by one field")
	})
	if !said {
		t.Errorf("the builder is not told: %+v", app.Problems)
	}
}

func TestTwoHundredColumns(t *testing.T) {
	p := odd(t)
	var paths []string
	for i := 1; i < 200; i++ {
		paths = append(paths, fmt.Sprintf("f_%d", i))
	}
	q := ask.Query{Rights: ask.EveryRow, Table: p.Tables["t_w"], Paths: paths, Find: ask.Find{Paths: paths, Words: []string{"v199"}}, Limit: 10}
	page := fetch(t, up.Records.Reader(p), q)
	if len(page.Rows) != 10 || page.Next == "" || page.Rows[3].Values["f_199"].Wire() != "v199" {
		t.Errorf("%d rows", len(page.Rows))
	}
}
