package cond

import "strings"

// Op is what a node of the tree does with its parts.
type Op uint8

// The operations of the tree. Opaque is run by the library.
const (
	OpConst Op = iota
	OpPath
	OpAnd
	OpOr
	OpNot
	OpEq
	OpNe
	OpLt
	OpLe
	OpGt
	OpGe
	OpIn
	OpAdd
	OpSub
	OpMul
	OpDiv
	OpNeg
	OpIf
	OpList
	OpCall
	OpRole
	OpNamed // a shared condition: its only part is what it says
	OpOpaque
)

// Path is a name in an expression, over ids: record.f_cabin.f_lift.
type Path struct {
	Root string
	Segs []string // ids of fields
	Key  string   // Segs joined by dots, "" for the root itself
	Type Type
	Hops []*Field // the fields along the way, for words
}

// Node is one part of a compiled expression. It is never changed after it was compiled.
type Node struct {
	Op      Op
	Args    []*Node
	Const   Value
	Path    *Path
	Fn      string   // of OpCall; of OpRole the role's id; of OpNamed the condition's id
	Choices []string // of a comparison: the declared order of the choices compared
	Type    Type
	At      int     // where its text begins, in characters
	Length  int     // characters; 0 where it is not known
	Source  string  // the part of the text it came from, over ids; empty for parts that have no text of their own
	Program Program // of OpOpaque
	Written []*Path // of OpOpaque: what its program calls each of Args
}

// Program runs a part that the tree does not know how to.
type Program interface {
	// Run gives what the part comes to, for names and their values.
	Run(input map[string]any) (any, error)
}

// NamedUsed gives the ids of the named conditions the expression uses, those within them too.
func (n *Node) NamedUsed() []string {
	var out []string
	n.Walk(func(part *Node) {
		if part.Op == OpNamed {
			out = append(out, part.Fn)
		}
	})
	return out
}

// Paths gives every path the expression reads, each once, in order of appearance.
func (n *Node) Paths() []*Path {
	var out []*Path
	seen := map[string]bool{}
	n.Walk(func(part *Node) {
		if part.Op != OpPath {
			return
		}
		if id := part.Path.Root + "." + part.Path.Key; !seen[id] {
			seen[id] = true
			out = append(out, part.Path)
		}
	})
	return out
}

// Walk visits a part and all parts of it, from the outside in.
func (n *Node) Walk(visit func(*Node)) {
	visit(n)
	for _, a := range n.Args {
		a.Walk(visit)
	}
}

// RolesAsked gives the ids of the roles the expression asks for by user.is.
func (n *Node) RolesAsked() []string {
	var out []string
	n.Walk(func(part *Node) {
		if part.Op == OpRole {
			out = append(out, part.Fn)
		}
	})
	return out
}

// First gives the id of the field that the path begins with, or of what its root groups; "" for a bare root.
func (p *Path) First() string {
	if len(p.Segs) == 0 {
		return ""
	}
	return p.Segs[0]
}

// Rest gives what follows after the first.
func (p *Path) Rest() []string {
	if len(p.Segs) == 0 {
		return nil
	}
	return p.Segs[1:]
}

// Last gives the field a path ends at; nil for a bare root.
func (p *Path) Last() *Field {
	if len(p.Hops) == 0 {
		return nil
	}
	return p.Hops[len(p.Hops)-1]
}

// NewPath gives the path that leads from a root over some fields to a value of a type.
func NewPath(root string, hops []*Field, t Type) *Path {
	segs := make([]string, len(hops))
	for i, h := range hops {
		segs[i] = h.ID
	}
	return &Path{Root: root, Segs: segs, Key: strings.Join(segs, "."), Type: t, Hops: hops}
}

// Every gives the condition that asks for all of the parts; nil parts are left out, nil when none is left.
func Every(parts ...*Node) *Node { return junctionOf(OpAnd, parts) }

// Any gives the condition that asks for one of the parts.
func Any(parts ...*Node) *Node { return junctionOf(OpOr, parts) }

func junctionOf(op Op, parts []*Node) *Node {
	out := &Node{Op: op, Type: Type{Kind: YesNo}}
	for _, p := range parts {
		if p != nil {
			out.Args = append(out.Args, p)
		}
	}
	switch len(out.Args) {
	case 0:
		return nil
	case 1:
		return out.Args[0]
	}
	return out
}

// AsksRole gives the condition that the user has a role.
func AsksRole(r Role) *Node {
	return &Node{Op: OpRole, Fn: r.ID, Source: r.Name, Type: Type{Kind: YesNo}}
}
