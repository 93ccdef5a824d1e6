// Package kinds adds every kind that a document may hold to the registries of core/project, each once.
// A kind stands in one file: its part of the document, how it is compiled, said, drawn and done.
//
//   - element: what stands on screens and rails
//   - effect: what a gate does before it moves
//   - move: where a gate leads
//   - rule: how an input of a target gets its value
//   - trigger: what sets a gate off
//
// Programs that read documents import it for what it adds. A kind that does not answer to all that
// is asked of its sort does not compile; one that is added twice keeps the program from starting.
package kinds

import (
	"ambergate/core/kinds/effect"
	"ambergate/core/kinds/element"
	"ambergate/core/kinds/move"
	"ambergate/core/kinds/rule"
	"ambergate/core/kinds/trigger"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

type elementOf[T any] interface {
	*T
	project.Spec
	plan.ElementKind
	words.ElementKind
	use.ElementKind
}

type effectOf[T any] interface {
	*T
	project.EffectSpec
	plan.EffectKind
	words.EffectKind
	use.EffectKind
	press.EffectKind
}

type moveOf[T any] interface {
	*T
	project.MoveSpec
	plan.MoveKind
	words.MoveKind
	use.MoveKind
}

type rulesOf[T any] interface {
	*T
	project.RuleSpec
	plan.RuleKind
	words.RuleKind
	use.RuleKind
}

type wayOf[T any] interface {
	*T
	project.WaySpec
	project.Trigger
	words.TriggerKind
}

func anElement[T any, P elementOf[T]](name string) {
	project.Elements.Add(name, func() project.Spec { return P(new(T)) })
}

func anEffect[T any, P effectOf[T]](name string) {
	project.Effects.Add(name, func() project.EffectSpec { return P(new(T)) })
}

func aMove[T any, P moveOf[T]](names ...string) {
	for _, name := range names {
		project.Moves.Add(name, func() project.MoveSpec { return P(new(T)) })
	}
}

func aRule[T any, P rulesOf[T]](names ...string) {
	for _, name := range names {
		project.Rules.Add(name, func() project.RuleSpec { return P(new(T)) })
	}
}

func aWay[T any, P wayOf[T]](name string) {
	project.Ways.Add(name, func() project.WaySpec { return P(new(T)) })
	kind := P(new(T)) // what it is asked as a trigger does not depend on what it holds
	project.Triggers.Add(name, func() project.Trigger { return kind })
}

func aTrigger[T interface {
	project.Trigger
	words.TriggerKind
}](name string) {
	var kind T
	project.Triggers.Add(name, func() project.Trigger { return kind })
}

func init() {
	anElement[element.Button]("button")
	anElement[element.Text]("text")
	anElement[element.Field]("field")
	anElement[element.List]("list")
	anElement[element.Chart]("chart")
	anElement[element.Gauge]("gauge")
	anElement[element.Lamp]("lamp")
	anElement[element.Trend]("trend")
	anElement[element.Figure]("figure")
	anElement[element.Tabs]("tabs")
	anElement[element.Steps]("steps")
	anElement[element.Tasks]("tasks")
	anElement[element.Image]("image")
	anElement[element.Total]("total")
	anElement[element.Group]("group")
	anElement[element.SitePlan]("sitePlan")
	anElement[element.Symbol]("symbol")
	anElement[element.Clip]("clip")

	anEffect[effect.Save]("save")
	anEffect[effect.Set]("set")
	anEffect[effect.Write]("write")
	anEffect[effect.Delete]("delete")
	anEffect[effect.Add]("add")
	anEffect[effect.AddRow]("addRow")
	anEffect[effect.Filter]("filter")
	anEffect[effect.Clear]("clear")
	anEffect[effect.Sort]("sort")
	anEffect[effect.Find]("find")
	anEffect[effect.Tab]("tab")
	anEffect[effect.Refresh]("refresh")
	anEffect[effect.Export]("export")
	anEffect[effect.Print]("print")
	anEffect[effect.SetVariable]("setVar")
	anEffect[effect.Drawer]("drawer")

	aMove[move.Screen]("screen")
	aMove[move.Choice]("choice")
	aMove[move.Step]("step")
	aMove[move.Task]("task")
	aMove[move.Along]("along")
	aMove[move.Address]("address")
	aMove[move.Project]("project")
	aMove[move.Close]("close")
	aMove[move.Up]("up")
	aMove[move.Trail]("back", "forward", "home", "out")

	aRule[rule.This]("this")
	aRule[rule.Row]("row")
	aRule[rule.Saved]("saved")
	aRule[rule.User]("user")
	aRule[rule.Parent]("parent")
	aRule[rule.Child]("child")
	aRule[rule.Step]("first", "previous", "next", "last")
	aRule[rule.Picked]("picked")
	aRule[rule.Point]("point")
	aRule[rule.Value]("value")
	aRule[rule.Input]("input")
	aRule[rule.Expression]("expression")
	aRule[rule.Result]("result")

	aWay[trigger.Swipe]("swipe")
	aWay[trigger.Entered]("entered")
	aWay[trigger.Left]("left")
	aWay[trigger.Time]("time")
	aWay[trigger.Keys]("keys")

	aTrigger[trigger.Release]("release")
	aTrigger[trigger.Press]("press")
	aTrigger[trigger.Row]("row")
	aTrigger[trigger.Point]("point")
	aTrigger[trigger.Changed]("changed")
	aTrigger[trigger.Menu]("menu")
	aTrigger[trigger.Several]("several")
	aTrigger[trigger.KeepRow]("keepRow")
	aTrigger[trigger.Mark]("mark")
	aTrigger[trigger.Link]("link")
	aTrigger[trigger.Ended](element.EndedTrigger)
	aTrigger[trigger.Down](element.DownTrigger)
	aTrigger[trigger.Tab]("tab")
	aTrigger[trigger.Task]("task")
}
