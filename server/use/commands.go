package use

import (
	"context"
	"errors"
	"slices"
	"time"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/press"
	"ambergate/fault"
	"ambergate/plant"
	"ambergate/server/answer"
	"ambergate/server/base"
	"ambergate/store"
)

// tagsFree refuses a press whose tags another is writing to.
func (v *Visit) tagsFree(ctx context.Context, writes []press.TagWrite) error {
	nodes := map[string][]string{}
	for _, w := range writes {
		plant := v.plantOf(w.Ref)
		nodes[plant] = append(nodes[plant], w.Ref.Node)
	}
	for plant, of := range nodes {
		err := v.server.Store.Pending(ctx, plant, of)
		if errors.Is(err, store.ErrPending) {
			return &ask.Refusal{Code: "pending", What: "A command is on its way already.", Then: "Wait for the plant’s answer."}
		}
		if err != nil {
			return err
		}
	}
	return nil
}

// plantOf gives the connection of a tag, by name: two applications may have the same plant.
func (v *Visit) plantOf(ref ask.TagRef) string {
	if src := v.App.Project.Sources[ref.Source]; src != nil {
		return src.Connection
	}
	return ref.Source
}

// send writes to the plant what a press decided: logged before, sent at most once, the outcome always told.
func (v *Visit) send(ctx context.Context, req api.PressRequest, at *store.Standing, writes []press.TagWrite, again bool) ([]api.CommandOutcome, error) {
	if len(writes) == 0 {
		return nil, nil
	}
	press := req.Press
	st := v.server.Store
	log := make([]store.Command, len(writes))
	for i, w := range writes {
		log[i] = store.Command{Press: press, Pos: i, Project: v.project, Plant: v.plantOf(w.Ref), Source: w.Ref.Source, Node: w.Ref.Node, Label: w.Label, Value: w.Value.Wire(), Old: v.tags().Read(w.Ref).Value.Wire(), Account: v.account.ID}
	}
	added, err := st.Intend(ctx, log, again)
	if err != nil {
		return nil, err
	}
	fault.At(fault.CommandIntended)
	if added {
		// The browser may go away while they are under way: what comes of them is logged, and the tags given back.
		ctx := context.WithoutCancel(ctx)
		for i, w := range writes {
			if err := v.sendOne(ctx, req, at, i, w); err != nil {
				return nil, err
			}
		}
		if err := st.GiveBack(ctx, press); err != nil {
			return nil, err
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

// sentBefore tells the no of a press that cannot be passed on, unless it was sent before. What has ended is only told, by
// any server; of what a server that is gone had under way it is asked again, until one tells what came of it.
func (v *Visit) sentBefore(ctx context.Context, press string, no error) error {
	var refused *ask.Refusal
	if !errors.As(no, &refused) || refused.Code != "no-leader" {
		return no
	}
	logged, err := v.server.Store.Commands(ctx, press)
	if err != nil {
		return err
	}
	switch {
	case len(logged) == 0, logged[0].Account != v.account.ID:
		return no
	case slices.ContainsFunc(logged, store.Command.UnderWay):
		return base.LeaderAway(no)
	}
	return nil
}

func (v *Visit) sendOne(ctx context.Context, req api.PressRequest, at *store.Standing, pos int, w press.TagWrite) error {
	var state, reason string
	st, press := v.server.Store, req.Press
	client := v.tags().Plant(w.Ref.Source)
	if client == nil {
		return st.EndCommand(ctx, press, pos, "refused", "the plant is not configured on this server")
	}
	client.Watch(ctx, []string{w.Ref.Node}, base.FirstValues) // so that the type of the node is known
	if !w.Held {                                              // its own button would go out under the finger
		client.Writing(w.Ref.Node, true)
		defer client.Writing(w.Ref.Node, false)
	}
	if why := changedSince(ctx, client, w); why != "" {
		return st.EndCommand(ctx, press, pos, "refused", why)
	}
	send, err := st.MarkSent(v.server.Fleet.Fenced(ctx), press, pos)
	if err != nil || !send {
		return err
	}
	fault.At(fault.CommandSent)
	if w.Held {
		state, reason, err := v.hold(ctx, at, req, w)
		if err != nil {
			return err
		}
		return st.EndCommand(ctx, press, pos, state, reason)
	}
	began := time.Now()
	err = client.Write(ctx, w.Ref.Node, w.Value)
	defer func() { v.server.Metrics.Command(v.plantOf(w.Ref), state, time.Since(began)) }()
	fault.At(fault.CommandWritten)
	var refused *plant.Refused
	state, reason = "unknown", ""
	switch {
	case err == nil:
		state = "done"
		_, _ = client.Fresh(ctx, w.Ref.Node) // who presses next sees what came of it; if not now, then with the next change
	case errors.Is(err, plant.ErrAway), errors.As(err, &refused):
		state, reason = "refused", err.Error()
	default:
		reason = err.Error()
	}
	defer fault.At(fault.CommandEnded)
	return st.EndCommand(ctx, press, pos, state, reason)
}

// changedSince asks the plant whether what a command follows from is still so, now that nobody else can write to it; it
// says why not, or "".
func changedSince(ctx context.Context, client *plant.Client, w press.TagWrite) string {
	if !w.From.Known() {
		return ""
	}
	now, err := client.Fresh(ctx, w.Ref.Node)
	switch {
	case err != nil:
		return plant.ErrAway.Error()
	case !now.Known():
		return now.Why() + "; nothing was sent"
	case now.Wire() != w.From.Wire():
		return "it had changed just before; nothing was sent"
	}
	return ""
}
