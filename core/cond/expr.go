package cond

// Expr is a compiled expression: its tree, and its text over ids and over aliases.
type Expr struct {
	Root   *Node
	Stored string // over ids: what the document keeps
	Shown  string // over aliases: what people read and write
}

// Problem is what is wrong with an expression's text, and where.
type Problem struct {
	Message  string `json:"message"`
	At       int    `json:"at"`     // first character, from 0
	Length   int    `json:"length"` // characters; at least 1
	Proposal string `json:"proposal,omitempty"`
}

// Error tells the first problem as users read it.
func (p Problem) Error() string { return p.Message }
