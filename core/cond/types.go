package cond

// Type is the type of a field, input, tag or expression.
type Type struct {
	Kind     Kind
	Table    string   // of a Record: the table; of an Object: its id
	Choices  []string // of a Text: what it may be, in the declared order; that order is used by < and >
	Nullable bool
	Unit     string // for words only
}

// Field is one name under an object: a column, an input, a part of an equipment, a tag.
type Field struct {
	ID    string // as stored texts name it; never changes
	Alias string // as people write it; a legal identifier
	Label string // as phrases say it
	Type  Type
	Named string // of a named condition: its id in Schema.Named; what it says stands for the path
	Far   bool   // of a figure: counted over other records, so that the portable form cannot hold it
}

// Named is a condition with a name, shared by many. It belongs to a group: a table, or the user.
type Named struct {
	ID, Label string
	Group     string // whose fields it speaks of as "record"; "user" for one that speaks of the user alone
	Text      string // over ids or aliases
}

// Group is a set of fields that paths can go through: a table, the inputs of a screen.
type Group struct {
	ID     string
	Label  string
	Fields []Field
	byName map[string]int
}

// Find looks a field up by its id or its alias.
func (g *Group) Find(name string) (*Field, bool) {
	if g.byName == nil {
		g.index()
	}
	i, ok := g.byName[name]
	if !ok {
		return nil, false
	}
	return &g.Fields[i], true
}

func (g *Group) index() {
	g.byName = make(map[string]int, 2*len(g.Fields))
	for i, f := range g.Fields {
		if _, taken := g.byName[f.Alias]; !taken {
			g.byName[f.Alias] = i
		}
	}
	for i, f := range g.Fields {
		g.byName[f.ID] = i
	}
}

// Schema holds every group that expressions of a project may go through, and its roles.
type Schema struct {
	Groups map[string]*Group
	Roles  []Role // what user.is("…") may ask for
	Named  map[string]Named
}

// Role is a role by its id and its name.
type Role struct{ ID, Name string }

// NewSchema indexes the groups, so that the schema may be used by many at once.
func NewSchema(groups []*Group, roles []Role) *Schema {
	s := &Schema{Groups: make(map[string]*Group, len(groups)), Roles: roles}
	for _, g := range groups {
		g.index()
		s.Groups[g.ID] = g
	}
	return s
}

// Scope says which names an expression may start with, and the group behind each.
// A root with an empty group is a plain value (now).
type Scope map[string]string

// Key is a text that is equal for equal scopes.
func (s Scope) Key() string {
	key := ""
	for _, root := range [...]string{"record", "typed", "row", "saved", "point", "inputs", "user", "tag", "vars"} {
		if g, ok := s[root]; ok {
			key += root + "=" + g + ";"
		}
	}
	return key
}
