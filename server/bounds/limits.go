package bounds

import (
	"slices"
	"strings"
	"time"
)

// Limits bound what the program takes and does. A zero stands for what is usual.
type Limits struct {
	Body      int64         `yaml:"body"`      // bytes of a request
	Picture   int64         `yaml:"picture"`   // bytes of one that brings a picture, which is longer as text
	Clip      int64         `yaml:"clip"`      // bytes of one that brings a clip
	File      int64         `yaml:"file"`      // bytes of one that brings an application
	Answer    time.Duration `yaml:"answer"`    // until an answer is due
	Whole     time.Duration `yaml:"whole"`     // likewise, of what goes through all of an application
	Calls     int           `yaml:"calls"`     // that one person has under way at once
	Downloads int           `yaml:"downloads"` // of whole lists, likewise
	Rows      int           `yaml:"rows"`      // of a list that is downloaded whole
	Streams   int           `yaml:"streams"`   // of events that one person has open
	Places    int           `yaml:"places"`    // that one stream is of
	Edits     int           `yaml:"edits"`     // that one builder makes in a minute
}

// Usual are the limits where nothing else is said.
var Usual = Limits{
	Body: 1 << 20, Picture: 3 << 20, Clip: 11 << 20, File: 32 << 20, Answer: 8 * time.Second, Whole: time.Minute,
	Calls: 3, Downloads: 1, Rows: 1_000_000, Streams: 250, Places: 24, Edits: 3000,
}

// Wrong says which limits cannot be, a line each.
func (l Limits) Wrong() (out []string) {
	for _, one := range []struct {
		name  string
		value int64
	}{{"body", l.Body}, {"picture", l.Picture}, {"clip", l.Clip}, {"file", l.File}, {"answer", int64(l.Answer)}, {"whole", int64(l.Whole)}, {"calls", int64(l.Calls)}, {"downloads", int64(l.Downloads)}, {"rows", int64(l.Rows)}, {"streams", int64(l.Streams)}, {"places", int64(l.Places)}, {"edits", int64(l.Edits)}} {
		if one.value < 0 {
			out = append(out, "limits: "+one.name+" cannot be less than nothing")
		}
	}
	return out
}

// Filled gives them with what is usual in the place of zeros.
func (l Limits) Filled() Limits {
	or(&l.Body, Usual.Body)
	or(&l.Picture, Usual.Picture)
	or(&l.Clip, Usual.Clip)
	or(&l.File, Usual.File)
	or(&l.Answer, Usual.Answer)
	or(&l.Whole, Usual.Whole)
	or(&l.Calls, Usual.Calls)
	or(&l.Downloads, Usual.Downloads)
	or(&l.Rows, Usual.Rows)
	or(&l.Streams, Usual.Streams)
	or(&l.Places, Usual.Places)
	or(&l.Edits, Usual.Edits)
	return l
}

// Due gives how long the answer of a call may take, by its route; 0 for as long as it does: event streams, whole lists and
// what brings a clip. What stops a release is known when all checks are done and all walks are gone, which takes the
// longer the more there is of an application.
func (l Limits) Due(route string) time.Duration {
	ends := func(with ...string) bool {
		return slices.ContainsFunc(with, func(end string) bool { return strings.HasSuffix(route, end) })
	}
	switch {
	case ends("/events", "/csv", "/clips"):
		return 0
	case ends("/readiness", "/releases", "/walks/gone", "/reach"):
		return max(l.Whole, l.Answer)
	}
	return l.Answer
}

func or[T comparable](value *T, usual T) {
	var zero T
	if *value == zero {
		*value = usual
	}
}
