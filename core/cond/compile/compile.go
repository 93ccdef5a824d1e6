package compile

import (
	"fmt"
	"strings"
	"sync"
	"unicode/utf8"

	"cel.dev/cel-go/cel"
	"cel.dev/cel-go/common/ast"
	"cel.dev/cel-go/common/types"

	"ambergate/core/cond"
)

// Limits on one expression. A text over them is refused before it is parsed.
const (
	MaxText  = 4_000 // characters
	maxDepth = 60    // nesting of the tree
	costCap  = 100_000
	maxKept  = 50_000 // compiled texts kept
)

// Compiler compiles expressions against one schema. It keeps one library environment
// for each scope, and one result for each text in a scope. Safe for use by many at once.
type Compiler struct {
	schema *cond.Schema
	mu     sync.Mutex
	base   *cel.Env
	envs   map[string]*cel.Env
	exprs  map[string]compiled
	named  map[string]*cond.Node // of named conditions; nil while one is being compiled
	// unreadable holds what is wrong with those that cannot be compiled.
	unreadable map[string]*cond.Problem
}

type compiled struct {
	expr *cond.Expr
	err  *cond.Problem
}

// New makes a compiler for a schema. An error means that the schema itself cannot be expressed.
func New(schema *cond.Schema) (*Compiler, error) {
	registry, err := types.NewRegistry()
	if err != nil {
		return nil, fmt.Errorf("make the type registry: %w", err)
	}
	base, err := cel.NewEnv(append(functions(),
		cel.CustomTypeProvider(&provider{Registry: registry, schema: schema}),
		cel.CrossTypeNumericComparisons(true),
		cel.EnableMacroCallTracking(),
		cel.ParserExpressionSizeLimit(MaxText),
		cel.ParserRecursionLimit(maxDepth),
	)...)
	if err != nil {
		return nil, fmt.Errorf("make the expression environment: %w", err)
	}
	return &Compiler{schema: schema, base: base, envs: map[string]*cel.Env{}, exprs: map[string]compiled{}, named: map[string]*cond.Node{}, unreadable: map[string]*cond.Problem{}}, nil
}

// Condition compiles a text that must be yes or no. Names may be ids or aliases.
func (c *Compiler) Condition(scope cond.Scope, text string) (*cond.Expr, *cond.Problem) {
	e, problem := c.Expression(scope, text)
	if problem != nil {
		return nil, problem
	}
	if k := e.Root.Type.Kind; k != cond.YesNo {
		return nil, &cond.Problem{Message: fmt.Sprintf("A condition is yes or no; this is %s.", KindWords(k)), Length: max(1, len([]rune(text)))}
	}
	return e, nil
}

// narrowed leaves only the names that a text begins paths with, so that what is written alike on
// many screens is compiled once.
func narrowed(s cond.Scope, text string) cond.Scope {
	out := cond.Scope{}
	for root, group := range s {
		if strings.Contains(text, root) {
			out[root] = group
		}
	}
	return out
}

// Expression compiles a text of any type. Names may be ids or aliases.
func (c *Compiler) Expression(scope cond.Scope, text string) (*cond.Expr, *cond.Problem) {
	if small := narrowed(scope, text); len(small) < len(scope) && len(small) > 0 {
		if e, problem := c.expression(small, text); problem == nil {
			return e, nil
		} // what is wrong is told with all the names that there are
	}
	return c.expression(scope, text)
}

// expression holds nobody up who compiles something else while the library reads a text, which is most of it.
func (c *Compiler) expression(scope cond.Scope, text string) (*cond.Expr, *cond.Problem) {
	key := scope.Key() + "|" + text
	done, known, env, problem := c.known(key, scope, text)
	if known {
		return done.expr, done.err
	}
	var checked *cel.Ast
	var issues *cel.Issues
	if problem == nil {
		checked, issues = check(env, text)
	}
	c.mu.Lock()
	defer c.mu.Unlock()
	if done, ok := c.exprs[key]; ok { // somebody else was quicker
		return done.expr, done.err
	}
	var expr *cond.Expr
	if problem == nil {
		expr, problem = c.finish(scope, text, env, checked, issues)
	}
	if len(c.exprs) >= maxKept {
		clear(c.exprs)
	}
	c.exprs[key] = compiled{expr, problem}
	return expr, problem
}

// known gives what is kept of a text; else how to read it, or why it cannot be.
func (c *Compiler) known(key string, scope cond.Scope, text string) (compiled, bool, *cel.Env, *cond.Problem) {
	c.mu.Lock()
	defer c.mu.Unlock()
	if done, ok := c.exprs[key]; ok {
		return done, true, nil, nil
	}
	env, problem := c.begin(scope, text)
	return compiled{}, false, env, problem
}

