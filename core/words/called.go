package words

import (
	"time"

	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// Called are the titles of records that are written into ways by their keys: constants. What a
// sentence names without finding it here is noted, to be fetched.
type Called struct {
	Titles map[Ref]string
	Others func(slug string) *plan.App // other projects, as released; nil: they are called by their slugs
	asked  []Ref
}

// Ref is a record by its table and key.
type Ref struct{ Table, Key string }

// Of gives the title of a record; "" while it is not known.
func (c *Called) Of(table, key string) string {
	if c == nil || table == "" || key == "" {
		return ""
	}
	ref := Ref{table, key}
	title, known := c.Titles[ref]
	if !known {
		c.Titles[ref] = ""
		c.asked = append(c.asked, ref)
	}
	return title
}

// Offered gives the titles of a screen that another project offers, and of that project; where they
// are not known they are their slugs, quoted.
func (c *Called) Offered(slug, entry string) (screen, of string) {
	screen, of = "“"+entry+"”", "“"+slug+"”"
	if c == nil || c.Others == nil {
		return screen, of
	}
	other := c.Others(slug)
	if other == nil {
		return screen, of
	}
	if s := other.Project.ScreenBySlug(entry); s != nil {
		screen = s.Title
	}
	return screen, other.Project.Settings.Title
}

// Takes gives what a screen that another project offers is opened with, in order; none where that is not known.
func (c *Called) Takes(slug, entry string) []*project.Input {
	if c == nil || c.Others == nil {
		return nil
	}
	other := c.Others(slug)
	if other == nil {
		return nil
	}
	if s := other.Project.ScreenBySlug(entry); s != nil {
		return project.Ordered(s.Inputs)
	}
	return nil
}

// constantsNamed is how many constants of one screen are called by their titles; the others by their keys.
const constantsNamed = 50

// Fetch gets what was asked for; false when nothing of it has a title.
func (c *Called) Fetch(title func(Ref) string) bool {
	found := false
	for i, ref := range c.asked {
		if i == constantsNamed {
			break
		}
		if t := title(ref); t != ref.Key {
			c.Titles[ref], found = t, true
		}
	}
	return found
}

// Phrase says a condition or value; records in it that are written by key are called by their titles.
func (w *Writer) Phrase(n *cond.Node) string { return n.Calling(w.Called.Of).Phrase() }

// ConstantWords says a value that is always the same, for an input; nil where that is not known.
func (w *Writer) ConstantWords(value string, in *project.Input) string {
	if title := w.Called.Of(TableOf(in), value); title != "" {
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

// TableOf gives the table whose record an input takes; "" when it takes none.
func TableOf(in *project.Input) string {
	if in == nil {
		return ""
	}
	return in.Table
}
