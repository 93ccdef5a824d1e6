package move_test

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"ambergate/core/kinds/element"
	"ambergate/core/place"
	"ambergate/core/press"
	"ambergate/core/stand"
	"ambergate/core/use"
)

const toDo = `,{"op":"add","path":"/s_cabin/elements/e_todo","value":{"kind":"tasks","pos":30,"cell":{"row":20,"col":1,"w":6},"words":"To do","items":{
 "i_1":{"pos":1,"words":"Report a defect","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_guide","mode":"add","set":{"f_cabin":"record"}}}}}},
 "i_2":{"pos":2,"words":"Weigh it","done":"record.f_state == \"in service\"","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_board"}}}}},
 "i_3":{"pos":3,"words":"Scrap it","gate":{"roles":{"r_lead":true},"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_board"}}}}},
 "i_4":{"pos":4,"words":"Wash it","gate":{"while":"record.f_state == \"scrapped\"","otherwise":{"grey":"Only when it is scrapped."},"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_board"}}}}}}}}]`

// A list of tasks tells which can be begun, which were begun at this record, at which step, and which are done.
func TestTasksAreOpenBegunOrDone(t *testing.T) {
	s := stand.New(t, strings.TrimSuffix(guide, "]")+toDo)
	if len(s.App.Problems) != 0 {
		t.Fatalf("%+v", s.App.Problems)
	}
	if got := fmt.Sprint(s.App.ListsTasks("s_cabin"), s.App.ListsTasks("s_board"), s.App.TasksOf("s_cabin")); !strings.HasPrefix(got, "true false") || !strings.Contains(got, "s_guide") {
		t.Errorf("what is looked for: %s", got)
	}
	when := time.Date(2026, 11, 23, 9, 0, 0, 0, time.UTC)
	begun := func(cabin, step string, at time.Time) use.Begun {
		return use.Begun{At: place.Place{Screen: "s_guide", Mode: "add", Set: map[string]string{"f_cabin": cabin}, Tabs: map[string]string{"e_steps": step}}, When: at}
	}
	for _, tc := range []struct {
		begun []use.Begun
		want  string
	}{
		{nil, "Report a defect open 0/0 · Weigh it done 0/0 · Wash it open 0/0 (Only when it is scrapped.)"},
		{[]use.Begun{begun("8", "t_2", when)}, "Report a defect open 0/0 · Weigh it done 0/0 · Wash it open 0/0 (Only when it is scrapped.)"},
		{[]use.Begun{begun("7", "t_3", when), begun("7", "t_2", when.Add(time.Hour))}, "Report a defect begun 2/3 · Weigh it done 0/0 · Wash it open 0/0 (Only when it is scrapped.)"},
		{[]use.Begun{begun("7", "", when)}, "Report a defect begun 1/3 · Weigh it done 0/0 · Wash it open 0/0 (Only when it is scrapped.)"},
	} {
		src := s.Sources()
		src.Begun = tc.begun
		at, err := place.Parse(s.App.Project, "cabin", "cabin=7")
		if err != nil {
			t.Fatal(err)
		}
		o, err := use.Open(t.Context(), s.App, s.Mira, at, src)
		if err != nil {
			t.Fatal(err)
		}
		var got []string
		for _, one := range stand.Element(t, o.View(), "e_todo").View.(*element.TasksView).Tasks {
			words := fmt.Sprintf("%s %s %d/%d", one.Words, one.State, one.Step, one.Of)
			if one.Shut {
				words += " (" + one.Reason + ")"
			}
			got = append(got, words)
		}
		if strings.Join(got, " · ") != tc.want {
			t.Errorf("%s\nwant %s", strings.Join(got, " · "), tc.want)
		}
	}
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, "cabin?cabin=7"), s, press.Press{Element: "e_todo", Trigger: "task.i_1"})
	if err != nil || out.To == nil || out.To.Screen != "s_guide" || out.To.Mode != "add" || out.To.Set["f_cabin"] != "7" {
		t.Errorf("%+v %v", out, err)
	}
}
