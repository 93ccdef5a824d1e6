package nav

import (
	"context"
	"fmt"
	"slices"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// writeEffect sends a value to a tag of the plant.
type writeEffect struct {
	project.EffectHead
	project.Changes
	alwaysOpen
	Tag   string `json:"tag"`   // expression: the path of a writable tag
	Value string `json:"value"` // expression
}

// Validate asks for both.
func (spec *writeEffect) Validate() error {
	if spec.Tag == "" || spec.Value == "" {
		return fmt.Errorf("it needs a tag and a value")
	}
	return nil
}

func (spec *writeEffect) Plan(b *planner, e *EffectPlan) {
	e.Exprs["tag"] = b.expression("tag", spec.Tag)
	e.Exprs["value"] = b.expression("value", spec.Value)
}

func (*writeEffect) Say(_ *sentenceWriter, e *EffectPlan) string {
	if e.Exprs["tag"] == nil || e.Exprs["value"] == nil || e.Exprs["tag"].Root.Op != cond.OpPath {
		return "write to a tag that is gone"
	}
	if v := e.Exprs["value"].Root; v.Op == cond.OpConst && v.Const.True() {
		return "send " + e.Exprs["tag"].Root.Path.Words()
	}
	return "write " + e.Exprs["value"].Root.Phrase() + " to " + e.Exprs["tag"].Root.Path.Words()
}

// Do checks the write and leaves it with the outcome: it is sent after the transaction was committed.
func (*writeEffect) Do(_ context.Context, r effectRun) (*Question, error) {
	target, value := r.plan.Exprs["tag"], r.plan.Exprs["value"]
	if target == nil || value == nil || target.Root.Op != cond.OpPath {
		return nil, refuse("broken", "What this writes to is gone.", "Tell the person who builds this application.")
	}
	ref, tag, ok := r.w.refAndTag(target.Root.Path)
	if !ok || !tag.Writable {
		return nil, refuse("broken", "What this writes to cannot be written.", "Tell the person who builds this application.")
	}
	v := value.Root.Eval(r.w)
	if !v.Known() || v.IsNull() {
		return nil, refuse("unknown", "The value to write is not available: "+v.Why()+".", "Try again in a moment.")
	}
	kind, _ := cond.KindOf(tag.Type)
	v, err := cond.Parse(cond.Type{Kind: kind}, v.Wire())
	if err != nil {
		return nil, refuse("bad-value", "“"+tag.Label+"” does not take this: "+err.Error()+".", "")
	}
	if f, number := v.Float64(); number {
		if tag.Min != nil && f < *tag.Min || tag.Max != nil && f > *tag.Max {
			return nil, refuse("bad-value", fmt.Sprintf("“%s” is out of its range.", tag.Label), "")
		}
	}
	r.out.Writes = append(r.out.Writes, TagWrite{Ref: ref, Tag: tag, Label: tag.Label, Value: v})
	return nil, nil
}

func (o *Opening) refOf(p *cond.Path) (TagRef, bool) {
	ref, _, ok := o.refAndTag(p)
	return ref, ok
}

// refAndTag finds the node that a path of equipment names for what is open.
func (o *Opening) refAndTag(p *cond.Path) (TagRef, *project.Tag, bool) {
	return o.world.refAndTag(p)
}

func (w *world) refAndTag(p *cond.Path) (TagRef, *project.Tag, bool) {
	row, segs := w.source(p)
	i := slices.Index(segs, project.EquipField)
	if row == nil || i < 0 {
		return TagRef{}, nil, false
	}
	ref, tag, _ := w.app.tagRef(row, segs[:i], segs[i+1:])
	return ref, tag, tag != nil
}
