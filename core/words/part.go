package words

// Part is what a chip of a sentence stands for, and so what its picker changes.
type Part string

// The parts of a way's sentence.
const (
	PartTrigger   Part = "trigger"   // what sets the way off
	PartRoles     Part = "roles"     // for whom
	PartWhile     Part = "while"     // while what holds
	PartWhen      Part = "when"      // when a case is taken
	PartUse       Part = "use"       // the shared gate
	PartGive      Part = "give"      // what an input of the shared gate gets
	PartDo        Part = "do"        // an effect
	PartTarget    Part = "target"    // where one is moved
	PartRecord    Part = "record"    // what an input of the target gets
	PartNone      Part = "none"      // what happens where there is none
	PartBy        Part = "by"        // what decides among several screens
	PartWith      Part = "with"      // what fills in a part of an address
	PartCarry     Part = "carry"     // what goes along
	PartSpot      Part = "spot"      // where in the target
	PartSpotRow   Part = "spotRow"   // at which row
	PartMode      Part = "mode"      // to view or to edit
	PartAs        Part = "as"        // how it is opened
	PartBack      Part = "back"      // what happens when a dialog comes back
	PartResult    Part = "result"    // what a dialog comes back with
	PartOtherwise Part = "otherwise" // what shows while the condition fails
	PartConfirm   Part = "confirm"   // what is asked before
	PartArrive    Part = "arrive"    // what the list begins with
)

// The parts of sentences about rights; roles belong to them too.
const (
	PartTable    Part = "table"    // the table of a screen’s record
	PartVerbs    Part = "verbs"    // what a role may do
	PartRows     Part = "rows"     // with which records
	PartChanges  Part = "changes"  // which of them it may change
	PartHidden   Part = "hidden"   // fields hidden from it
	PartReadOnly Part = "readOnly" // fields it may not change
	PartGuard    Part = "guard"    // while what holds a screen is open
)

// Parts lists all of them: those of ways, then those of rights.
func Parts() []Part {
	return []Part{
		PartTrigger,
		PartRoles,
		PartWhile,
		PartWhen,
		PartUse,
		PartGive,
		PartDo,
		PartTarget,
		PartRecord,
		PartNone,
		PartBy,
		PartWith,
		PartCarry,
		PartSpot,
		PartSpotRow,
		PartMode,
		PartAs,
		PartBack,
		PartResult,
		PartOtherwise,
		PartConfirm,
		PartArrive,
		PartTable,
		PartVerbs,
		PartRows,
		PartChanges,
		PartHidden,
		PartReadOnly,
		PartGuard,
	}
}
