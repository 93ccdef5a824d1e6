package local

import (
	"strings"
	"time"

	"github.com/go-playground/locales"
	"github.com/go-playground/locales/cs"
	"github.com/go-playground/locales/da"
	"github.com/go-playground/locales/de"
	"github.com/go-playground/locales/en"
	"github.com/go-playground/locales/es"
	"github.com/go-playground/locales/fi"
	"github.com/go-playground/locales/fr"
	"github.com/go-playground/locales/hr"
	"github.com/go-playground/locales/hu"
	"github.com/go-playground/locales/it"
	"github.com/go-playground/locales/nb"
	"github.com/go-playground/locales/nl"
	"github.com/go-playground/locales/pl"
	"github.com/go-playground/locales/pt"
	"github.com/go-playground/locales/sl"
	"github.com/go-playground/locales/sv"
)

// Language is how numbers and dates are written (Unicode CLDR).
type Language struct {
	Tag  string // BCP 47
	Name string // in itself

	by             locales.Translator // nil: English, day before month
	point, between string             // before decimals; between thousands
}

// English is what is meant where no language is named: 12 Nov 2026, 14,200.5.
var English = &Language{Tag: "en", Name: "English", point: ".", between: ","}

// All are the languages that can be chosen.
var All = []*Language{
	English, of("English, US", en.New()), of("Čeština", cs.New()), of("Dansk", da.New()), of("Deutsch", de.New()), of("Español", es.New()), of("Français", fr.New()), of("Hrvatski", hr.New()),
	of("Italiano", it.New()), of("Magyar", hu.New()), of("Nederlands", nl.New()), of("Norsk bokmål", nb.New()), of("Polski", pl.New()), of("Português", pt.New()), of("Slovenščina", sl.New()), of("Suomi", fi.New()), of("Svenska", sv.New()),
}

// of reads the signs of a language off a number that has them all.
func of(name string, t locales.Translator) *Language {
	l := &Language{Tag: t.Locale(), Name: name, by: t}
	if l.Tag == "en" {
		l.Tag = "en-US"
	}
	written := t.FmtNumber(12345678.5, 1)
	l.point = strings.Trim(written[strings.LastIndex(written, "8")+1:], "5")
	l.between = written[len("12"):strings.Index(written, "345")]
	return l
}

// Of finds a language; English for one that is not there.
func Of(tag string) *Language {
	for _, l := range All {
		if l.Tag == tag {
			return l
		}
	}
	return English
}

// Known says whether a tag names a language that can be chosen.
func Known(tag string) bool { return tag == "" || Of(tag).Tag == tag }

// Whole writes the digits of a whole number: from five digits on with a sign between thousands.
func (l *Language) Whole(digits string) string {
	sign := ""
	if strings.HasPrefix(digits, "-") {
		sign, digits = "-", digits[1:]
	}
	if len(digits) < 5 {
		return sign + digits
	}
	var parts []string
	for len(digits) > 3 {
		parts = append([]string{digits[len(digits)-3:]}, parts...)
		digits = digits[:len(digits)-3]
	}
	return sign + strings.Join(append([]string{digits}, parts...), l.between)
}

// Decimal writes a number that is written with a point, every digit of it.
func (l *Language) Decimal(text string) string { return strings.Replace(text, ".", l.point, 1) }

// Date writes a day.
func (l *Language) Date(t time.Time) string {
	if l.by == nil {
		return t.Format("2 Jan 2006")
	}
	return l.by.FmtDateMedium(t)
}

// DateLong writes a day with its name.
func (l *Language) DateLong(t time.Time) string {
	if l.by == nil {
		return t.Format("Monday, 2 January 2006")
	}
	return l.by.FmtDateFull(t)
}

// DateShort writes a day in figures.
func (l *Language) DateShort(t time.Time) string {
	if l.by == nil {
		return t.Format(time.DateOnly)
	}
	return l.by.FmtDateShort(t)
}

// Time writes the time of a day, in its own zone.
func (l *Language) Time(t time.Time) string {
	if l.by == nil {
		return t.Format("15:04")
	}
	return l.by.FmtTimeShort(t)
}

// Moment writes a day and the time of it, in the time’s own zone.
func (l *Language) Moment(t time.Time) string {
	if l.by == nil {
		return t.Format("2 Jan 2006 15:04")
	}
	return l.by.FmtDateMedium(t) + " " + l.by.FmtTimeShort(t)
}

// Month writes a month of a year.
func (l *Language) Month(t time.Time) string {
	if l.by == nil {
		return t.Format("January 2006")
	}
	return l.by.MonthWide(t.Month()) + " " + t.Format("2006")
}

// Days writes a span of days, the first and the last.
func (l *Language) Days(from, to time.Time) string {
	switch {
	case l.by != nil:
		return l.Date(from) + " – " + l.Date(to)
	case from.Month() == to.Month():
		return from.Format("2") + " – " + l.Date(to)
	}
	return from.Format("2 Jan") + " – " + l.Date(to)
}
