package element

import (
	"fmt"

	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// ClipView is a clip as it is played.
type ClipView struct {
	Digest string `json:"digest,omitempty"` // of its bytes; "" when it is gone
	Words  string `json:"words"`            // what it shows
	Starts bool   `json:"starts,omitempty"` // by itself
	Again  bool   `json:"again,omitempty"`  // from its beginning, again and again
	Silent bool   `json:"silent,omitempty"`
	Bare   bool   `json:"bare,omitempty"`  // nothing is offered to stop or move it by
	Ended  bool   `json:"ended,omitempty"` // its end is a way that is open now
}

// EndedTrigger names the trigger of a clip that was played to its end.
const EndedTrigger = "ended"

// Clip plays a clip of the project on a screen. Browsers let a clip begin by itself only if it is silent.
type Clip struct {
	project.ElementHead
	use.NothingToFetch
	Clip   string        `json:"clip"`
	Starts string        `json:"starts,omitempty" jsonschema:"enum=pressed,enum=itself"` // pressed (default), itself
	Again  bool          `json:"again,omitempty"`                                        // it never ends
	Silent bool          `json:"silent,omitempty"`                                       // without its sound
	Bare   bool          `json:"bare,omitempty"`                                         // without anything to stop or move it by
	Ended  *project.Gate `json:"ended,omitempty"`                                        // it was played to its end
}

// Validate asks for the clip, and for an end where one is waited for.
func (spec *Clip) Validate() error {
	if spec.Clip == "" {
		return fmt.Errorf("it needs the clip that it plays")
	}
	if spec.Again && spec.Ended != nil {
		return fmt.Errorf("a clip that begins again and again has no end that could lead anywhere")
	}
	if spec.Bare && spec.Starts != "itself" {
		return fmt.Errorf("a clip that does not start by itself needs something to start it by")
	}
	return project.OneOf("start of a clip", spec.Starts, "", "pressed", "itself")
}

// Gates gives the gate of its end.
func (spec *Clip) Gates() map[string]*project.Gate { return project.GatesOn(EndedTrigger, spec.Ended) }

// Called names it by its clip.
func (spec *Clip) Called(s plan.Scene, _ *plan.Element) string {
	if c := s.App.Project.Clips[spec.Clip]; c != nil {
		return c.Name
	}
	return "clip"
}

// Plan notes a clip that is gone.
func (spec *Clip) Plan(b *plan.Planner) {
	if b.App.Project.Clips[spec.Clip] == nil {
		b.Broken("clip", spec.Clip, cond.Problem{Message: "The clip it played is gone.", Length: 1})
	}
}

// NewView gives an empty view of it.
func (*Clip) NewView() any { return &ClipView{} }

// View draws it.
func (spec *Clip) View(o *use.Opening, e *plan.Element, into *use.ElementView) {
	v := &ClipView{Words: "the clip is gone", Starts: spec.Starts == "itself", Again: spec.Again, Silent: spec.Silent || spec.Starts == "itself", Bare: spec.Bare}
	into.View = v
	if c := o.App.Project.Clips[spec.Clip]; c != nil {
		v.Digest, v.Words = c.Digest, c.Shows()
	}
	if gate := e.Gates[EndedTrigger]; gate != nil {
		verdict := o.Judge(gate, use.Aim{})
		v.Ended, into.By, into.Reason = verdict.Open(), verdict.By, verdict.Reason
	}
}
