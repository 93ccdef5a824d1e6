package press

import (
	"context"
	"crypto/sha256"
	"encoding/hex"
	"encoding/json"

	"ambergate/core/ask"
	"ambergate/core/plan"
	"ambergate/core/use"
)

// answered says whether a question was put to the user as it is now.
func (p Press) answered(q *Question) bool { return p.Answered == nil || p.Answered[q.Digest()] }

// Question is put to the user; nothing has been done yet.
type Question struct {
	Kind    string          `json:"kind"` // confirm, unsaved, conflict, delete, pick
	Words   string          `json:"words"`
	Fields  []ConflictField `json:"fields,omitempty"`
	Hanging []ask.Hanging   `json:"hanging,omitempty"` // of delete: what refers to the record
	Pick    *use.Pick       `json:"pick,omitempty"`    // of pick: which record
	Token   string          `json:"token,omitempty"`   // to be sent back with the answer
	about   string          // the place, the element and the version of the record
}

// Digest tells a question from any other: another record, other words, another state of what it is about.
func (q *Question) Digest() string {
	text, err := json.Marshal(q)
	if err != nil {
		panic("a question does not encode: " + err.Error()) // it is texts and numbers
	}
	sum := sha256.Sum256(append(text, q.about...))
	return hex.EncodeToString(sum[:16])
}

// ConflictField is a field that was changed here and, meanwhile, by somebody else.
type ConflictField struct {
	Field  string `json:"field"`
	Label  string `json:"label"`
	Mine   string `json:"mine"`
	Theirs string `json:"theirs"`
}

// question gives what must be asked before anything is done; nil when nothing is.
func question(ctx context.Context, o *use.Opening, g *plan.Gate, c *plan.Case, p Press, at use.Aim, src ask.Changer) (*Question, error) {
	about := o.At.Address(o.App.Project) + "|" + p.Element + "|"
	if o.World.Record != nil {
		about += o.World.Record.Version
	}
	leaves := c.Move != nil && c.Move.As != "dialog" && c.Move.As != "drawer" && c.Move.As != "tab" && !(plan.IsStep(c.Move) && plan.StepOf(c.Move) == "")
	if c.Move != nil {
		if staying, is := c.Move.Spec.(use.StayingMove); is && staying.Stays() {
			leaves = false
		}
	}
	unsaved := &Question{Kind: "unsaved", Words: "What you typed here is not saved yet.", about: about}
	if len(p.Values) > 0 && leaves && !plan.Saves(c) && g.Unsaved == "" && (p.Unsaved == "" || !p.answered(unsaved)) {
		return unsaved, nil
	}
	if p.Confirmed && p.Answered == nil {
		return nil, nil
	}
	words := ""
	if g.Question != nil {
		w := *o.World
		w.Row = at.Row
		words = g.Question.Say(&w, w.Say)
	}
	var q *Question
	if row := o.Deletes(c); row != nil {
		var err error
		if q, err = askDelete(ctx, o, row, words, src); err != nil {
			return nil, err
		}
	} else if words != "" {
		q = &Question{Kind: "confirm", Words: words}
	}
	if q == nil {
		return nil, nil
	}
	if q.about = about; p.Confirmed && p.answered(q) {
		return nil, nil
	}
	return q, nil
}
