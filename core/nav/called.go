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
	if o.called.fetch(func(ref recordRef) string { return o.titleOf(ctx, src, ref.table, ref.key) }) {
		return o.Ways()
	}
	return ways
}

// WaysInCalled gives the ways that lead to a screen, as WaysIn does, with such titles.
func (a *App) WaysInCalled(ctx context.Context, user *User, src Sources, screen string) []WayIn {
	titles := &called{titles: map[recordRef]string{}}
	ways := a.waysIn(screen, user.Roles, titles)
	again := titles.fetch(func(ref recordRef) string {
		found, err := a.Titles(ctx, user, src.Records, src.Now, TitleQuery{Table: ref.table, Key: ref.key, Limit: 1})
		if err != nil || len(found) == 0 {
			return ref.key // not to be seen: it stands by its key
		}
		return found[0].Title
	})
	if again {
		return a.waysIn(screen, user.Roles, titles)
	}
	return ways
}

// fetch gets what was asked for; false when nothing of it has a title.
func (c *called) fetch(title func(recordRef) string) bool {
	found := false
	for i, ref := range c.asked {
		if i == constantsNamed {
			break
		}
		if t := title(ref); t != ref.key {
			c.titles[ref], found = t, true
		}
	}
	return found
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
