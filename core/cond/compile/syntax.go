package compile

import (
	"regexp"
	"strings"

	"ambergate/core/cond"
)

var (
	unknownSign = regexp.MustCompile(`token recognition error at: '(.*)'`)
	notHere     = regexp.MustCompile(`(?:extraneous|mismatched|no viable alternative at) input '(.*?)'`)
	missing     = regexp.MustCompile(`missing '(.*?)' at`)
)

// meant are words that people write for signs of the language.
var meant = map[string]string{"and": "&&", "or": "||", "not": "!", "AND": "&&", "OR": "||", "NOT": "!", "=": "==", "<>": "!=", "&": "&&", "|": "||", "True": "true", "False": "false", "TRUE": "true", "FALSE": "false"}

// syntaxProblem says in plain words what the parser stumbled over, with what was probably meant.
func syntaxProblem(message string, text []rune, at int) *cond.Problem {
	if m := unknownSign.FindStringSubmatch(message); m != nil {
		sign := strings.TrimSpace(m[1])
		switch {
		case strings.HasPrefix(sign, `"`) || strings.HasPrefix(sign, "'"):
			return &cond.Problem{Message: "A quotation mark has no closing one.", At: at, Length: max(1, len(text)-at)}
		case strings.HasPrefix(sign, "="):
			return &cond.Problem{Message: "To ask whether two are equal, write two signs: ==.", At: at, Length: 1, Proposal: "=="}
		}
		return &cond.Problem{Message: "“" + sign + "” is no sign of the language.", At: at, Length: 1, Proposal: meant[sign]}
	}
	if m := missing.FindStringSubmatch(message); m != nil {
		return &cond.Problem{Message: "A “" + m[1] + "” is missing here.", At: at, Length: 1, Proposal: ""}
	}
	m := notHere.FindStringSubmatch(message)
	if m == nil {
		return nil
	}
	what := m[1]
	switch {
	case what == "<EOF>" || strings.HasSuffix(what, "."):
		return &cond.Problem{Message: "This ends too early: something is missing behind it.", At: max(0, len(text)-1), Length: 1}
	case meant[what] != "":
		return &cond.Problem{Message: "“" + what + "” is written " + meant[what] + " here.", At: at, Length: len([]rune(what)), Proposal: meant[what]}
	}
	return &cond.Problem{Message: "“" + what + "” cannot stand here.", At: at, Length: max(1, len([]rune(what)))}
}
