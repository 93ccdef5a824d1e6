package compile_test

import (
	"strings"
	"testing"
)

// What is written wrong is told in plain words, at its place, with what was probably meant.
func TestSyntaxErrorsInPlainWords(t *testing.T) {
	c := compiler(t)
	for text, want := range map[string][2]string{
		`record.state = "open"`:                        {"To ask whether two are equal, write two signs: ==.", "=="},
		`record.done and record.count == 1`:            {"“and” is written && here.", "&&"},
		`record.done or record.done`:                   {"“or” is written || here.", "||"},
		`record.cabin.`:                                {"This ends too early: something is missing behind it.", ""},
		`record.count ==`:                              {"This ends too early: something is missing behind it.", ""},
		`record.state == "open`:                        {"A quotation mark has no closing one.", ""},
		`record.count == 1 &`:                          {"“&” is no sign of the language.", "&&"},
		`record.count == 1)`:                           {"“)” cannot stand here.", ""},
		`record.count # 1`:                             {"“#” is no sign of the language.", ""},
		`(record.done`:                                 {"A “)” is missing here.", ""},
		`record.count == 1 && && record.done`:          {"“&&” cannot stand here.", ""},
		`record.state in ["open" "closed"]`:            {"“\"closed\"” cannot stand here.", ""},
		`daysAgo(7`:                                    {"A “)” is missing here.", ""},
		`record.count == 1 || record.state = "closed"`: {"To ask whether two are equal, write two signs: ==.", "=="},
	} {
		_, problem := c.Condition(defectScope, text)
		if problem == nil {
			t.Errorf("%s was read", text)
			continue
		}
		if problem.Message != want[0] || problem.Proposal != want[1] {
			t.Errorf("%s: %q with %q, want %q with %q", text, problem.Message, problem.Proposal, want[0], want[1])
		}
		if problem.Proposal == "" {
			continue
		}
		// What is proposed stands at the right place: put in, the text is read, or complains of something later.
		runes := []rune(text)
		mended := string(runes[:problem.At]) + problem.Proposal + string(runes[problem.At+problem.Length:])
		if _, again := c.Condition(defectScope, mended); again != nil && again.Message == problem.Message && !strings.Contains(mended, problem.Proposal) {
			t.Errorf("%s became %s: %s", text, mended, again.Message)
		}
	}
}
