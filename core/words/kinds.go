package words

import (
	"ambergate/core/plan"
	"ambergate/core/project"
)

// What sentences ask of each kind.

// ElementKind is what sentences ask of a kind of element.
type ElementKind interface {
	// Called names an element without a record at hand: “a row of defects”.
	Called(s plan.Scene, e *plan.Element) string
}

// EffectKind is what sentences ask of a kind of effect.
type EffectKind interface {
	// Say says it: “save”.
	Say(w *Writer, e *plan.Effect) string
}

// MoveKind is what sentences ask of a kind of move.
type MoveKind interface {
	// Say says it: “open Defect on this defect”.
	Say(w *Writer, c *plan.Case)
	// Plate fills in how its destination looks.
	Plate(w *Writer, plate *Plate, c *plan.Case)
}

func saidMove(c *plan.Case) MoveKind { return plan.KindOf[MoveKind](c.Move.Spec) }

// RuleKind is what sentences ask of a rule.
type RuleKind interface {
	// Say says it: “this cabin”, “its lift”; in is what is to get the value, nil where that is not known.
	Say(w *Writer, in *project.Input) string
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
