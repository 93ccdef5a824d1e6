package records

import (
	"fmt"
	"slices"
	"strings"

	"github.com/jackc/pgx/v5"

	"ambergate/core/ask"
	"ambergate/core/project"
)

// statement builds one select: the table, the joins that its paths need, and parameters.
type statement struct {
	project *project.Project
	table   *project.Table
	rights  ask.RowRules
	joins   map[string]join // relation path → how it is joined
	from    []string
	args    []any
	aliases int
}

// join is a parent that paths go through.
type join struct {
	alias string
	key   string // SQL of its key
	link  string // SQL of what refers to it
	ruled bool   // a row rule may hide it
}

// newStatement begins a select from a table, for who has these rights.
func newStatement(p *project.Project, t *project.Table, rights ask.RowRules) *statement {
	s := &statement{project: p, table: t, rights: rights, joins: map[string]join{"": {alias: "t0"}}, aliases: 1}
	s.from = []string{relation(p, t) + " t0"}
	return s
}

func relation(p *project.Project, t *project.Table) string {
	schema := "public"
	if src := p.Sources[t.Source]; src != nil && src.Schema != "" {
		schema = src.Schema
	}
	return quoted(schema) + "." + quoted(t.Relation)
}

// quoted gives a name as SQL takes it. Each statement has dozens; nearly all stand as they are.
func quoted(name string) string {
	if strings.ContainsAny(name, "\"\x00") {
		return pgx.Identifier{name}.Sanitize()
	}
	return `"` + name + `"`
}

// column gives the SQL of a dotted path of field ids, adding the joins along the way. What refers
// to a parent that a row rule hides is empty.
func (s *statement) column(path string) (string, *project.Column, error) {
	prefix, name := "", path
	if i := strings.LastIndexByte(path, '.'); i >= 0 {
		prefix, name = path[:i], path[i+1:]
	}
	at, table, err := s.join(prefix)
	if err != nil {
		return "", nil, err
	}
	f, _ := s.project.FieldAt(table.ID, name)
	switch {
	case f == nil:
		return "", nil, fmt.Errorf("table %s has no field %s", table.ID, name)
	case f.Tally != nil:
		sql, err := s.tally(at.alias, table, f.Tally)
		return sql, f, err
	case f.References != "" && s.rights.Visible(f.References) != nil:
		parent, _, err := s.join(path)
		return parent.key, f, err
	}
	sql := at.alias + "." + quoted(f.Column)
	if f.Type == ask.PictureType {
		sql = "md5(" + sql + ")" // its bytes are fetched by themselves, where it is shown
	}
	return sql, f, nil
}

// raw gives the SQL of a relation as it is stored, be the parent hidden or not.
func (s *statement) raw(path string) (string, error) {
	at, err := s.parent(path)
	return at.link, err
}

func (s *statement) parent(path string) (join, error) {
	at, _, err := s.join(path)
	return at, err
}

// join gives the table at a relation path, joined once; rows that a row rule hides are left out.
func (s *statement) join(path string) (join, *project.Table, error) {
	if path == "" {
		return s.joins[""], s.table, nil
	}
	f, from := s.project.FieldAt(s.table.ID, path)
	if f == nil || s.project.Tables[f.References] == nil {
		return join{}, nil, fmt.Errorf("table %s has no relation %s", s.table.ID, path)
	}
	parent := s.project.Tables[f.References]
	if at, ok := s.joins[path]; ok {
		return at, parent, nil
	}
	prefix := ""
	if i := strings.LastIndexByte(path, '.'); i >= 0 {
		prefix = path[:i]
	}
	child, _, err := s.join(prefix)
	if err != nil {
		return join{}, nil, err
	}
	at := join{alias: s.alias(), link: child.alias + "." + quoted(from.Fields[f.ID].Column)}
	if at.key, err = keyOf(at.alias, parent); err != nil {
		return join{}, nil, err
	}
	source, condition := relation(s.project, parent)+" "+at.alias, at.key+" = "+at.link
	if rule := s.rights.Visible(parent.ID); rule != nil {
		at.ruled = true
		r := ruleWriter{statement: s, table: parent, alias: at.alias, joined: map[string]string{}}
		sql, err := r.write(rule)
		if err != nil {
			return join{}, nil, err
		}
		source, condition = r.around(source), condition+" and "+sql
	}
	s.joins[path] = at
	s.from = append(s.from, fmt.Sprintf("left join %s on %s", source, condition))
	return at, parent, nil
}

func (s *statement) alias() string {
	s.aliases++
	return fmt.Sprintf("t%d", s.aliases-1)
}

// keyOf gives the SQL of the key of a table that others refer to.
func keyOf(alias string, t *project.Table) (string, error) {
	if len(t.Key) != 1 || t.Fields[t.Key[0]] == nil {
		return "", &ask.Refusal{Code: "broken", What: "A record of " + t.Label + " cannot be named by one field: its key has several, or none.", Then: "Tell the person who builds this application."}
	}
	return alias + "." + quoted(t.Fields[t.Key[0]].Column), nil
}

// hiddenParents gives, for each joined parent that a rule may hide, its path and the SQL that says whether it does.
func (s *statement) hiddenParents() (paths, sql []string) {
	for path, at := range s.joins {
		if at.ruled {
			paths = append(paths, path)
		}
	}
	slices.Sort(paths)
	for _, path := range paths {
		sql = append(sql, "("+s.joins[path].link+" is not null and "+s.joins[path].key+" is null)")
	}
	return paths, sql
}

// arg adds a parameter and gives its place.
func (s *statement) arg(v any) string {
	s.args = append(s.args, v)
	return fmt.Sprintf("$%d", len(s.args))
}

// keyColumns gives the SQL of each part of the key.
func (s *statement) keyColumns() []string {
	out := make([]string, len(s.table.Key))
	for i, id := range s.table.Key {
		out[i] = "t0." + quoted(s.table.Fields[id].Column)
	}
	return out
}
