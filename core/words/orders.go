package words

import (
	"strings"

	"ambergate/core/ask"
	"ambergate/core/plan"
)

// Order says an order.
func Order(a *plan.App, table string, sort []ask.Sort) string {
	var parts []string
	for _, s := range sort {
		words := Path(a, table, s.Path)
		if words == "" {
			words = "a field that is gone"
		}
		if s.Desc {
			words += ", the highest first"
		}
		parts = append(parts, words)
	}
	if len(parts) == 0 {
		return "the key"
	}
	return strings.Join(parts, ", then ")
}

// PathWords says a path of relations of a table: "cabin’s lift"; "" where a part is gone.
func PathWords(a *plan.App, table, path string) string { return Path(a, table, path) }
