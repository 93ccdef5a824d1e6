package use

import (
	"errors"
	"testing"

	"ambergate/core/ask"
	"ambergate/core/press"
)

func TestPendingCommandsAreRefusedUntilTheyEnd(t *testing.T) {
	p := newPending()
	ref := ask.TagRef{Source: "s", Node: "n"}
	writes := []press.TagWrite{{Ref: ref}}
	if err := p.free(writes); err != nil {
		t.Error(err)
	}
	p.set(ref, true)
	var refusal *ask.Refusal
	if err := p.free(writes); !errors.As(err, &refusal) || refusal.Code != "pending" {
		t.Errorf("%v", err)
	}
	if err := p.free([]press.TagWrite{{Ref: ask.TagRef{Source: "s", Node: "other"}}}); err != nil {
		t.Errorf("another tag: %v", err)
	}
	p.set(ref, false)
	if err := p.free(writes); err != nil {
		t.Error(err)
	}
}
