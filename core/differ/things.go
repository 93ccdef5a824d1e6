package differ

import (
	"slices"
	"strings"
	"unicode"
)

// kinds are those of entities, in the order in which their changes are told.
var kinds = []string{"project", "screen", "rail", "gate", "callUp", "condition", "variable", "role", "grant", "source", "table", "equipment", "tag", "picture", "clip", "expectation", "walk", "acceptance"}

// kindWords are what entities are called by their kind.
var kindWords = map[string]string{
	"project": "the application", "screen": "the screen", "rail": "the rail", "gate": "the shared gate", "callUp": "the call-up", "condition": "the condition", "variable": "the variable", "role": "the role",
	"grant": "the right of", "source": "the source", "table": "the table", "equipment": "the equipment of", "tag": "the value", "picture": "the picture", "clip": "the clip", "expectation": "the expectation", "walk": "the walk", "acceptance": "the acceptance of",
}

// part says of a map by id what one of it is called, and which of its properties names it.
type part struct {
	one string
	by  []string
}

// parts are the maps by id of the document. An agreement test holds them to its schema.
var parts = map[string]part{
	"among":    {"the choice", []string{"is", "target"}},
	"bind":     {"what is given to", nil},
	"buttons":  {"the look of buttons", nil},
	"cases":    {"the case", nil},
	"changes":  {"the change", []string{"path"}},
	"colours":  {"the colour", []string{"name"}},
	"columns":  {"the column", []string{"label", "path"}},
	"do":       {"the action", []string{"kind"}},
	"elements": {"the element", []string{"label", "words", "text", "path", "name"}},
	"faces":    {"the face", []string{"words", "when", "state"}},
	"fields":   {"the field", []string{"label"}},
	"filters":  {"the filter", []string{"path"}},
	"give":     {"what is given to", nil},
	"inputs":   {"the input", []string{"label", "title"}},
	"items":    {"the task", []string{"words", "label"}},
	"lines":    {"the line", []string{"label", "value"}},
	"links":    {"the link", []string{"words"}},
	"marks":    {"the mark", []string{"label", "words", "value"}},
	"menu":     {"the menu entry", []string{"words"}},
	"options":  {"the answer", []string{"words"}},
	"order":    {"the order", []string{"path"}},
	"palette":  {"the colour", []string{"name"}},
	"parts":    {"the part", []string{"label"}},
	"picked":   {"the choice", []string{"title"}},
	"round":    {"the stop", []string{"screen"}},
	"rows":     {"the row", []string{"title"}},
	"several":  {"the button for several", []string{"words"}},
	"sort":     {"the order", []string{"path"}},
	"steps":    {"the step", []string{"label", "words"}},
	"tabs":     {"the tab", []string{"label"}},
	"tags":     {"the value", []string{"label"}},
	"tallies":  {"the figure", []string{"label", "name"}},
	"ways":     {"what happens when", []string{"trigger"}},
}

// whole are properties that are told as one although they have parts.
var whole = map[string]bool{"cell": true, "result": true, "spotRow": true, "record": true}

// labels are what properties are called where their own name does not say it.
var labels = map[string]string{
	"pos": "place in the order", "cell": "place on the screen", "slug": "address", "oldSlugs": "earlier addresses", "heading": "heading", "area": "area", "guard": "guard", "up": "screen above it", "bare": "being without the strip",
	"position": "telling of where the record stands", "offered": "being offered to other applications", "shown": "condition for being shown", "tab": "tab that it stands on", "w": "width", "h": "height", "col": "column", "row": "row",
	"alias": "name in conditions", "nullable": "being allowed to be empty", "references": "table that it refers to", "back": "name of the way back", "graded": "choices being in an order", "long": "being a long text", "longest": "longest text",
	"readOnly": "being read only", "attnum": "number of its column", "number": "number of its column", "one": "word for one record", "key": "key", "relation": "relation", "view": "right to view", "add": "right to add", "edit": "right to edit", "delete": "right to delete",
	"changes": "rule for changing", "rows": "rule for its records", "hidden": "hidden fields", "while": "condition", "when": "condition", "for": "time that it holds", "only": "screens that it is for alone", "not": "screens that it is not for", "except": "screens that it is not on",
	"kinds": "kinds of screens", "tables": "tables", "never": "buttons that never fold away", "edge": "edge", "pull": "tab at the edge", "touch": "touch at the edge", "size": "size", "idle": "minutes until it is idle", "warn": "seconds of warning",
	"start": "start", "userTable": "table of people", "userField": "field of the sign-in name", "zone": "time zone", "nextFormat": "format", "desc": "being from the end", "path": "field", "inPlace": "being edited in place", "cards": "being shown as cards",
	"group": "grouping", "what": "what is expected", "from": "screens that it is reached from", "presses": "number of presses", "by": "person", "because": "reason", "at": "time", "entity": "place", "check": "check", "once": "once", "fold": "folding",
	"note": "note", "tip": "tip", "words": "text", "text": "text", "tone": "tone", "icon": "picture sign", "drawn": "drawing", "keys": "shortcut", "placed": "placement", "otherwise": "what shows otherwise", "grey": "reason", "unsaved": "rule for unsaved work",
	"confirm": "question", "use": "shared gate", "move": "move", "as": "way of opening", "mode": "mode", "spot": "spot", "is": "what is claimed", "does": "deed", "who": "walker", "plant": "what the plant says", "yes": "answer", "of": "what is counted",
	"take": "figure", "node": "node", "writable": "being writable", "unit": "unit", "min": "least", "max": "most", "low": "low limit", "high": "high limit", "beat": "watchdog’s value", "within": "watchdog’s time", "digits": "digits", "set": "what is set",
	"x": "place across", "y": "place down", "turn": "turn", "level": "level", "span": "span", "splitSpan": "span of the split", "rest": "the rest", "pattern": "pattern", "column": "column", "example": "example", "secret": "being kept from logs",
	"type": "kind", "carry": "what goes along", "arrive": "what it begins with", "none": "what happens if there is none", "appearance": "light or dark", "clip": "clip", "digest": "content", "silent": "being silent", "starts": "starting by itself", "again": "going again",
	"kind": "kind", "limit": "limit", "on": "words while on", "off": "words while off", "abnormal": "state that is not normal", "roles": "roles", "modes": "modes that it is shown in", "row.pos": "place in the order", "priority": "priority", "required": "being required",
}

// rights are the grants' properties, which others have by the same names.
var rights = map[string]bool{"view": true, "add": true, "edit": true, "delete": true, "rows": true}

// label says what a property is called: the last of its path, after those that it is in.
func label(at []string) string {
	var out []string
	for i, key := range at {
		words := labels[key]
		if words == "" || rights[key] && len(at) > 1 {
			words = spaced(key)
		}
		if i == len(at)-1 || !slices.Contains([]string{"style", "placed"}, key) {
			out = append(out, words)
		}
	}
	return "the " + strings.Join(out, ", ")
}

// spaced writes a name of the document as words: “userField” as “user field”.
func spaced(name string) string {
	var out strings.Builder
	for i, r := range name {
		if unicode.IsUpper(r) && i > 0 {
			out.WriteByte(' ')
		}
		out.WriteRune(unicode.ToLower(r))
	}
	return out.String()
}
