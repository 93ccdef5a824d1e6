package compile_test

import (
	"fmt"
	"math/rand/v2"
	"slices"

	"ambergate/core/cond"
)

// maker writes well-typed conditions over the test schema, and worlds for them, from what the
// fuzzer gives: each byte is one decision; after the last one a generator goes on.
type maker struct {
	data []byte
	rest *rand.Rand
}

func makerOf(data []byte) *maker {
	seed := uint64(len(data))
	for _, b := range data {
		seed = seed*31 + uint64(b)
	}
	return &maker{data: data, rest: rand.New(rand.NewPCG(seed, 1))}
}

func seeded(seed uint64) *maker { return &maker{rest: rand.New(rand.NewPCG(seed, 7))} }

// n gives a number from 0 to k-1.
func (m *maker) n(k int) int {
	if len(m.data) == 0 {
		return m.rest.IntN(k)
	}
	b := m.data[0]
	m.data = m.data[1:]
	return int(b) % k
}

func (m *maker) pick(s ...string) string { return s[m.n(len(s))] }

func (m *maker) condition(depth int) string {
	if depth == 0 {
		return m.comparison()
	}
	switch m.n(7) {
	case 0, 1:
		return "(" + m.condition(depth-1) + " && " + m.condition(depth-1) + ")"
	case 2, 3:
		return "(" + m.condition(depth-1) + " || " + m.condition(depth-1) + ")"
	case 4:
		return "!(" + m.condition(depth-1) + ")"
	case 5:
		return "(" + m.condition(depth-1) + " ? " + m.condition(depth-1) + " : " + m.condition(depth-1) + ")"
	}
	return m.comparison()
}

func (m *maker) comparison() string {
	order := m.pick("==", "!=", "<", "<=", ">", ">=")
	switch m.n(10) {
	case 0:
		return "record.state " + m.pick("==", "!=") + " " + m.pick(`"open"`, `"closed"`, `"waiting"`)
	case 1:
		return fmt.Sprintf("record.count %s %d", order, m.n(5))
	case 2:
		return fmt.Sprintf("record.hours %s %d.5", order, m.n(4))
	case 3:
		return fmt.Sprintf("record.count * %d + 1 %s %d", m.n(3), order, m.n(6))
	case 4:
		return `record.code in ["D-1", "D-2"]`
	case 5:
		return `user.is("` + m.pick("Technician", "Shift lead") + `")`
	case 6:
		return "record.code." + m.pick("startsWith", "contains", "endsWith") + `("` + m.pick("D", "1", "x") + `")`
	case 7:
		return fmt.Sprintf("record.count in [%d, %d]", m.n(5), m.n(5))
	case 8:
		return fmt.Sprintf("record.code %s %q", order, m.pick("D-1", "D-2", "x"))
	}
	return "record.done"
}

// portable writes a condition that a database can decide, empty values among what it asks for.
func (m *maker) portable(depth int) string {
	if depth > 0 {
		switch m.n(6) {
		case 0, 1:
			return "(" + m.portable(depth-1) + " && " + m.portable(depth-1) + ")"
		case 2, 3:
			return "(" + m.portable(depth-1) + " || " + m.portable(depth-1) + ")"
		case 4:
			return "!(" + m.portable(depth-1) + ")"
		}
	}
	order := m.pick("==", "!=", "<", "<=", ">", ">=")
	switch m.n(9) {
	case 0:
		return "record.state " + order + " " + m.pick(`"open"`, `"closed"`, `"waiting"`)
	case 1:
		return fmt.Sprintf("record.count %s %d", order, m.n(5))
	case 2:
		return fmt.Sprintf("record.hours %s %d.5", order, m.n(4))
	case 3:
		return m.pick("record.state", "record.hours", "record.done", "record.note") + m.pick(" == null", " != null")
	case 4:
		return `record.code in ["D-1", "x"]`
	case 5:
		return `user.is("` + m.pick("Technician", "Shift lead") + `")`
	case 6:
		return "record.code " + order + " " + m.pick("record.note", `"D-1"`, `"D-2"`)
	case 7:
		return "record.note " + order + " " + m.pick("record.code", `"D-1"`, `"E"`)
	}
	return "record.done"
}

// known is a world in which everything has a value.
func (m *maker) known() world {
	return world{
		values: map[string]cond.Value{
			"record.f_state": cond.String(m.pick("open", "closed", "waiting")), "record.f_count": cond.Int(int64(m.n(5))), "record.f_code": cond.String(m.pick("D-1", "D-2", "x")),
			"record.f_hours": cond.Float(float64(m.n(8)) / 2), "record.f_done": cond.Bool(m.n(2) == 0), "record.f_sev": cond.String("low"),
		},
		roles: map[string]bool{"r_tech": m.n(2) == 0, "r_lead": m.n(2) == 0},
	}
}

// partly takes some of the values away.
func (m *maker) partly(w world) world {
	out := world{values: map[string]cond.Value{}, roles: w.roles}
	for _, k := range []string{"record.f_state", "record.f_count", "record.f_code", "record.f_hours", "record.f_done", "record.f_sev"} {
		out.values[k] = w.values[k]
		if m.n(4) == 0 {
			out.values[k] = cond.UnknownBecause("taken away")
		}
	}
	return out
}

// everyWorld calls visit with every combination of the values that the maker's conditions tell
// apart, empty ones among them, of the paths that trees read.
func everyWorld(visit func(world), trees ...*cond.Node) {
	values := map[string][]cond.Value{
		"record.f_state": {cond.NullValue, cond.String("open"), cond.String("waiting"), cond.String("closed")},
		"record.f_count": nil,
		"record.f_code":  {cond.String("D-1"), cond.String("D-2"), cond.String("x"), cond.String("A"), cond.String("D-12"), cond.String("z")},
		"record.f_hours": {cond.NullValue},
		"record.f_done":  {cond.NullValue, cond.Bool(false), cond.Bool(true)},
	}
	for n := range 8 {
		values["record.f_count"] = append(values["record.f_count"], cond.Int(int64(n)-1))
	}
	for n := range 10 {
		values["record.f_hours"] = append(values["record.f_hours"], mustValue(cond.Decimal, fmt.Sprintf("%d.%d", n/2, n%2*5)))
	}
	var read []string
	for _, tree := range trees {
		for _, p := range tree.Paths() {
			if id := p.Root + "." + p.Key; !slices.Contains(read, id) {
				read = append(read, id)
			}
		}
	}
	w := world{values: map[string]cond.Value{}, roles: map[string]bool{}}
	var fill func(i int)
	fill = func(i int) {
		if i == len(read) {
			for roles := range 4 {
				w.roles["r_tech"], w.roles["r_lead"] = roles&1 != 0, roles&2 != 0
				visit(w)
			}
			return
		}
		for _, v := range values[read[i]] {
			w.values[read[i]] = v
			fill(i + 1)
		}
	}
	fill(0)
}

func mustValue(k cond.Kind, wire string) cond.Value {
	v, err := cond.Parse(cond.Type{Kind: k}, wire)
	if err != nil {
		panic(err)
	}
	return v
}
