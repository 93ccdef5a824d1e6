// Package patch changes entities: JSON Patch (RFC 6902) of test, add, remove and replace, over maps by
// id, so that no operation names an index; and what takes a change back.
package patch

import (
	"encoding/json"
	"fmt"
	"reflect"
	"sort"
	"strings"

	"ambergate/core/project"
)

// Op is one operation of an edit: JSON Patch (RFC 6902) of test, add, remove and replace,
// over entities by id. Arrays are values: they are replaced whole, never gone into.
type Op struct {
	Op    string          `json:"op"`
	Path  string          `json:"path"`
	Value json.RawMessage `json:"value,omitempty"`
}

// Entity gives the entity that an operation is about.
func (o Op) Entity() string {
	id, _, _ := strings.Cut(strings.TrimPrefix(o.Path, "/"), "/")
	return id
}

// Error says which operation did not fit and why. Stale means that a tested value
// has changed meanwhile; otherwise the patch itself is wrong.
type Error struct {
	Index  int
	Path   string
	Reason string
	Stale  bool
}

// Error gives the reason with the operation's path.
func (e *Error) Error() string { return fmt.Sprintf("%s: %s", e.Path, e.Reason) }

// Bodies are entities by id, as decoded JSON.
type Bodies map[string]any

// Apply makes the changes of a patch on a copy of what it touches. It gives the touched
// entities (nil for one that was removed), and the patch that takes all back. The bodies
// given are not changed. Errors are *PatchError.
func Apply(bodies Bodies, patch []Op) (touched Bodies, inverse []Op, err error) {
	touched = Bodies{}
	for i, op := range patch {
		segs, perr := pathSegments(op.Path)
		if perr != nil {
			return nil, nil, &Error{Index: i, Path: op.Path, Reason: perr.Error()}
		}
		entity := segs[0]
		if _, ok := touched[entity]; !ok {
			if original, ok := bodies[entity]; ok {
				touched[entity] = clone(original)
			}
		}
		back, perr := touched.apply(op, segs)
		if perr != nil {
			return nil, nil, &Error{Index: i, Path: op.Path, Reason: perr.Error(), Stale: op.Op == "test"}
		}
		inverse = append(back, inverse...)
		if _, ok := touched[entity]; !ok {
			touched[entity] = nil
		}
	}
	return touched, inverse, nil
}

func (b Bodies) apply(op Op, segs []string) ([]Op, error) {
	parent, last, err := b.parent(segs)
	if err != nil {
		return nil, err
	}
	old, exists := parent[last]
	exists = exists && (len(segs) > 1 || old != nil)
	var value any
	if op.Op != "remove" {
		if len(op.Value) == 0 {
			return nil, fmt.Errorf("%s needs a value", op.Op)
		}
		if err := json.Unmarshal(op.Value, &value); err != nil {
			return nil, fmt.Errorf("its value cannot be read: %w", err)
		}
	}
	if len(segs) == 1 && value == nil && (op.Op == "add" || op.Op == "replace") {
		return nil, fmt.Errorf("an entity cannot be nothing: remove it")
	}
	switch op.Op {
	case "test":
		if !reflect.DeepEqual(old, value) {
			return nil, fmt.Errorf("it has been changed meanwhile")
		}
		return nil, nil
	case "add":
		if exists {
			return nil, fmt.Errorf("it is there already")
		}
		if len(segs) == 1 && !project.LegalID(last) {
			return nil, fmt.Errorf("“%s” is no legal id", last)
		}
		parent[last] = value
		return []Op{testOp(op.Path, value), {Op: "remove", Path: op.Path}}, nil
	case "replace":
		if !exists {
			return nil, fmt.Errorf("it is not there")
		}
		parent[last] = value
		return []Op{testOp(op.Path, value), {Op: "replace", Path: op.Path, Value: mustMarshal(old)}}, nil
	case "remove":
		if !exists {
			return nil, fmt.Errorf("it is not there")
		}
		if len(segs) == 1 {
			parent[last] = nil
		} else {
			delete(parent, last)
		}
		return []Op{{Op: "add", Path: op.Path, Value: mustMarshal(old)}}, nil
	}
	return nil, fmt.Errorf("there is no operation “%s”; test, add, remove and replace are known", op.Op)
}

// parent finds the object that holds the last segment.
func (b Bodies) parent(segs []string) (map[string]any, string, error) {
	at := map[string]any(b)
	for i, s := range segs[:len(segs)-1] {
		next, ok := at[s]
		if !ok || next == nil {
			return nil, "", fmt.Errorf("%s is not there", strings.Join(segs[:i+1], "/"))
		}
		object, ok := next.(map[string]any)
		if !ok {
			return nil, "", fmt.Errorf("%s has no parts: replace it whole", strings.Join(segs[:i+1], "/"))
		}
		at = object
	}
	return at, segs[len(segs)-1], nil
}

func pathSegments(path string) ([]string, error) {
	if !strings.HasPrefix(path, "/") || len(path) > 500 {
		return nil, fmt.Errorf("a path begins with / and an entity’s id")
	}
	segs := strings.Split(path[1:], "/")
	for i, s := range segs {
		segs[i] = strings.ReplaceAll(strings.ReplaceAll(s, "~1", "/"), "~0", "~")
		if segs[i] == "" {
			return nil, fmt.Errorf("a part of the path is empty")
		}
	}
	return segs, nil
}

func testOp(path string, value any) Op { return Op{Op: "test", Path: path, Value: mustMarshal(value)} }

// mustMarshal writes what came from JSON, which cannot fail.
func mustMarshal(v any) json.RawMessage {
	text, err := json.Marshal(v)
	if err != nil {
		panic(fmt.Sprintf("a decoded JSON value does not encode: %v", err))
	}
	return text
}

func clone(v any) any {
	object, ok := v.(map[string]any)
	if !ok {
		return v
	}
	out := make(map[string]any, len(object))
	for k, item := range object {
		out[k] = clone(item)
	}
	return out
}

// Texts gives each as it is written; nil for one that was removed.
func (b Bodies) Texts() map[string]json.RawMessage {
	texts := make(map[string]json.RawMessage, len(b))
	for id, body := range b {
		if texts[id] = nil; body != nil {
			texts[id] = mustMarshal(body)
		}
	}
	return texts
}

// IDs gives the touched entities in order.
func (b Bodies) IDs() []string {
	ids := make([]string, 0, len(b))
	for id := range b {
		ids = append(ids, id)
	}
	sort.Strings(ids)
	return ids
}
