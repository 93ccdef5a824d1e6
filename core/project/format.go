package project

import "slices"

// Formats are the ways to write a value that is not written as usual, by the type of its field: numbers with so many
// digits behind the point, or as they are, without anything between thousands; days with their name, in figures, or as
// their month; moments as their day or their time; yes and no as a mark.
var Formats = map[string][]string{
	"whole":   {"bare"},
	"number":  {"bare", "0", "1", "2", "3"},
	"decimal": {"bare", "0", "1", "2", "3"},
	"date":    {"long", "short", "month"},
	"moment":  {"day", "time", "long"},
	"yesno":   {"mark"},
}

// ValidFormat refuses what is no format of any type. One that does not suit the type of a value is as none.
func ValidFormat(f string) error {
	all := []string{""}
	for _, of := range Formats {
		all = append(all, of...)
	}
	slices.Sort(all)
	return OneOf("format", f, slices.Compact(all)...)
}
