package project

import (
	"bytes"
	"encoding/json"
	"fmt"
	"maps"
	"slices"
	"strings"

	"ambergate/core/project/legal"
)

// Kinds is a registry: for each name of a kind what makes an empty one, to be read into. Kinds of
// elements, effects, moves, rules and ways stand in folders of their own above this package, which
// add them when the program starts. Afterwards it is only read.
type Kinds[S any] struct {
	what string // for people
	key  string // of the JSON object that names the kind
	make map[string]func() S
}

// Add adds a kind. A name that is there already is a mistake in the program: it does not start.
func (k *Kinds[S]) Add(name string, empty func() S) {
	if _, double := k.make[name]; double || name == "" {
		panic(fmt.Sprintf("the %s %q is added twice, or has no name", k.what, name))
	}
	if k.make == nil {
		k.make = map[string]func() S{}
	}
	k.make[name] = empty
}

// Names gives the kinds that there are, sorted.
func (k *Kinds[S]) Names() []string { return slices.Sorted(maps.Keys(k.make)) }

// New gives an empty one of a kind.
func (k *Kinds[S]) New(name string) (S, error) {
	if len(k.make) == 0 {
		panic("no " + k.what + " is known to this program: it has to import ambergate/core/kinds")
	}
	empty, ok := k.make[name]
	if !ok {
		var none S
		return none, fmt.Errorf("there is no %s “%s”", k.what, name)
	}
	return empty(), nil
}

// Elements, Effects, Moves, Rules and Ways are the kinds that documents may hold; Triggers what sets
// off gates, those of ways among them.
var (
	Elements = Kinds[Spec]{what: "kind of element", key: "kind"}
	Effects  = Kinds[EffectSpec]{what: "action", key: "kind"}
	Moves    = Kinds[MoveSpec]{what: "move", key: "kind"}
	Rules    = Kinds[RuleSpec]{what: "rule", key: "rule"}
	Ways     = Kinds[WaySpec]{what: "trigger", key: "trigger"}
	Triggers = Kinds[Trigger]{what: "trigger"}
)

// decode reads an object as the kind that it names. Names that the kind does not know are refused.
func (k *Kinds[S]) decode(data []byte) (S, error) {
	var none S
	name, err := k.nameIn(data)
	if err != nil {
		return none, err
	}
	s, err := k.New(name)
	if err != nil {
		return none, err
	}
	return s, strictUnmarshal(data, s, fmt.Sprintf("the %s “%s”", k.what, name))
}

func (k *Kinds[S]) nameIn(data []byte) (string, error) {
	if name, ok := legal.TextUnder(k.key, data); ok {
		return name, nil
	}
	var head struct {
		Kind    string `json:"kind"`
		Rule    string `json:"rule"`
		Trigger string `json:"trigger"`
	}
	if err := json.Unmarshal(data, &head); err != nil {
		return "", err
	}
	return map[string]string{"kind": head.Kind, "rule": head.Rule, "trigger": head.Trigger}[k.key], nil
}

// strictUnmarshal refuses names that it does not know, so that a misspelt one is told at once.
func strictUnmarshal(data []byte, into any, what string) error {
	d := json.NewDecoder(bytes.NewReader(data))
	d.DisallowUnknownFields()
	err := d.Decode(into)
	if err == nil {
		return nil
	}
	if field, unknown := strings.CutPrefix(err.Error(), "json: unknown field "); unknown {
		return fmt.Errorf("%s knows nothing called %s", what, field)
	}
	return err
}

// OneOf refuses a word that is none of some: “there is no edge "middle"”.
func OneOf(what, got string, allowed ...string) error {
	for _, a := range allowed {
		if got == a {
			return nil
		}
	}
	return fmt.Errorf("there is no %s “%s”", what, got)
}
