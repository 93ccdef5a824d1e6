// Package english is how words are put together for people: their case, and lists of them.
package english

import (
	"strconv"
	"strings"
	"unicode"
	"unicode/utf8"
)

// Lower writes a label as it stands inside a sentence: “Due date” is “due date”.
func Lower(label string) string { return strings.ToLower(label) }

// Capital lets a text begin a sentence, or stand as a label.
func Capital(text string) string { return first(text, unicode.ToUpper) }

// Small lets a text that begins a sentence stand inside another. Abbreviations stay: “ID”.
func Small(text string) string {
	_, n := utf8.DecodeRuneInString(text)
	if next, _ := utf8.DecodeRuneInString(text[n:]); unicode.IsUpper(next) {
		return text
	}
	return first(text, unicode.ToLower)
}

func first(text string, change func(rune) rune) string {
	r, n := utf8.DecodeRuneInString(text)
	if n == 0 {
		return text
	}
	return string(change(r)) + text[n:]
}

// Sentence makes a sentence of a text that has no full stop.
func Sentence(text string) string { return Capital(text) + "." }

// List joins words: “a, b and c”, “a, b or c”, by the word before the last.
func List(words []string, last string) string {
	if len(words) < 2 {
		return strings.Join(words, "")
	}
	return strings.Join(words[:len(words)-1], ", ") + " " + last + " " + words[len(words)-1]
}

// Count says how many there are: 1 press, 3 presses.
func Count(n int, one, many string) string {
	if n == 1 {
		return "1 " + one
	}
	return strconv.Itoa(n) + " " + many
}

// A puts the article before a noun: a cabin, an inspection.
func A(noun string) string {
	if noun != "" && strings.ContainsRune("aeiou", unicode.ToLower([]rune(noun)[0])) {
		return "an " + noun
	}
	return "a " + noun
}
