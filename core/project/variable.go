package project

import (
	"fmt"
	"maps"
	"regexp"
	"slices"

	"ambergate/core/cond"
)

// Variable is a typed value that a browser tab keeps: for the whole project, or for one screen.
// Gates set it; expressions read it as vars.name. One of the project stays as long as the tab; one
// of a screen belongs to the place, begins anew when the screen is opened anew, and is found again
// on the way back.
type Variable struct {
	Listed
	Alias   string   `json:"alias"`
	Label   string   `json:"label"`
	Type    string   `json:"type"`
	Table   string   `json:"table,omitempty"`   // of a record
	Choices []string `json:"choices,omitempty"` // of a text: what it may be
	Unit    string   `json:"unit,omitempty"`
	Screen  string   `json:"screen,omitempty"` // the only screen that has it; empty: the whole project
	Start   string   `json:"start,omitempty"`  // what it begins with, as the wire writes it; empty: nothing
}

// VariableTypes are the types that a variable can have.
var VariableTypes = []string{"text", "whole", "number", "decimal", "yesno", "date", "moment", "record"}

var aliasForm = regexp.MustCompile(`^[a-z][a-z0-9_]{0,40}$`)

// TypeOf gives the variable's type in the language of conditions: what begins with a value always has one.
func (v *Variable) TypeOf() cond.Type {
	kind, ok := cond.KindOf(v.Type)
	if !ok {
		kind = cond.Text
	}
	return cond.Type{Kind: kind, Table: v.Table, Choices: v.Choices, Unit: v.Unit, Nullable: v.Start == ""}
}

func (v *Variable) validate() error {
	if v.Label == "" || !aliasForm.MatchString(v.Alias) {
		return fmt.Errorf("a variable needs a label, and a name of small letters, digits and underscores")
	}
	if err := OneOf("type of variable", v.Type, VariableTypes...); err != nil {
		return err
	}
	if (v.Type == "record") != (v.Table != "") {
		return fmt.Errorf("a variable that holds a record names its table, any other does not")
	}
	if v.Start == "" {
		return nil
	}
	if _, err := cond.Parse(v.TypeOf(), v.Start); err != nil {
		return fmt.Errorf("what it begins with: %w", err)
	}
	return nil
}

// VarsGroup names the group of variables in the schema of conditions: those of the project, and of
// one screen when it has any.
func (p *Project) VarsGroup(screen string) string {
	for _, v := range p.Variables {
		if screen != "" && v.Screen == screen {
			return "vars." + screen
		}
	}
	return "vars"
}

// VariablesOn gives the variables that a screen has, in order; those of the project alone for "".
func (p *Project) VariablesOn(screen string) []*Variable {
	var out []*Variable
	for _, v := range Ordered(p.Variables) {
		if v.Screen == "" || v.Screen == screen {
			out = append(out, v)
		}
	}
	return out
}

// varsGroups gives the groups of the schema: one of the project, one for each screen with its own.
func (p *Project) varsGroups() []*cond.Group {
	screens := map[string]bool{"": true}
	for _, v := range p.Variables {
		screens[v.Screen] = true
	}
	var out []*cond.Group
	for _, screen := range slices.Sorted(maps.Keys(screens)) {
		g := &cond.Group{ID: p.VarsGroup(screen), Label: "variables"}
		for _, v := range p.VariablesOn(screen) {
			g.Fields = append(g.Fields, cond.Field{ID: v.ID, Alias: v.Alias, Label: v.Label, Type: v.TypeOf()})
		}
		out = append(out, g)
	}
	return out
}

// scopeVars adds the variables to a scope, where there are any.
func (p *Project) scopeVars(scope cond.Scope, screen string) {
	if len(p.VariablesOn(screen)) > 0 {
		scope["vars"] = p.VarsGroup(screen)
	}
}
