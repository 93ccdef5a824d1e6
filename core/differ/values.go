package differ

import (
	"maps"
	"regexp"
	"slices"
	"strconv"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/words"
)

// longestValue is how much of a text is told.
const longestValue = 300

// say says a value of a thing in words; "" for none.
func (n *names) say(t thing, at []string, value any) string {
	last := at[len(at)-1]
	switch v := value.(type) {
	case nil:
		return ""
	case bool:
		if v {
			return "yes"
		}
		return "no"
	case float64:
		return strconv.FormatFloat(v, 'f', -1, 64)
	case string:
		return n.text(t, last, v)
	case []any:
		var out []string
		for _, item := range v {
			out = append(out, n.say(t, at, item))
		}
		return english.List(out, "and")
	case object:
		if last == "cell" {
			return cellWords(v)
		}
		return n.several(t, at, v)
	}
	return ""
}

// several says a set, or a small object property by property.
func (n *names) several(t thing, at []string, of object) string {
	var out []string
	for _, key := range slices.Sorted(maps.Keys(of)) {
		switch v := of[key].(type) {
		case bool:
			if v {
				out = append(out, n.idName(t.entity, key))
			} else {
				out = append(out, "not "+n.idName(t.entity, key))
			}
		default:
			if key == "kind" || key == "rule" {
				out = append(out, n.say(t, []string{key}, v))
				continue
			}
			out = append(out, strings.TrimPrefix(label([]string{key}), "the ")+" "+n.say(t, append(slices.Clone(at), key), v))
		}
	}
	if len(out) == 0 {
		return "nothing"
	}
	return english.List(out, "and")
}

// cellWords says where an element stands on the grid.
func cellWords(of object) string {
	number := func(key string) int { f, _ := of[key].(float64); return int(f) }
	out := "column " + strconv.Itoa(number("col")) + ", row " + strconv.Itoa(number("row")) + ", " + strconv.Itoa(number("w")) + " wide"
	if h := number("h"); h > 0 { // else it is as high as it needs to be
		out += ", " + strconv.Itoa(h) + " high"
	}
	if holds, _ := of["holds"].(bool); holds {
		out += ", holding what lies in it"
	}
	return out
}

// conditions are properties whose text is a condition.
var conditions = map[string]bool{"while": true, "when": true, "guard": true, "shown": true, "changes": true, "rows": true, "text": true}

// verbatim are properties whose text names nothing of the document.
var verbatim = map[string]bool{"alias": true, "node": true, "column": true, "relation": true, "schema": true, "slug": true, "connection": true, "key": true, "login": true, "digest": true, "address": true, "name": true, "title": true, "label": true}

// legible are properties whose text is a word of the document, not of a person.
var legible = map[string]bool{
	"kind": true, "type": true, "mode": true, "as": true, "edge": true, "tone": true, "format": true, "shape": true, "measure": true, "unsaved": true, "compare": true, "align": true, "rule": true, "trigger": true, "none": true, "drawn": true, "does": true, "is": true,
	"priority": true, "what": true, "side": true, "take": true, "corners": true, "look": true, "height": true, "step": true, "how": true, "since": true, "fold": true, "place": true, "weight": true, "abnormal": true, "appearance": true,
}

func (n *names) text(t thing, last, v string) string {
	switch {
	case v == "":
		return ""
	case verbatim[last]:
		return "“" + v + "”"
	case conditions[last]:
		if phrase := n.phrase(t, v); phrase != "" {
			return phrase
		}
	case legible[last]:
		return spaced(v)
	}
	if name := n.idName(t.entity, v); name == "what is gone" {
		return name
	} else if name != v {
		return "“" + cut(name) + "”"
	}
	if last == "path" || strings.Contains(v, ".") && tokens.FindString(v) != "" && !strings.ContainsAny(v, " {") {
		return "“" + n.pathName(t.entity, v) + "”"
	}
	out := tokens.ReplaceAllStringFunc(v, func(id string) string {
		if name := n.idName(t.entity, id); name != id {
			return name
		}
		return id
	})
	if r := []rune(out); len(r) > longestValue {
		out = string(r[:longestValue]) + "…"
	}
	return "“" + out + "”"
}

// tokens are ids in a text.
var tokens = regexp.MustCompile(`\b[a-z]{1,4}_[A-Za-z0-9_]+\b`)

// phrase says a condition in words; "" where it cannot be read.
func (n *names) phrase(t thing, text string) string {
	for _, scope := range n.scopes(t) {
		if e, problem := n.app.Compiler.Condition(scope, text); problem == nil && e.Root != nil {
			return e.Root.Phrase()
		}
	}
	return ""
}

// scopes are those that a condition of a thing may be read in.
func (n *names) scopes(t thing) []cond.Scope {
	p := n.app.Project
	if s := p.Screens[t.entity]; s != nil {
		out := []cond.Scope{}
		for _, h := range t.holders[1:] {
			if h.shelf == "elements" {
				if table := n.app.RowTable(t.entity, h.id); table != "" {
					out = append(out, p.Scope(s, table))
				}
			}
		}
		return append(out, p.Scope(s, ""))
	}
	if g := p.Gates[t.entity]; g != nil {
		return []cond.Scope{p.GateScope(g)}
	}
	if c := p.CallUps[t.entity]; c != nil {
		return []cond.Scope{p.CallUpScope(c.Table)}
	}
	body, _ := n.body(t.entity).(object)
	table, _ := body["table"].(string)
	if t.kind == "table" {
		table = t.entity
	}
	return []cond.Scope{p.RowScope(table)}
}

// pathName says a path of a field as it is called from the table that it begins at.
func (n *names) pathName(entity, path string) string {
	for _, table := range n.tables(entity) {
		if name := words.Path(n.app, table, path); name != "" {
			return name
		}
	}
	var out []string
	for _, seg := range strings.Split(path, ".") {
		out = append(out, n.idName(entity, seg))
	}
	return strings.Join(out, " · ")
}

// tables are those that paths in an entity most likely begin at.
func (n *names) tables(entity string) []string {
	p := n.app.Project
	if p.Tables[entity] != nil {
		return []string{entity}
	}
	if s := p.Screens[entity]; s != nil {
		return append([]string{s.RecordTable(), s.ListTable()}, slices.Sorted(maps.Keys(p.Tables))...)
	}
	return slices.Sorted(maps.Keys(p.Tables))
}
