package main

import (
	"fmt"
	"reflect"
	"strings"
	"unicode"

	"github.com/invopop/jsonschema"

	_ "ambergate/core/kinds"
	"ambergate/core/project"
)

// id names the published schema; it is a name, not a place to fetch it from.
const id = "tag:ambergate,2026:document"

// sort is what a document holds several kinds of: each is an object that names its kind.
type sort struct {
	wrapper reflect.Type // as the document's types have it
	ends    string       // of the names of its kinds: ButtonElement
	key     string       // of the object that names the kind
	names   []string
	empty   func(name string) any
}

func sorts() []sort {
	return []sort{
		sortOf[project.Element]("Element", "kind", &project.Elements),
		sortOf[project.Effect]("Effect", "kind", &project.Effects),
		sortOf[project.Move]("Move", "kind", &project.Moves),
		sortOf[project.Binding]("Binding", "rule", &project.Rules),
		sortOf[project.Way]("Way", "trigger", &project.Ways),
	}
}

func sortOf[W, S any](ends, key string, kinds *project.Kinds[S]) sort {
	return sort{
		wrapper: reflect.TypeFor[W](), ends: ends, key: key, names: kinds.Names(),
		empty: func(name string) any {
			spec, err := kinds.New(name)
			if err != nil {
				panic(err) // it is one of its own names
			}
			return spec
		},
	}
}

// document gives the schema of a whole project.
func document() (*jsonschema.Schema, error) {
	all := sorts()
	r := &jsonschema.Reflector{Anonymous: true, DoNotReference: false, Namer: nameOf}
	for _, folder := range []string{"core/project", "core/kinds/element", "core/kinds/effect", "core/kinds/move", "core/kinds/rule", "core/kinds/trigger"} {
		if err := r.AddGoComments("ambergate", "../"+folder); err != nil {
			return nil, fmt.Errorf("read the comments of %s: %w", folder, err)
		}
	}
	comments := map[string]string{}
	for name, text := range r.CommentMap { // their names have lost the module on the way
		comments["ambergate/"+name] = oneLine(text)
	}
	r.CommentMap = comments
	r.Mapper = func(t reflect.Type) *jsonschema.Schema {
		for _, s := range all {
			if t == s.wrapper {
				return &jsonschema.Schema{Ref: "#/$defs/" + s.ends}
			}
		}
		return nil
	}
	out := &jsonschema.Schema{
		Version: jsonschema.Version, ID: id, Title: "Document", Description: "A project: its entities by id.", Type: "object",
		AdditionalProperties: &jsonschema.Schema{Ref: "#/$defs/Entity"}, Definitions: jsonschema.Definitions{},
	}
	for _, s := range all {
		s.define(r, out.Definitions)
	}
	entities := &jsonschema.Schema{Description: "One entity of a project."}
	for _, kind := range project.EntityKinds() {
		name := reflect.TypeOf(project.NewEntity(kind)).Elem().Name()
		define(r, out.Definitions, project.NewEntity(kind), name, "kind", []string{kind})
		entities.OneOf = append(entities.OneOf, &jsonschema.Schema{Ref: "#/$defs/" + name})
	}
	out.Definitions["Entity"] = entities
	return out, nil
}

// define adds a definition for each kind, and one for any of them.
func (s sort) define(r *jsonschema.Reflector, into jsonschema.Definitions) {
	any := &jsonschema.Schema{Description: "One " + strings.ToLower(s.ends) + ", of any kind."}
	byType := map[reflect.Type][]string{} // several names may be one kind
	var types []reflect.Type
	for _, name := range s.names {
		t := reflect.TypeOf(s.empty(name)).Elem()
		if byType[t] == nil {
			types = append(types, t)
		}
		byType[t] = append(byType[t], name)
	}
	for _, t := range types {
		names := byType[t]
		title := nameOf(t)
		define(r, into, s.empty(names[0]), title, s.key, names)
		any.OneOf = append(any.OneOf, &jsonschema.Schema{Ref: "#/$defs/" + title})
	}
	into[s.ends] = any
}

// define adds the definition of one kind, and those of what it holds.
func define(r *jsonschema.Reflector, into jsonschema.Definitions, value any, title, key string, names []string) {
	whole := r.Reflect(value)
	for name, part := range whole.Definitions {
		if into[name] == nil {
			into[name] = part
		}
	}
	own := into[strings.TrimPrefix(whole.Ref, "#/$defs/")]
	kind := &jsonschema.Schema{Type: "string"}
	if len(names) == 1 {
		kind.Const = names[0]
	} else {
		for _, n := range names {
			kind.Enum = append(kind.Enum, n)
		}
	}
	own.Properties.Set(key, kind)
	if err := own.Properties.MoveToFront(key); err != nil {
		panic(err) // it was set just now
	}
	own.Required = append([]string{key}, without(own.Required, key)...)
	into[title] = own
}

func without(list []string, name string) []string {
	var out []string
	for _, x := range list {
		if x != name {
			out = append(out, x)
		}
	}
	return out
}

// nameOf names a type in the schema: kinds by their sort, since a screen is an entity and a move.
func nameOf(t reflect.Type) string {
	for folder, ends := range map[string]string{"element": "Element", "effect": "Effect", "move": "Move", "rule": "Binding", "trigger": "Way"} {
		if strings.HasSuffix(t.PkgPath(), "core/kinds/"+folder) && t.Kind() == reflect.Struct {
			if _, isKind := reflect.New(t).Interface().(interface{ Validate() error }); isKind && !strings.HasSuffix(t.Name(), "Face") {
				return t.Name() + ends
			}
		}
	}
	return t.Name()
}

// oneLine gives a comment without its name at the front and its line breaks.
func oneLine(text string) string {
	text = strings.Join(strings.Fields(text), " ")
	r := []rune(text)
	if len(r) > 0 {
		r[0] = unicode.ToUpper(r[0])
	}
	return string(r)
}