// compile does all of it for who has the compiler to themselves.
func (c *Compiler) compile(scope cond.Scope, text string) (*cond.Expr, *cond.Problem) {
	env, problem := c.begin(scope, text)
	if problem != nil {
		return nil, problem
	}
	checked, issues := check(env, text)
	return c.finish(scope, text, env, checked, issues)
}

// begin refuses what need not be read, and gives the environment to read the rest in.
func (c *Compiler) begin(scope cond.Scope, text string) (*cel.Env, *cond.Problem) {
	if n := utf8.RuneCountInString(text); n > MaxText {
		return nil, &cond.Problem{Message: fmt.Sprintf("This is %d characters long; at most %d are allowed.", n, MaxText), At: MaxText, Length: 1}
	}
	if strings.TrimSpace(text) == "" {
		return nil, &cond.Problem{Message: "There is nothing here to decide.", Length: 1}
	}
	env, err := c.env(scope)
	if err != nil {
		return nil, &cond.Problem{Message: err.Error(), Length: 1}
	}
	return env, nil
}

// finish makes our own tree of what the library has read.
func (c *Compiler) finish(scope cond.Scope, text string, env *cel.Env, checked *cel.Ast, issues *cel.Issues) (*cond.Expr, *cond.Problem) {
	runes := []rune(text)
	if issues != nil && issues.Err() != nil {
		return nil, c.problem(scope, runes, issues)
	}
	native := checked.NativeRep()
	if depth := ast.Heights(native)[native.Expr().ID()]; depth > maxDepth {
		return nil, &cond.Problem{Message: fmt.Sprintf("This is nested %d deep; at most %d are allowed.", depth, maxDepth), Length: 1}
	}
	stored, shown := c.bothTexts(native, runes)
	b := builder{compiler: c, env: env, ast: native, scope: scope, text: runes}
	root := b.build(native.Expr())
	if b.problem != nil {
		return nil, b.problem
	}
	return &cond.Expr{Root: root, Stored: stored, Shown: shown}, nil
}

// check parses and type-checks. The library refuses to compare a whole number with another
// number by ==; there, and only there, the right side is declared dynamic and checked again.
func check(env *cel.Env, text string) (*cel.Ast, *cel.Issues) {
	parsed, issues := env.Parse(text)
	if issues != nil && issues.Err() != nil {
		return nil, issues
	}
	for {
		checked, issues := env.Check(parsed)
		if issues == nil || issues.Err() == nil {
			return checked, issues
		}
		loosened := false
		for _, e := range issues.Errors() {
			m := noOverload.FindStringSubmatch(e.Message)
			if m != nil && (m[1] == "_==_" || m[1] == "_!=_") && numeric(m[2]) {
				loosened = loosen(parsed.NativeRep(), e.ExprID) || loosened
			}
		}
		if !loosened {
			return nil, issues
		}
	}
}

func numeric(typeList string) bool {
	for _, t := range strings.Split(wrapped.ReplaceAllString(typeList, "$1"), ", ") {
		if t != "int" && t != "double" {
			return false
		}
	}
	return true
}

func loosen(a *ast.AST, id int64) bool {
	done := false
	factory := ast.NewExprFactory()
	ast.PostOrderVisit(a.Expr(), ast.NewExprVisitor(func(e ast.Expr) {
		if e.ID() != id || e.Kind() != ast.CallKind || len(e.AsCall().Args()) != 2 {
			return
		}
		args := e.AsCall().Args()
		if args[1].Kind() == ast.CallKind && args[1].AsCall().FunctionName() == "dyn" {
			return
		}
		dyn := factory.NewCall(ast.MaxID(a)+1, "dyn", factory.CopyExpr(args[1]))
		e.SetKindCase(factory.NewCall(id, e.AsCall().FunctionName(), args[0], dyn))
		done = true
	}))
	return done
}

func (c *Compiler) env(scope cond.Scope) (*cel.Env, error) {
	key := scope.Key()
	if env, ok := c.envs[key]; ok {
		return env, nil
	}
	var vars []cel.EnvOption
	for root, group := range scope {
		vars = append(vars, cel.Variable(root, cel.ObjectType(group)))
	}
	env, err := c.base.Extend(vars...)
	if err != nil {
		return nil, fmt.Errorf("make the names of this place: %w", err)
	}
	c.envs[key] = env
	return env, nil
}

