package propose

import (
	"encoding/json"

	"ambergate/core/project"
)

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

// editing is the roles of a gate by what they may do with a table; in a document, the role that is proposed for that.
type editing struct {
	table string
	may   func(project.Grant) bool
}

// MarshalJSON writes the role.
func (editing) MarshalJSON() ([]byte, error) { return json.Marshal(body{editors: true}) }

// What editors may do.
func mayAdd(g project.Grant) bool    { return g.Add }
func mayEdit(g project.Grant) bool   { return g.Edit }
func mayKeep(g project.Grant) bool   { return g.Edit || g.Add }
func mayDelete(g project.Grant) bool { return g.Delete }

// forEditors leaves a gate to those who may do something with the records of a table.
func forEditors(t *Table, may func(project.Grant) bool, g body) body {
	g["roles"] = editing{t.ID, may}
	return g
}

// forThose puts the roles of a project in the stead of the proposed one: those that may do what the gate is about. One
// for all, or for nobody, is left to everybody: rights on records hold all the same.
func forThose(p *project.Project, b body) {
	if of, is := b["roles"].(editing); is {
		roles := body{}
		for id := range p.Roles {
			if of.may(p.GrantOf(map[string]bool{id: true}, of.table)) {
				roles[id] = true
			}
		}
		b["roles"] = roles
		if len(roles) == 0 || len(roles) == len(p.Roles) {
			delete(b, "roles")
		}
	}
	for _, part := range b {
		if inner, is := part.(body); is {
			forThose(p, inner)
		}
	}
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
