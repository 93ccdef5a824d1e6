package propose

import (
	"fmt"
	"regexp"
	"strings"
	"unicode"

	"ambergate/core/english"
)

// inWords writes a name of a database in words: “defect_parts” and “DefectParts” are “defect parts”.
func inWords(name string) string {
	var out []rune
	runes := []rune(name)
	for i, r := range runes {
		switch {
		case !unicode.IsLetter(r) && !unicode.IsDigit(r):
			r = ' '
		case unicode.IsUpper(r) && i > 0 && unicode.IsLower(runes[i-1]):
			out = append(out, ' ')
		}
		out = append(out, unicode.ToLower(r))
	}
	return strings.Join(strings.Fields(string(out)), " ")
}

// Label writes a name of a database as a label.
func Label(name string) string {
	words := inWords(name)
	if words == "" {
		return name
	}
	return english.Capital(words)
}

// one gives the singular of a label, as far as English is regular.
func one(label string) string {
	words := strings.Fields(strings.ToLower(label))
	if len(words) == 0 {
		return label
	}
	last := words[len(words)-1]
	switch {
	case strings.HasSuffix(last, "ies") && len(last) > 4:
		last = strings.TrimSuffix(last, "ies") + "y"
	case hasAnySuffix(last, "sses", "shes", "ches", "xes", "zes"):
		last = strings.TrimSuffix(last, "es")
	case strings.HasSuffix(last, "s") && !hasAnySuffix(last, "ss", "us", "is") && len(last) > 3:
		last = strings.TrimSuffix(last, "s")
	}
	words[len(words)-1] = last
	return strings.Join(words, " ")
}

func hasAnySuffix(s string, suffixes ...string) bool {
	for _, x := range suffixes {
		if strings.HasSuffix(s, x) {
			return true
		}
	}
	return false
}

var plain = strings.NewReplacer("ä", "ae", "ö", "oe", "ü", "ue", "ß", "ss", "á", "a", "à", "a", "â", "a", "å", "a", "ç", "c", "é", "e", "è", "e", "ê", "e", "ë", "e", "í", "i", "ì", "i", "î", "i", "ï", "i", "ñ", "n", "ó", "o", "ò", "o", "ô", "o", "ø", "o", "ú", "u", "ù", "u", "û", "u", "ý", "y", "æ", "ae", "œ", "oe")

var notPlain = regexp.MustCompile(`[^a-z0-9]+`)

// legal writes a name with small letters, digits and one kind of joint alone; "" when nothing is left of it.
func legal(name, joint string, most int) string {
	text := strings.Trim(notPlain.ReplaceAllString(plain.Replace(inWords(name)), joint), joint)
	if len(text) > most {
		text = strings.TrimRight(text[:most], joint)
	}
	return text
}

// Slug writes words as a part of an address.
func Slug(words string) string {
	if s := legal(words, "-", 60); s != "" {
		return s
	}
	return "screen"
}

// reservedNames are those that the language of conditions keeps for itself.
var reservedNames = map[string]bool{"as": true, "break": true, "const": true, "continue": true, "else": true, "false": true, "for": true, "function": true, "if": true, "import": true, "in": true, "let": true, "loop": true, "namespace": true, "null": true, "package": true, "return": true, "true": true, "var": true, "void": true, "while": true, "equip": true}

// alias writes a name as expressions write it.
func alias(name string) string {
	text := legal(name, "_", 50)
	if text == "" || text[0] >= '0' && text[0] <= '9' || reservedNames[text] {
		text = strings.TrimRight("c_"+text, "_")
	}
	return text
}

// names gives each thing a name of its own: the second of two gets a number.
type names map[string]bool

func (n names) free(name, joint string) string {
	out := name
	for i := 2; n[out]; i++ {
		out = fmt.Sprintf("%s%s%d", name, joint, i)
	}
	n[out] = true
	return out
}

// id makes an id of a name, with what it is before it: t_defects.
func id(kind, name string) string {
	text := legal(name, "_", 34)
	if text == "" {
		text = "x"
	}
	return kind + "_" + text
}
