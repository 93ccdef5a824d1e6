package nav

import "ambergate/core/project"

// What sentences ask of each kind.

// SaidElement is what sentences ask of a kind of element.
type SaidElement interface {
	// Called names an element without a record at hand: “a row of defects”.
	Called(s scene, e *ElementPlan) string
}

// SaidEffect is what sentences ask of a kind of effect.
type SaidEffect interface {
	// Say says it: “save”.
	Say(w *sentenceWriter, e *EffectPlan) string
}

// SaidMove is what sentences ask of a kind of move.
type SaidMove interface {
	// Say says it: “open Defect on this defect”.
	Say(w *sentenceWriter, c *CasePlan)
	// Plate fills in how its destination looks.
	Plate(w *sentenceWriter, plate *Plate, c *CasePlan)
}

func saidMove(c *CasePlan) SaidMove { return kindOf[SaidMove](c.Move.Spec) }

// SaidRule is what sentences ask of a rule.
type SaidRule interface {
	// Say says it: “this cabin”, “its lift”; in is what is to get the value, nil where that is not known.
	Say(w *sentenceWriter, in *project.Input) string
}

// Plate is how a destination looks everywhere.
type Plate struct {
	Kind   string `json:"kind"`             // screen, back, forward, home, up, close, stay, none
	Target string `json:"target,omitempty"` // screen
	Title  string `json:"title"`
	Glyph  string `json:"glyph"` // kind of the target screen, or the kind of move
	Brings string `json:"brings,omitempty"`
	How    string `json:"how"` // mode and presentation
}
