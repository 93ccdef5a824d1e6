package english_test

import (
	"testing"

	"ambergate/core/english"
)

func TestWordsArePutTogether(t *testing.T) {
	for got, want := range map[string]string{
		english.Capital("über den Berg"): "Über den Berg", english.Capital(""): "", english.Small("Only while"): "only while", english.Small("ID is gone"): "ID is gone", english.Small(""): "",
		english.Sentence("it is gone"): "It is gone.", english.Lower("Due Date"): "due date",
		english.List(nil, "and"): "", english.List([]string{"a"}, "or"): "a", english.List([]string{"a", "b"}, "or"): "a or b", english.List([]string{"a", "b", "c"}, "and"): "a, b and c",
	} {
		if got != want {
			t.Errorf("%q, want %q", got, want)
		}
	}
}
