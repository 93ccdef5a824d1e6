package build

import (
	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/build"
	"ambergate/core/cond"
	"ambergate/core/cond/compile"
	"ambergate/core/plan"
	"ambergate/core/use"
	"ambergate/server/answer"
)

// spot is where a condition stands: on a screen, or over a table's records.
type spot struct {
	scope cond.Scope
	table string
	rule  bool // the database is to decide it
}

// spot finds the names that a condition may use. Uses over tables: rule (a row rule, or what a
// figure counts), shared (a named condition; without a table it speaks of the user) and callup (what the plant calls up).
func (b *Building) spot(screen, element, table, use *string) (spot, error) {
	app := b.Draft.App
	if use != nil && (*use == "rule" || *use == "shared" || *use == "callup") {
		if answer.Value(table) != "" && app.Project.Tables[*table] == nil {
			return spot{}, &ask.Refusal{Code: "no-screen", What: "This table is not in the application any more.", Then: "Choose another table."}
		}
		if *use == "callup" {
			return spot{scope: app.Project.CallUpScope(answer.Value(table)), table: answer.Value(table)}, nil
		}
		return spot{scope: app.Project.RowScope(answer.Value(table)), table: answer.Value(table), rule: *use == "rule"}, nil
	}
	if g := app.Project.Gates[answer.Value(screen)]; g != nil {
		return spot{scope: app.Project.GateScope(g)}, nil // inside a shared gate
	}
	s := app.Project.Screens[answer.Value(screen)]
	if s == nil {
		return spot{}, &ask.Refusal{Code: "no-screen", What: "This screen does not exist any more.", Then: "Choose another screen."}
	}
	return spot{scope: app.Project.Scope(s, app.RowTable(s.ID, answer.Value(element)))}, nil
}

// ReadCondition reads a condition, or a text with expressions, as rows or text.
func (s *Side) ReadCondition(c *gin.Context, slug string) {
	In(s, c, slug, func(b *Building, req api.ConditionRequest) (api.ConditionRead, error) {
		at, err := b.spot(req.Screen, req.Element, req.Table, req.Use)
		if err != nil {
			return api.ConditionRead{}, err
		}
		return readCondition(b.Draft.App, at, req), nil
	})
}

func readCondition(app *plan.App, at spot, req api.ConditionRequest) api.ConditionRead {
	compiler := app.Compiler
	text := answer.Value(req.Text)
	if req.Rows != nil {
		text = req.Rows.Text(func(path string) (cond.Type, bool) { return compiler.TypeOf(at.scope, path) })
	}
	if answer.Value(req.Template) {
		t, problem := compiler.Template(at.scope, text)
		if problem != nil {
			return api.ConditionRead{Shown: text, Problem: problem}
		}
		return api.ConditionRead{Stored: t.Stored(), Shown: t.Shown()}
	}
	read := compiler.Condition
	if answer.Value(req.Value) {
		read = compiler.Expression
	}
	e, problem := read(at.scope, text)
	if problem != nil {
		return api.ConditionRead{Shown: text, Problem: problem}
	}
	out := api.ConditionRead{Stored: e.Stored, Shown: e.Shown, Phrase: e.Root.Phrase()}
	if at.rule {
		out.Problem = e.Root.Portable()
	}
	if rows, ok := cond.RowsOf(e.Root); ok {
		out.Rows = &rows
	}
	return out
}

// GetNames lists what a condition may compare.
func (s *Side) GetNames(c *gin.Context, slug string, params api.GetNamesParams) {
	In(s, c, slug, func(b *Building, _ answer.Nothing) ([]build.NameInfo, error) {
		use := params.Use
		if use == nil && answer.Value(params.Screen) == "" {
			use = answer.Ptr("shared")
		}
		at, err := b.spot(params.Screen, params.Element, params.Table, use)
		if err != nil {
			return nil, err
		}
		return build.Names(b.Draft.App, at.scope, answer.Value(params.Under)), nil
	})
}

// CompleteText offers what could stand at a place of a condition's text.
func (s *Side) CompleteText(c *gin.Context, slug string) {
	In(s, c, slug, func(b *Building, req api.CompletionRequest) (compile.Completion, error) {
		at, err := b.spot(req.Screen, req.Element, req.Table, req.Use)
		if err != nil {
			return compile.Completion{}, err
		}
		return b.Draft.App.Compiler.Complete(at.scope, req.Text, req.At), nil
	})
}

// valuesShown is how many values of a field are offered at once.
const valuesShown = 30

// GetValues gives the different values of a field, as far as the walked user may view them.
func (s *Side) GetValues(c *gin.Context, slug, table, field string, params api.GetValuesParams) {
	In(s, c, slug, func(b *Building, _ answer.Nothing) ([]string, error) {
		user, err := s.WalkedAs(c, b, params.As)
		if err != nil {
			return nil, err
		}
		app := b.Draft.App
		return use.Values(c, app, user, s.Reader(app), s.LocalNow(app), table, field, answer.Value(params.Q), valuesShown)
	})
}

// GetExtent gives the least and the most of a field of numbers, as far as the walked user may view the records.
func (s *Side) GetExtent(c *gin.Context, slug, table, field string, params api.GetExtentParams) {
	In(s, c, slug, func(b *Building, _ answer.Nothing) ([]float64, error) {
		user, err := s.WalkedAs(c, b, params.As)
		if err != nil {
			return nil, err
		}
		app := b.Draft.App
		return use.Extent(c, app, user, s.Reader(app), s.LocalNow(app), table, field)
	})
}
