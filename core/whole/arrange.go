package whole

import (
	"cmp"
	"slices"
	"strconv"
)

func itoa(n int) string { return strconv.Itoa(n) }

// node is something that takes room in a column: a plate, or the place where a wire passes.
type node struct {
	plate  int // among the plates; -1 for a wire that passes
	source string
	column int
	band   string
	weight float64 // where its wires come from
	y      float64
}

func (n *node) height() float64 {
	if n.plate < 0 {
		return lane
	}
	return plateH + rowGap
}

// arrange puts the plates where they stand, and leads the wires between them. All wires of a plate that pass a column
// go through one lane there, so that there are never more lanes than plates.
func (l *layout) arrange() {
	nodes := map[string]*node{} // by id, and by id and column for lanes
	inBand := map[string][][]*node{}
	var bands []string
	put := func(key string, n *node) {
		if nodes[key] != nil {
			return
		}
		nodes[key] = n
		if inBand[n.band] == nil {
			inBand[n.band] = make([][]*node, l.columns)
			bands = append(bands, n.band)
		}
		inBand[n.band][n.column] = append(inBand[n.band][n.column], n)
	}
	for i, p := range l.out.Plates {
		put(p.ID, &node{plate: i, source: p.ID, column: l.column[p.ID], band: p.Area})
	}
	for _, w := range l.out.Wires {
		for c := l.column[w.From] + 1; c < l.column[w.To]; c++ {
			put(w.From+"@"+itoa(c), &node{plate: -1, source: w.From, column: c, band: l.out.Plates[l.byID[w.From]].Area})
		}
	}
	slices.SortStableFunc(bands, func(a, b string) int {
		return cmp.Or(-cmp.Compare(b2i(a == railBand), b2i(b == railBand)), cmp.Compare(a, b))
	})
	sources := l.sources(nodes)
	l.stack(bands, inBand)
	for range sweepsOf {
		for _, band := range bands {
			for _, column := range inBand[band] {
				for _, n := range column {
					n.weight = weigh(sources[n], n.y)
				}
				slices.SortStableFunc(column, func(a, b *node) int { return cmp.Compare(a.weight, b.weight) })
			}
		}
		l.stack(bands, inBand)
	}
	for i := range l.out.Plates {
		p := &l.out.Plates[i]
		p.X, p.Y = l.out.Columns[l.column[p.ID]].X, nodes[p.ID].y
	}
	for i := range l.out.Wires {
		l.route(&l.out.Wires[i], nodes)
	}
}

func b2i(b bool) int {
	if b {
		return 1
	}
	return 0
}

// sources gives for each node those in the column before it that wires come from.
func (l *layout) sources(nodes map[string]*node) map[*node][]*node {
	out := map[*node][]*node{}
	add := func(to, from *node) {
		if !slices.Contains(out[to], from) {
			out[to] = append(out[to], from)
		}
	}
	for _, w := range l.out.Wires {
		before := nodes[w.From]
		for c := l.column[w.From] + 1; c < l.column[w.To]; c++ {
			through := nodes[w.From+"@"+itoa(c)]
			add(through, before)
			before = through
		}
		if l.column[w.From] < l.column[w.To] {
			add(nodes[w.To], before)
		}
	}
	return out
}

func weigh(from []*node, own float64) float64 {
	if len(from) == 0 {
		return own
	}
	sum := 0.0
	for _, n := range from {
		sum += n.y
	}
	return sum / float64(len(from))
}

// stack gives each node its height, band by band, from the top.
func (l *layout) stack(bands []string, inBand map[string][][]*node) {
	y := headH
	l.out.Areas = nil
	for _, band := range bands {
		y += bandGap
		tallest := 0.0
		screens := 0
		for _, column := range inBand[band] {
			at := y
			for _, n := range column {
				n.y = at
				at += n.height()
				if n.plate >= 0 {
					screens++
				}
			}
			tallest = max(tallest, at-y)
		}
		l.out.Areas = append(l.out.Areas, Band{Name: band, Y: y, H: tallest, Screens: screens})
		y += tallest
	}
	l.out.Width, l.out.Height = margin*2+float64(l.columns)*(plateW+gutter)-gutter, y+margin
}

// route leads a wire from the point of its plate through its lanes to the side of the other. One that leads back is drawn
// only when it is asked for, by who draws.
func (l *layout) route(w *Wire, nodes map[string]*node) {
	if l.column[w.From] >= l.column[w.To] {
		return
	}
	x := func(column int) float64 { return l.out.Columns[column].X }
	w.Points = append(w.Points, [2]float64{x(l.column[w.From]) + plateW, nodes[w.From].y + plateH/2})
	for c := l.column[w.From] + 1; c < l.column[w.To]; c++ {
		y := nodes[w.From+"@"+itoa(c)].y + lane/2 - rowGap/2
		w.Points = append(w.Points, [2]float64{x(c), y}, [2]float64{x(c) + plateW, y})
	}
	w.Points = append(w.Points, [2]float64{x(l.column[w.To]), nodes[w.To].y + plateH/2})
}