func functions() []cel.EnvOption {
	number := func(op string) cel.EnvOption {
		return cel.Function(op,
			cel.Overload("mixed_whole_number"+op, []*cel.Type{cel.IntType, cel.DoubleType}, cel.DoubleType),
			cel.Overload("mixed_number_whole"+op, []*cel.Type{cel.DoubleType, cel.IntType}, cel.DoubleType))
	}
	return []cel.EnvOption{
		cel.Variable("now", cel.TimestampType),
		cel.Function("today", cel.Overload("today_date", nil, cel.TimestampType)),
		cel.Function("daysAgo", cel.Overload("daysAgo_whole", []*cel.Type{cel.IntType}, cel.TimestampType)),
		cel.Function("daysFromNow", cel.Overload("daysFromNow_whole", []*cel.Type{cel.IntType}, cel.TimestampType)),
		cel.Function("date", cel.Overload("date_text", []*cel.Type{cel.StringType}, cel.TimestampType)),
		cel.Function("key", cel.Overload("key_text", []*cel.Type{cel.StringType}, cel.DynType)),
		cel.Function("available", cel.Overload("available_value", []*cel.Type{cel.DynType}, cel.BoolType)),
		cel.Function("is", cel.MemberOverload("user_is", []*cel.Type{cel.ObjectType("user"), cel.StringType}, cel.BoolType)),
		number("_+_"), number("_-_"), number("_*_"), number("_/_"),
	}
}

// provider answers the library's questions about groups: which fields, of which types.
// With it a misspelt field is an error with its place, found while it is typed.
type provider struct {
	*types.Registry
	schema *cond.Schema
}

// FindStructType says whether a group exists.
func (p *provider) FindStructType(name string) (*types.Type, bool) {
	if _, ok := p.schema.Groups[name]; ok {
		return types.NewTypeTypeWithParam(types.NewObjectType(name)), true
	}
	return p.Registry.FindStructType(name)
}

// FindStructFieldNames lists the aliases of a group.
func (p *provider) FindStructFieldNames(name string) ([]string, bool) {
	g, ok := p.schema.Groups[name]
	if !ok {
		return p.Registry.FindStructFieldNames(name)
	}
	names := make([]string, len(g.Fields))
	for i, f := range g.Fields {
		names[i] = f.Alias
	}
	return names, true
}

// FindStructFieldType gives the type of a field by its id or alias.
func (p *provider) FindStructFieldType(name, field string) (*types.FieldType, bool) {
	g, ok := p.schema.Groups[name]
	if !ok {
		return p.Registry.FindStructFieldType(name, field)
	}
	f, ok := g.Find(field)
	if !ok {
		return nil, false
	}
	return &types.FieldType{Type: libraryType(f.Type)}, true
}

func libraryType(t cond.Type) *types.Type {
	var base *types.Type
	switch t.Kind {
	case cond.YesNo:
		base = types.BoolType
	case cond.Whole:
		base = types.IntType
	case cond.Number, cond.Decimal:
		base = types.DoubleType
	case cond.Date, cond.Moment:
		return types.TimestampType // comparable with null as it is
	case cond.Duration:
		return types.DurationType
	case cond.Record, cond.Object:
		return types.NewObjectType(t.Table)
	case cond.List:
		return types.NewListType(types.DynType)
	default:
		base = types.StringType
	}
	if t.Nullable {
		return types.NewNullableType(base)
	}
	return base
}

func ownKind(t *types.Type) cond.Kind {
	switch t.Kind() {
	case types.BoolKind:
		return cond.YesNo
	case types.IntKind, types.UintKind:
		return cond.Whole
	case types.DoubleKind:
		return cond.Number
	case types.StringKind:
		return cond.Text
	case types.TimestampKind:
		return cond.Moment
	case types.DurationKind:
		return cond.Duration
	case types.ListKind:
		return cond.List
	case types.NullTypeKind:
		return cond.Null
	case types.StructKind:
		return cond.Record
	}
	if t.IsAssignableType(types.NullType) {
		for _, plain := range []*types.Type{types.BoolType, types.IntType, types.DoubleType, types.StringType} {
			if t.IsAssignableType(plain) {
				return ownKind(plain)
			}
		}
	}
	return cond.Unknown
}

// TypeOf gives the type of a dotted path over ids or aliases; false when there is none.
func (c *Compiler) TypeOf(scope cond.Scope, path string) (cond.Type, bool) {
	e, problem := c.Expression(scope, path)
	if problem != nil || e.Root.Op != cond.OpPath {
		return cond.Type{}, false
	}
	return e.Root.Type, true
}
