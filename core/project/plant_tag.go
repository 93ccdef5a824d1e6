package project

import (
	"fmt"
	"regexp"
	"strings"

	"ambergate/core/cond"
)

// PlantTag is a live value of the plant as a whole, which belongs to no record: the wind at the top, the power that
// the works draw. Expressions read it as tag.name.
type PlantTag struct {
	Tag
	Kind   string `json:"kind"`
	Source string `json:"source"`
}

// TagRoot is the name that a path to a value of the plant as a whole begins with.
const TagRoot = "tag"

var tagAlias = regexp.MustCompile(`^[a-z][a-z0-9_]{0,60}$`)

// tagTypes are the types that a live value can have.
var tagTypes = []string{"yesno", "whole", "number", "text"}

func (t *PlantTag) validate() error {
	if t.Label == "" || !tagAlias.MatchString(t.Alias) {
		return fmt.Errorf("a value of the plant needs a label, and a name of small letters, digits and underscores")
	}
	if t.Node == "" || t.Source == "" {
		return fmt.Errorf("a value of the plant needs a node, and the plant that it is in")
	}
	if strings.ContainsAny(t.Node, "{}") {
		return fmt.Errorf("the node of a value that belongs to no record has no field in braces")
	}
	if err := t.Tag.validate(); err != nil {
		return err
	}
	return OneOf("type of value", t.Type, tagTypes...)
}

// tagGroup gives the names of the plant's own values.
func (p *Project) tagGroup() *cond.Group {
	g := &cond.Group{ID: TagRoot, Label: "plant"}
	for _, t := range Ordered(p.Tags) {
		g.Fields = append(g.Fields, cond.Field{ID: t.ID, Alias: t.Alias, Label: t.Label, Type: t.typeOf()})
	}
	return g
}

// scopeTags adds the plant's own values to a scope, where there are any.
func (p *Project) scopeTags(scope cond.Scope) {
	if len(p.Tags) > 0 {
		scope[TagRoot] = TagRoot
	}
}
