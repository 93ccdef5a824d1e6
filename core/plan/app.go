package plan

import (
	"fmt"
	"maps"
	"slices"

	"ambergate/core/cond"
	"ambergate/core/cond/compile"
	"ambergate/core/local"
	"ambergate/core/project"
)

// App is a project compiled for use: built once for a release, shared by all its users.
// It is never changed after Compile; what roles are granted is noted when it is first asked for.
type App struct {
	Project  *project.Project
	Compiler *compile.Compiler
	Screens  map[string]*Screen
	Problems []Problem // expressions that cannot be compiled
	Titles   map[string]*cond.Template
	Rules    map[string]rowRule // by grant
	Ruled    []string           // the tables that have any, in order
	Tallies  map[string]rowRule // by table and figure
	Uses     map[string][]Use   // of shared conditions
	Language *local.Language    // in which numbers and dates are written for users
	RuleUser Paths              // what rules ask of the user's own record
	CallUps  []*CallUp          // in order
	granted  *allGranted
}

// Problem is an expression of the project that cannot be read, and where it stands.
type Problem struct {
	Screen, Element, Where string
	Entity                 string // where it is no screen: a grant, table or condition
	Text                   string
	Problem                cond.Problem
	on                     string // the screen that it was found on, also where it is one of a rail; "" for none
}

// Compile builds an App. What cannot be compiled is listed in Problems and never opens anything;
// an error means that no expression at all could be compiled.
func Compile(p *project.Project) (*App, error) {
	compiler, err := compile.New(p.Schema())
	if err != nil {
		return nil, fmt.Errorf("compile the project's names: %w", err)
	}
	a := &App{Project: p, Language: local.Of(p.Settings.Language), Compiler: compiler, Screens: map[string]*Screen{}, Titles: map[string]*cond.Template{}, Uses: map[string][]Use{}, granted: &allGranted{}}
	for id, t := range p.Tables {
		scope := cond.Scope{"record": id}
		title, problem := compiler.Template(scope, t.Title)
		if problem != nil {
			a.Problems = append(a.Problems, Problem{Where: "title of " + t.Label, Text: t.Title, Problem: *problem})
			continue
		}
		a.Titles[id] = title
	}
	a.compileRules()
	a.compileScreens(slices.Sorted(maps.Keys(p.Screens)))
	a.compileCallUps()
	return a, nil
}

// TitlePath gives the path that stands first in the titles of a relation's records: what they are
// sorted and searched by.
func (a *App) TitlePath(table, relation string) string {
	if title := a.Titles[table]; title != nil {
		for _, p := range title.Paths() {
			if f, _ := a.Project.FieldAt(table, p.Key); f != nil && f.References == "" {
				return project.JoinPath(relation, p.Key)
			}
		}
	}
	return relation
}

// RootOf gives the tree of an expression; nil for none.
func RootOf(e *cond.Expr) *cond.Node {
	if e == nil {
		return nil
	}
	return e.Root
}
