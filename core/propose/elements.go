package propose

// body is a part of a document as it is written: proposals know no kinds of elements, moves and effects.
type body = map[string]any

// The ids of the roles that are proposed.
const (
	everyone = "r_everyone"
	editors  = "r_editors"
)

func cell(row, col, w, h int) body {
	c := body{"row": row, "col": col, "w": w}
	if h > 0 {
		c["h"] = h
	}
	return c
}

// gate does something, then moves; either may be nil.
func gate(do, move body) body {
	one := body{"pos": 1}
	if do != nil {
		do["pos"] = 1
		one["do"] = body{"d_1": do}
	}
	if move != nil {
		one["move"] = move
	}
	return body{"cases": body{"c_1": one}}
}

// forEditors leaves a gate to those who change records.
func forEditors(g body) body {
	g["roles"] = body{editors: true}
	return g
}

func button(words string, at body, g body, modes ...string) body {
	b := body{"kind": "button", "words": words, "cell": at, "gate": g}
	if len(modes) > 0 {
		in := body{}
		for _, m := range modes {
			in[m] = true
		}
		b["modes"] = in
	}
	return b
}

// to moves to a screen, with one input bound; "" for none.
func to(screen, input string, bind body) body {
	move := body{"kind": "screen", "target": screen}
	if input != "" {
		move["bind"] = body{input: bind}
	}
	return move
}

// with adds a member to a part.
func with(b body, name string, value any) body {
	b[name] = value
	return b
}
