package use

import (
	"context"
	"errors"
	"sync"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/press"
	"ambergate/fault"
	"ambergate/plant"
	"ambergate/server/answer"
	"ambergate/server/base"
	"ambergate/store"
)

// pending is the tags that a command is on its way to: another is refused meanwhile.
type pending struct {
	mu    sync.Mutex
	nodes map[ask.TagRef]bool
}

func newPending() *pending { return &pending{nodes: map[ask.TagRef]bool{}} }

func (p *pending) free(writes []press.TagWrite) error {
	p.mu.Lock()
	defer p.mu.Unlock()
	for _, w := range writes {
		if p.nodes[w.Ref] {
			return &ask.Refusal{Code: "pending", What: "A command is on its way already.", Then: "Wait for the plant’s answer."}
		}
	}
	return nil
}

func (p *pending) set(ref ask.TagRef, on bool) {
	p.mu.Lock()
	defer p.mu.Unlock()
	if on {
		p.nodes[ref] = true
	} else {
		delete(p.nodes, ref)
	}
}

// send writes to the plant what a press decided: logged before, sent at most once, the outcome always told.
func (v *Visit) send(ctx context.Context, press string, writes []press.TagWrite, again bool) ([]api.CommandOutcome, error) {
	if len(writes) == 0 {
		return nil, nil
	}
	st := v.server.Store
	log := make([]store.Command, len(writes))
	for i, w := range writes {
		log[i] = store.Command{Press: press, Pos: i, Source: w.Ref.Source, Node: w.Ref.Node, Label: w.Label, Value: w.Value.Wire(), Old: v.tags().Read(w.Ref).Value.Wire(), Account: v.account.ID}
	}
	added, err := st.Intend(ctx, log, again)
	if err != nil {
		return nil, err
	}
	fault.At(fault.CommandIntended)
	if added {
		for i, w := range writes {
			if err := v.sendOne(ctx, press, i, w); err != nil {
				return nil, err
			}
		}
	}
	ended, err := st.Commands(ctx, press)
	if err != nil {
		return nil, err
	}
	out := make([]api.CommandOutcome, len(ended))
	for i, c := range ended {
		out[i] = api.CommandOutcome{Label: c.Label, State: c.State, Reason: answer.OrNil(c.Reason)}
	}
	return out, nil
}

func (v *Visit) sendOne(ctx context.Context, press string, pos int, w press.TagWrite) error {
	st := v.server.Store
	v.server.pending.set(w.Ref, true)
	defer v.server.pending.set(w.Ref, false)
	client := v.tags().Plant(w.Ref.Source)
	if client == nil {
		return st.EndCommand(ctx, press, pos, "refused", "the plant is not configured on this server")
	}
	client.Watch(ctx, []string{w.Ref.Node}, base.FirstValues) // so that the type of the node is known
	send, err := st.MarkSent(ctx, press, pos)
	if err != nil || !send {
		return err
	}
	fault.At(fault.CommandSent)
	// The browser may go away while it is under way: the outcome is logged all the same.
	ctx = context.WithoutCancel(ctx)
	err = client.Write(ctx, w.Ref.Node, w.Value)
	fault.At(fault.CommandWritten)
	var refused *plant.Refused
	state, reason := "unknown", ""
	switch {
	case err == nil:
		state = "done"
	case errors.Is(err, plant.ErrAway), errors.As(err, &refused):
		state, reason = "refused", err.Error()
	default:
		reason = err.Error()
	}
	defer fault.At(fault.CommandEnded)
	return st.EndCommand(ctx, press, pos, state, reason)
}
