package propose

import (
	"slices"
	"strings"

	"ambergate/core/catalogue"
)

// kind is what a column is: its type in the document; "" when it is not shown.
type kind struct {
	of       string
	readOnly bool
	why      string // it is only shown, or not shown at all
}

var kinds = map[string]kind{
	"bool": {of: "yesno"}, "int2": {of: "whole"}, "int4": {of: "whole"}, "int8": {of: "whole"}, "float4": {of: "number"}, "float8": {of: "number"}, "numeric": {of: "decimal"},
	"text": {of: "text"}, "varchar": {of: "text"}, "bpchar": {of: "text"}, "citext": {of: "text"}, "name": {of: "text"}, "date": {of: "date"}, "timestamptz": {of: "moment"}, "timestamp": {of: "moment"},
	"json": {of: "json", readOnly: true, why: "shown as text, not edited"}, "jsonb": {of: "json", readOnly: true, why: "shown as text, not edited"},
	"uuid": {of: "text", readOnly: true, why: "shown, not edited: nobody types it"},
}

// Shown as the database writes them; there is no editor for them.
var onlyShown = []string{"money", "interval", "inet", "cidr", "macaddr", "macaddr8", "time", "timetz", "bit", "varbit", "xml", "tsvector", "int4range", "int8range", "numrange", "tsrange", "tstzrange", "daterange"}

// pictureWords are those that a column with the bytes of a picture is called by.
var pictureWords = []string{"photo", "picture", "image", "pic", "foto", "bild", "thumbnail", "logo"}

// kindOf says what a column is. Source: PostgreSQL, chapter “Data Types”.
func kindOf(c *catalogue.Column) kind {
	switch k, known := kinds[c.Base]; {
	case len(c.Enum) > 0 && !c.Array:
		return kind{of: "text"}
	case c.Array || slices.Contains(onlyShown, c.Base):
		return kind{of: "text", readOnly: true, why: "shown, not edited: there is no editor for “" + c.Type + "”"}
	case known:
		return k
	case c.Base == "bytea" && slices.ContainsFunc(pictureWords, func(w string) bool { return slices.Contains(strings.Fields(inWords(c.Name)), w) }):
		return kind{of: "picture"}
	}
	return kind{why: "not shown: nothing shows “" + c.Type + "”"}
}

// units by the last word of a column's name.
var units = map[string]string{"km": "km", "m": "m", "cm": "cm", "mm": "mm", "kg": "kg", "kw": "kW", "kwh": "kWh", "mw": "MW", "mwh": "MWh", "eur": "€", "euro": "€", "usd": "$", "gbp": "£", "chf": "CHF", "percent": "%", "pct": "%", "hours": "h", "minutes": "min", "seconds": "s", "litres": "l", "liters": "l", "bar": "bar", "rpm": "1/min", "kmh": "km/h", "celsius": "°C"}

// unitOf gives the unit of a number, and from where it is known.
func unitOf(c *catalogue.Column) (unit, why string) {
	if open := strings.LastIndexByte(c.Comment, '('); open >= 0 && strings.HasSuffix(c.Comment, ")") && len(c.Comment)-open < 12 {
		return strings.TrimSpace(c.Comment[open+1 : len(c.Comment)-1]), "unit from the comment"
	}
	words := strings.Fields(inWords(c.Name))
	if len(words) > 1 {
		if u := units[words[len(words)-1]]; u != "" {
			return u, "unit from the name"
		}
	}
	return "", ""
}
