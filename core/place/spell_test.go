package place

import (
	"reflect"
	"testing"

	"ambergate/core/ask"
	"ambergate/core/cond"
)

// fill gives a value some content, and says false where there is nothing to fill it with.
func fill(v reflect.Value) bool {
	switch v.Kind() {
	case reflect.String:
		v.SetString("x")
	case reflect.Bool:
		v.SetBool(true)
	case reflect.Map:
		one := reflect.New(v.Type().Elem()).Elem()
		if one.Kind() == reflect.String {
			one.SetString("y")
		}
		v.Set(reflect.MakeMap(v.Type()))
		v.SetMapIndex(reflect.ValueOf("x"), one)
	case reflect.Slice:
		v.Set(reflect.MakeSlice(v.Type(), 1, 1))
	case reflect.Pointer:
		v.Set(reflect.New(v.Type().Elem()))
	default:
		return false
	}
	return true
}

func spelt(p Place) string {
	var out cond.Spelling
	p.Spell(&out)
	return string(out)
}

// Whatever a place has, or what it leads to has, is spelt: a field that is added and forgotten fails here.
func TestPlacesThatDifferInAnythingAreSpeltOtherwise(t *testing.T) {
	plain := func() Place {
		return Place{Filters: []Filter{{}}, Sort: []ask.Sort{{}}, From: &From{Filters: []Filter{{}}, Sort: []ask.Sort{{}}}, Look: map[string]Look{"l": {}}}
	}
	seen := map[string]string{spelt(plain()): "nothing"}
	try := func(name string, change func(p *Place) bool) {
		p := plain()
		if !change(&p) {
			t.Fatalf("nothing can be put into %s", name)
		}
		if was, taken := seen[spelt(p)]; taken {
			t.Errorf("a place with %s is spelt as one with %s", name, was)
		}
		seen[spelt(p)] = name
	}
	fields := func(name string, of any, change func(p *Place, i int) bool) {
		typ := reflect.TypeOf(of)
		for i := range typ.NumField() {
			if kind := typ.Field(i).Type.Kind(); name != "" && (kind == reflect.Slice || kind == reflect.Pointer) {
				continue // what they hold is looked at by itself
			}
			try(name+typ.Field(i).Name, func(p *Place) bool { return change(p, i) })
		}
	}
	fields("", Place{}, func(p *Place, i int) bool {
		field := reflect.ValueOf(p).Elem().Field(i)
		if !field.IsZero() {
			field.SetZero() // it is there in the plain one
			return true
		}
		return fill(field)
	})
	fields("From.", From{}, func(p *Place, i int) bool { return fill(reflect.ValueOf(p.From).Elem().Field(i)) })
	fields("Filters.", Filter{}, func(p *Place, i int) bool { return fill(reflect.ValueOf(&p.Filters[0]).Elem().Field(i)) })
	fields("Sort.", ask.Sort{}, func(p *Place, i int) bool { return fill(reflect.ValueOf(&p.Sort[0]).Elem().Field(i)) })
	fields("Look.", Look{}, func(p *Place, i int) bool {
		look := p.Look["l"]
		filled := fill(reflect.ValueOf(&look).Elem().Field(i))
		p.Look["l"] = look
		return filled
	})
	// One text that holds another's beginning, and names that come in any order.
	try("two inputs", func(p *Place) bool { p.Inputs = map[string]string{"a": "1", "b": "2"}; return true })
	try("one input of both", func(p *Place) bool { p.Inputs = map[string]string{"a": "11:b1:2"}; return true })
}

// What is changed in a clone, at any depth, is changed there alone.
func TestACloneIsOnesOwn(t *testing.T) {
	filled := func() Place {
		p := Place{From: &From{}}
		for _, of := range []reflect.Value{reflect.ValueOf(&p).Elem(), reflect.ValueOf(p.From).Elem()} {
			for i := range of.NumField() {
				if of.Field(i).IsZero() {
					fill(of.Field(i))
				}
			}
		}
		return p
	}
	was, changed := filled(), filled()
	clone := changed.Clone()
	if !reflect.DeepEqual(clone, was) {
		t.Fatalf("a clone differs: %+v", clone)
	}
	for _, of := range []reflect.Value{reflect.ValueOf(&clone).Elem(), reflect.ValueOf(clone.From).Elem()} {
		for i := range of.NumField() {
			switch f := of.Field(i); f.Kind() {
			case reflect.Map:
				f.Clear()
			case reflect.Slice:
				fill(f.Index(0).Field(0))
			case reflect.String:
				f.SetString("another")
			}
		}
	}
	if !reflect.DeepEqual(changed, was) {
		t.Errorf("with its clone it became %+v", changed)
	}
}
