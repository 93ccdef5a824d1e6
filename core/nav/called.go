package nav

import (
	"context"
	"time"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// called are the titles of records that are written into ways by their keys: constants. What a
// sentence names without finding it here is noted, to be fetched.
type called struct {
	titles map[recordRef]string
	asked  []recordRef
}

type recordRef struct{ table, key string }

// of gives the title of a record; "" while it is not known.
func (c *called) of(table, key string) string {
	if c == nil || table == "" || key == "" {
		return ""
	}
	ref := recordRef{table, key}
	title, known := c.titles[ref]
	if !known {
		c.titles[ref] = ""
		c.asked = append(c.asked, ref)
	}
	return title
}

// constantsNamed is how many constants of one screen are called by their titles; the others by their keys.
const constantsNamed = 50

// WaysCalled gives the ways out like Ways; records that are written into them by key are called by
// their titles, as far as the user may view them.
func (o *Opening) WaysCalled(ctx context.Context, src Sources) []WayOut {
	o.called = &called{titles: map[recordRef]string{}}
	ways := o.Ways()
	found := false
	for i, ref := range o.called.asked {
		if i == constantsNamed {
			break
		}
		if title := o.titleOf(ctx, src, ref.table, ref.key); title != ref.key {
			o.called.titles[ref], found = title, true
		}
	}
	if !found {
		return ways
	}
	return o.Ways()
}

// phrase says a condition or value; records in it that are written by key are called by their titles.
func (w *sentenceWriter) phrase(n *cond.Node) string { return n.Calling(w.called.of).Phrase() }

// constantWords says a value that is always the same, for an input; nil where that is not known.
func (w *sentenceWriter) constantWords(value string, in *project.Input) string {
	if title := w.called.of(tableOf(in), value); title != "" {
		return title
	}
	if in != nil {
		switch in.Type {
		case "yesno":
			return map[string]string{"true": "yes", "false": "no"}[value]
		case "whole", "number", "decimal":
			return value
		case "date":
			if day, err := time.Parse(time.DateOnly, value); err == nil {
				return day.Format("2 Jan 2006")
			}
		}
	}
	return "“" + value + "”"
}

// tableOf gives the table whose record an input takes; "" when it takes none.
func tableOf(in *project.Input) string {
	if in == nil {
		return ""
	}
	return in.Table
}
