package reach

import (
	"slices"
	"sync"

	"ambergate/core/cond"
	"ambergate/core/cond/prove"
	"ambergate/core/project"
)

// proofs keeps what was proven, by the nodes that it was proven of.
type proofs struct {
	mu      sync.Mutex // drafts that follow each other share them
	pairs   map[[2]*cond.Node]*cond.Node
	nots    map[*cond.Node]*cond.Node
	can     map[*cond.Node]prove.Answer
	implies map[[2]*cond.Node]bool
	plant   map[*cond.Node]bool
}

func newProofs() *proofs {
	return &proofs{pairs: map[[2]*cond.Node]*cond.Node{}, nots: map[*cond.Node]*cond.Node{}, can: map[*cond.Node]prove.Answer{}, implies: map[[2]*cond.Node]bool{}, plant: map[*cond.Node]bool{}}
}

// most bounds what is kept of older edits.
const most = 400_000

// full says whether so much is kept that it is better begun anew.
func (p *proofs) full() bool {
	p.mu.Lock()
	defer p.mu.Unlock()
	return len(p.pairs)+len(p.can)+len(p.implies) > most
}

func (p *proofs) both(a, b *cond.Node) *cond.Node {
	switch {
	case a == nil:
		return b
	case b == nil || a == b:
		return a
	}
	key := [2]*cond.Node{a, b}
	n := p.pairs[key]
	if n == nil {
		n = cond.Every(a, b)
		p.pairs[key] = n
	}
	return n
}

func (p *proofs) not(a *cond.Node) *cond.Node {
	n := p.nots[a]
	if n == nil {
		n = &cond.Node{Op: cond.OpNot, Args: []*cond.Node{a}, Type: a.Type}
		p.nots[a] = n
	}
	return n
}

func (p *proofs) never(n *cond.Node) bool {
	if n == nil {
		return false
	}
	a, known := p.can[n]
	if !known {
		a = prove.CanHold(n)
		p.can[n] = a
	}
	return a == prove.No
}

// always says whether a condition holds wherever another does; nil for whatever.
func (p *proofs) always(where, n *cond.Node) bool {
	if n == nil || n == where {
		return true
	}
	key := [2]*cond.Node{where, n}
	yes, known := p.implies[key]
	if !known {
		if where == nil {
			yes = prove.CanFail(n) == prove.No
		} else {
			yes = prove.Implies(where, n) == prove.Yes
		}
		p.implies[key] = yes
	}
	return yes
}

// onPlant says whether a condition reads live values.
func (p *proofs) onPlant(n *cond.Node) bool {
	yes, known := p.plant[n]
	if !known {
		for _, path := range n.Paths() {
			yes = yes || path.Root == project.TagRoot || slices.Contains(path.Segs, project.EquipField)
		}
		p.plant[n] = yes
	}
	return yes
}
