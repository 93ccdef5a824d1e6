package nav

import "ambergate/core/project"

// Every kind that a document may hold, each added once. A kind that does not answer to all that is
// asked of its sort does not compile; one that is added twice keeps the program from starting.

type elementOf[T any] interface {
	*T
	project.Spec
	ElementKind
	SaidElement
	DrawnElement
}

type effectOf[T any] interface {
	*T
	project.EffectSpec
	EffectKind
	SaidEffect
	ShutEffect
	DoneEffect
}

type moveOf[T any] interface {
	*T
	project.MoveSpec
	MoveKind
	SaidMove
	AimedMove
}

type rulesOf[T any] interface {
	*T
	project.RuleSpec
	RuleKind
	SaidRule
	GivingKind
}

type wayOf[T any] interface {
	*T
	project.WaySpec
	project.Trigger
	SaidTrigger
}

func element_[T any, P elementOf[T]](name string) {
	project.Elements.Add(name, func() project.Spec { return P(new(T)) })
}

func effect_[T any, P effectOf[T]](name string) {
	project.Effects.Add(name, func() project.EffectSpec { return P(new(T)) })
}

func move_[T any, P moveOf[T]](names ...string) {
	for _, name := range names {
		project.Moves.Add(name, func() project.MoveSpec { return P(new(T)) })
	}
}

func rule_[T any, P rulesOf[T]](names ...string) {
	for _, name := range names {
		project.Rules.Add(name, func() project.RuleSpec { return P(new(T)) })
	}
}

func way_[T any, P wayOf[T]](name string) {
	project.Ways.Add(name, func() project.WaySpec { return P(new(T)) })
	kind := P(new(T)) // what it is asked as a trigger does not depend on what it holds
	project.Triggers.Add(name, func() project.Trigger { return kind })
}

func trigger_[T interface {
	project.Trigger
	SaidTrigger
}](name string) {
	var kind T
	project.Triggers.Add(name, func() project.Trigger { return kind })
}

func init() {
	element_[Button]("button")
	element_[Text]("text")
	element_[Field]("field")
	element_[List]("list")
	element_[Chart]("chart")
	element_[Gauge]("gauge")
	element_[Lamp]("lamp")
	element_[Trend]("trend")
	element_[Figure]("figure")
	element_[Tabs]("tabs")
	element_[Image]("image")

	effect_[saveEffect]("save")
	effect_[setEffect]("set")
	effect_[writeEffect]("write")
	effect_[deleteEffect]("delete")
	effect_[addEffect]("add")
	effect_[addRowEffect]("addRow")
	effect_[narrowEffect]("filter")
	effect_[widenEffect]("clear")
	effect_[sortEffect]("sort")
	effect_[findEffect]("find")
	effect_[tabEffect]("tab")
	effect_[refreshEffect]("refresh")
	effect_[exportEffect]("export")
	effect_[printEffect]("print")
	effect_[setVariableEffect]("setVar")
	effect_[drawerEffect]("drawer")

	move_[screenMove]("screen")
	move_[choiceMove]("choice")
	move_[stepMove]("step")
	move_[alongMove]("along")
	move_[addressMove]("address")
	move_[projectMove]("project")
	move_[closeMove]("close")
	move_[upMove]("up")
	move_[trailMove]("back", "forward", "home", "out")

	rule_[thisRule]("this")
	rule_[clickedRule]("row")
	rule_[savedRule]("saved")
	rule_[userRule]("user")
	rule_[parentRule]("parent")
	rule_[childRule]("child")
	rule_[stepRule]("first", "previous", "next", "last")
	rule_[pickedRule]("picked")
	rule_[pointRule]("point")
	rule_[valueRule]("value")
	rule_[inputRule]("input")
	rule_[expressionRule]("expression")
	rule_[resultRule]("result")

	way_[swipe]("swipe")
	way_[enteredWay]("entered")
	way_[left]("left")
	way_[later]("time")
	way_[keys]("keys")

	trigger_[releaseTrigger]("release")
	trigger_[pressTrigger]("press")
	trigger_[rowTrigger]("row")
	trigger_[pointTrigger]("point")
	trigger_[changedTrigger]("changed")
	trigger_[menuTrigger]("menu")
	trigger_[severalTrigger]("several")
	trigger_[keepRowTrigger]("keepRow")
}
