package propose

import (
	"maps"
	"slices"

	"ambergate/core/patch"
	"ambergate/core/project"
)

const gridColumns = 12

// roomFor finds where something of a size is put that begins in an empty cell, and moves down what would be covered by
// it, with all that stands below. What needs more columns than there are goes to a row of its own. Within a frame, which
// may be named by its id for the row below its last, it stays there, and the frame grows.
func roomFor(s *project.Screen, within string, row, col, w, h, least int) (at project.Cell, move []patch.Op) {
	at = project.Cell{Row: max(row, 1), Col: min(max(col, 1), gridColumns), W: w, H: h}
	frame := frameAt(s, within, at)
	from, to := 1, gridColumns+1
	if frame != nil {
		from, to = frame.Cell.Col, frame.Cell.Col+frame.Cell.W
		at.Row, at.Col = max(at.Row, frame.Cell.Row+1), min(max(at.Col, from), to-1)
	}
	free := freeColumns(s, frame, at, to)
	if free < least {
		at.Row, at.Col = under(s, frame, at.Row), from
		free = to - from
	}
	at.W = min(w, free)
	top := 0 // the highest of what would be covered
	for _, e := range s.Elements {
		if e != frame && covers(at, e.Cell) && (top == 0 || e.Cell.Row < top) {
			top = e.Cell.Row
		}
	}
	down := at.Row + h - top
	set := func(id, part string, was, is int) {
		path := "/" + s.ID + "/elements/" + id + "/cell/" + part
		move = append(move, patch.Op{Op: "test", Path: path, Value: encoded(was)}, patch.Op{Op: "replace", Path: path, Value: encoded(is)})
	}
	for _, id := range slices.Sorted(maps.Keys(s.Elements)) {
		e := s.Elements[id]
		c := e.Cell
		if top > 0 && c.Row >= top {
			set(id, "row", c.Row, c.Row+down)
		}
		if !project.Frames(e) || c.Row >= at.Row {
			continue
		}
		tall := max(c.H, 1)
		if top > 0 && c.Row < top && top < c.Row+tall { // what it holds goes down
			tall += down
		}
		if e == frame || frame != nil && c.Holds(frame.Cell) {
			tall = max(tall, at.Row+h-c.Row)
		}
		switch {
		case c.H == 0 && tall > 1:
			move = append(move, patch.Op{Op: "add", Path: "/" + s.ID + "/elements/" + id + "/cell/h", Value: encoded(tall)})
		case tall > c.H && c.H > 0:
			set(id, "h", c.H, tall)
		}
	}
	return at, move
}

// frameAt is the frame that a cell lies in, or the one that is named; nil for none.
func frameAt(s *project.Screen, within string, at project.Cell) (frame *project.Element) {
	if e := s.Elements[within]; e != nil && project.Frames(e) {
		return e
	}
	at.W = 1
	for _, id := range slices.Sorted(maps.Keys(s.Elements)) {
		if e := s.Elements[id]; project.Frames(e) && e.Cell.Holds(at) && (frame == nil || frame.Cell.Holds(e.Cell)) {
			frame = e
		}
	}
	return frame
}

// freeColumns counts the columns from a cell on that nothing stands in in its row, up to one.
func freeColumns(s *project.Screen, frame *project.Element, at project.Cell, to int) int {
	free := to - at.Col
	for _, e := range s.Elements {
		if c := e.Cell; e != frame && c.Row <= at.Row && at.Row < c.Row+max(c.H, 1) && c.Col+c.W > at.Col {
			free = min(free, max(0, c.Col-at.Col))
		}
	}
	return free
}

// under is the first row below all that stands in a row, within a frame.
func under(s *project.Screen, frame *project.Element, row int) int {
	out := row
	for again := true; again; { // what is below may reach further down
		again = false
		for _, e := range s.Elements {
			if e == frame || frame != nil && !frame.Cell.Holds(e.Cell) {
				continue
			}
			if c := e.Cell; c.Row <= row && row < c.Row+max(c.H, 1) && c.Row+max(c.H, 1) > out {
				out, again = c.Row+max(c.H, 1), true
			}
		}
	}
	return out
}

func covers(a, b project.Cell) bool {
	return a.Col < b.Col+b.W && b.Col < a.Col+a.W && a.Row < b.Row+max(b.H, 1) && b.Row < a.Row+max(a.H, 1)
}
