package propose

import (
	"maps"
	"slices"

	"ambergate/core/patch"
	"ambergate/core/project"
)

const gridColumns = 12

// roomFor finds where something of a size is put that begins in an empty cell, and moves down what would be covered by
// it, with all that stands below. What needs more columns than there are goes to a row of its own.
func roomFor(s *project.Screen, row, col, w, h, least int) (at project.Cell, move []patch.Op) {
	at = project.Cell{Row: max(row, 1), Col: min(max(col, 1), gridColumns), W: w, H: h}
	free := freeColumns(s, at)
	if free < least {
		at.Row, at.Col = under(s, at.Row), 1
		free = gridColumns
	}
	at.W = min(w, free)
	top := 0 // the highest of what would be covered
	for _, e := range s.Elements {
		if covers(at, e.Cell) && (top == 0 || e.Cell.Row < top) {
			top = e.Cell.Row
		}
	}
	if top == 0 {
		return at, nil
	}
	down := at.Row + h - top
	for _, id := range slices.Sorted(maps.Keys(s.Elements)) {
		if c := s.Elements[id].Cell; c.Row >= top {
			path := "/" + s.ID + "/elements/" + id + "/cell/row"
			move = append(move, patch.Op{Op: "test", Path: path, Value: encoded(c.Row)}, patch.Op{Op: "replace", Path: path, Value: encoded(c.Row + down)})
		}
	}
	return at, move
}

// freeColumns counts the columns from a cell on that nothing stands in in its row.
func freeColumns(s *project.Screen, at project.Cell) int {
	free := gridColumns + 1 - at.Col
	for _, e := range s.Elements {
		if c := e.Cell; c.Row <= at.Row && at.Row < c.Row+max(c.H, 1) && c.Col+c.W > at.Col {
			free = min(free, max(0, c.Col-at.Col))
		}
	}
	return free
}

// under is the first row below all that stands in a row.
func under(s *project.Screen, row int) int {
	out := row
	for again := true; again; { // what is below may reach further down
		again = false
		for _, e := range s.Elements {
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
