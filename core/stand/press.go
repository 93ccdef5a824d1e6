package stand

import (
	"context"
	"strings"
	"testing"

	"ambergate/core/press"
	"ambergate/core/use"
	"ambergate/core/words"
)

// SentenceText joins a sentence's chunks.
func SentenceText(chunks []words.Chunk) string {
	var b strings.Builder
	for _, c := range chunks {
		b.WriteString(c.Text)
	}
	return b.String()
}

// Press does what a press comes to.
func Press(t testing.TB, o *use.Opening, s *Stand, p press.Press) (press.Outcome, error) {
	t.Helper()
	return press.Follow(context.Background(), o, p, s.Data)
}
