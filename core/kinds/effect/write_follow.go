package effect

import (
	"math"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/use"
)

// What follows from what the plant reads back: the other of yes and no; so much more; so much less. What is held is yes
// as long as the button is.
const (
	turn = "turn"
	up   = "up"
	down = "down"
	hold = "hold"
)

// planHow refuses what a tag of its type cannot do.
func (spec *Write) planHow(b *plan.Planner, e *plan.Effect) {
	target := e.Exprs["tag"]
	if spec.How == "" || target == nil || target.Root.Op != cond.OpPath {
		return
	}
	kind := target.Root.Type.Kind
	tag := b.App.Project.TagAt(target.Root.Path)
	switch {
	case spec.How == choose:
		spec.planOptions(b, kind)
	case spec.How == hold && kind != cond.YesNo:
		b.Broken("tag", spec.Tag, cond.Problem{Message: "Only what is yes or no can be held.", Length: len(spec.Tag)})
	case spec.How == hold && (tag == nil || tag.Watchdog == nil):
		b.Broken("tag", spec.Tag, cond.Problem{Message: "Nothing in the plant would end this if the button were lost: its tag names no watchdog. It cannot be held.", Length: len(spec.Tag)})
	case spec.How == turn && kind != cond.YesNo:
		b.Broken("tag", spec.Tag, cond.Problem{Message: "Only what is yes or no can be turned the other way.", Length: len(spec.Tag)})
	case !spec.knows() && kind != cond.Number && kind != cond.Whole:
		b.Broken("tag", spec.Tag, cond.Problem{Message: "Only a number can be put up or down.", Length: len(spec.Tag)})
	}
}

// Shut greys what follows from a value while that is not known, or while it is being written.
func (spec *Write) Shut(o *use.Opening, e *plan.Effect, _ *ask.Row) (use.Verdict, bool) {
	target := e.Exprs["tag"]
	if spec.How == "" || target == nil || target.Root.Op != cond.OpPath {
		return use.Verdict{}, false
	}
	now := o.World.Reading(target.Root.Path)
	_, tag, ok := o.World.RefAndTag(target.Root.Path)
	greyed := func(reason string) (use.Verdict, bool) {
		return use.Verdict{State: use.StateGreyed, By: "case", Reason: reason}, true
	}
	switch {
	case !ok:
		return greyed("What this writes to is gone.")
	case !now.Value.Known():
		return greyed("“" + tag.Label + "” is not known: " + now.Value.Why() + ".")
	case now.Writing > 0:
		return greyed("A command to “" + tag.Label + "” is on its way.")
	}
	if spec.knows() {
		return use.Verdict{}, false
	}
	if next, why := spec.next(tag, now.Value, amount(e, o.World)); next.IsNull() && why != "" {
		return greyed(why)
	}
	return use.Verdict{}, false
}

// Turned gives what it turns the other way, as it is read back.
func (spec *Write) Turned(o *use.Opening, e *plan.Effect) (ask.Reading, bool) {
	if target := e.Exprs["tag"]; spec.knows() && spec.How != choose && target != nil && target.Root.Op == cond.OpPath {
		return o.World.Reading(target.Root.Path), true
	}
	return ask.Reading{}, false
}

// Lasts says whether it acts as long as its button is held.
func (spec *Write) Lasts() bool { return spec.How == hold }

// follow leaves what follows from what is read back with the outcome. Whoever pressed saw a value; if it is another one
// by now, what they wanted has happened already, or is not what they meant.
func (spec *Write) follow(r press.Run, ref ask.TagRef, tag *project.Tag) error {
	now := r.World.Reading(r.Effect.Exprs["tag"].Root.Path).Value
	if !now.Known() || now.IsNull() {
		return ask.Refuse("unknown", "“"+tag.Label+"” is not known: "+now.Why()+".", "Try again in a moment.")
	}
	if seen := r.Seen(); spec.How == turn && seen != "" && seen != use.OnOrOff(now) {
		return ask.Refuse("seen-otherwise", "“"+tag.Label+"” had changed before you pressed: it is "+use.OnOrOff(now)+" now.", "Nothing was sent. Look at it, and press again if you want it otherwise.")
	}
	if spec.How == hold {
		if tag.Watchdog == nil {
			return ask.Refuse("broken", "What this holds would not end by itself.", "Tell the person who builds this application.")
		}
		r.Out.Writes = append(r.Out.Writes, press.TagWrite{Ref: ref, Tag: tag, Label: tag.Label, Value: cond.Bool(true), Held: true, Beat: r.World.BeatOf(r.Effect.Exprs["tag"].Root.Path)})
		return nil
	}
	if spec.How == choose {
		return spec.chosen(r, ref, tag)
	}
	next, why := spec.next(tag, now, amount(r.Effect, r.World))
	if next.IsNull() {
		return ask.Refuse("bad-value", why, "Nothing was sent.")
	}
	r.Out.Writes = append(r.Out.Writes, press.TagWrite{Ref: ref, Tag: tag, Label: tag.Label, Value: next, From: now})
	return nil
}

func amount(e *plan.Effect, w *use.World) cond.Value {
	if x := e.Exprs["value"]; x != nil {
		return x.Root.Eval(w)
	}
	return cond.NullValue
}

// next gives what follows, or none and why: a number stops at the ends of its range.
func (spec *Write) next(tag *project.Tag, now, by cond.Value) (cond.Value, string) {
	if spec.How == turn {
		return cond.Bool(!now.True()), ""
	}
	n, known := by.Float64()
	at, number := now.Float64()
	if !known || !number {
		return cond.NullValue, "How far it goes is not known: " + by.Why() + "."
	}
	if spec.How == down {
		n = -n
	}
	to := at + n
	if tag.Min != nil {
		to = math.Max(to, *tag.Min)
	}
	if tag.Max != nil {
		to = math.Min(to, *tag.Max)
	}
	switch {
	case to == at && tag.Max != nil && at >= *tag.Max:
		return cond.NullValue, "“" + tag.Label + "” is at its most: it can be " + rangeOf(tag) + "."
	case to == at:
		return cond.NullValue, "“" + tag.Label + "” is at its least: it can be " + rangeOf(tag) + "."
	case tag.Type == "whole":
		return cond.Int(int64(math.Round(to))), ""
	}
	return cond.Float(math.Round(to*1e9) / 1e9), "" // not 4.800000000000001
}
