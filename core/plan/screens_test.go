package plan_test

import (
	"fmt"
	"reflect"
	"runtime"
	"strings"
	"testing"

	"ambergate/core/plan"
	"ambergate/core/stand"
)

// Many screens are compiled side by side: what is noted of them is the same as when one follows the other, in order.
func TestManyScreensAreCompiledAsOneAfterTheOther(t *testing.T) {
	var ops []string
	add := func(path, value string) {
		ops = append(ops, fmt.Sprintf(`{"op":"add","path":%q,"value":%s}`, path, value))
	}
	add("/c_known", `{"kind":"condition","pos":9,"name":"somebody known","alias":"known","text":"user.name == \"Mira\""}`)
	for i := range 120 {
		while := `!user.known`
		if i%3 == 0 {
			while = fmt.Sprintf(`record.f_gone_%d == 1`, i)
		}
		add(fmt.Sprintf("/s_x%03d", i), fmt.Sprintf(`{"kind":"screen","type":"menu","title":"X","slug":"x-%d","elements":{"e_go":{"kind":"button","pos":1,"cell":{"row":1,"col":1,"w":2},"words":"Go","gate":{"while":"%s","cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_x000"}}}}}}}`, i, while))
	}
	p := stand.New(t, "["+strings.Join(ops, ",")+"]").App.Project
	compiled := func(at int) *plan.App {
		defer runtime.GOMAXPROCS(runtime.GOMAXPROCS(at))
		app, err := plan.Compile(p)
		if err != nil {
			t.Fatal(err)
		}
		return app
	}
	one, many := compiled(1), compiled(8)
	if diff := same(one, many); diff != "" {
		t.Error(diff)
	}
	if len(one.Problems) < 40 || !reflect.DeepEqual(one.Problems, many.Problems) {
		t.Errorf("%d problems one after the other, %d side by side, in another order", len(one.Problems), len(many.Problems))
	}
	if len(one.Uses["c_known"]) != 80 || !reflect.DeepEqual(one.Uses, many.Uses) {
		t.Errorf("shared conditions are used by %v, and %v", one.Uses, many.Uses)
	}
}
