// Package fault names the points at which tests let the program die, as by a loss of power. In
// use nothing is armed, and a point costs one comparison.
package fault

import (
	"os"
	"strconv"
	"strings"
	"sync/atomic"
	"syscall"
)

// The points of a press and of an edit, in the order in which they are passed.
const (
	PressBegun      = "press.begun"      // the transaction is open
	PressClaimed    = "press.claimed"    // its id is inserted
	PressDone       = "press.done"       // the effects are done
	PressStored     = "press.stored"     // the outcome is stored
	PressCommitted  = "press.committed"  // records and outcome are kept
	TrailAppending  = "trail.appending"  // before the place is on the trail
	TrailAppended   = "trail.appended"   // after
	CommandIntended = "command.intended" // a tag write is logged as intended
	CommandSent     = "command.marked"   // logged as sent, not sent yet
	CommandWritten  = "command.written"  // the plant has answered
	CommandEnded    = "command.ended"    // its outcome is logged
	HoldKept        = "hold.kept"        // a tag is kept as held, and not true yet
	HoldWritten     = "hold.written"     // it is true
	HoldReleased    = "hold.released"    // it is false again, and still kept as held
	PressAnswering  = "press.answering"  // before the browser is told
	EditBegun       = "edit.begun"       // the transaction is open
	EditWritten     = "edit.written"     // entities and the edit are written
	EditCommitted   = "edit.committed"   // they are kept
	EditAnswering   = "edit.answering"   // before the browser is told
	DraftKept       = "draft.kept"       // what was typed is kept, and nobody told
)

// OfRecords, OfPlant, OfHolds and OfEdits are the points that a press on records, one that writes to the
// plant, a button that is held, and an edit pass.
var (
	OfRecords = []string{PressBegun, PressClaimed, PressDone, PressStored, PressCommitted, TrailAppending, TrailAppended, PressAnswering}
	OfPlant   = []string{PressCommitted, CommandIntended, CommandSent, CommandWritten, CommandEnded, PressAnswering}
	OfHolds   = []string{HoldKept, HoldWritten, HoldReleased}
	OfEdits   = []string{EditBegun, EditWritten, EditCommitted, EditAnswering}
)

// Variable names the environment variable that arms a point: its name, and after a colon which
// time it is passed (the first if none).
const Variable = "AMBERGATE_FAULT"

var armed, left = arm(os.Getenv(Variable))

func arm(text string) (string, *atomic.Int64) {
	name, times, _ := strings.Cut(text, ":")
	n, err := strconv.ParseInt(times, 10, 64)
	if err != nil || n < 1 {
		n = 1
	}
	left := new(atomic.Int64)
	left.Store(n)
	return name, left
}

// At lets the program die if this point is armed.
func At(point string) {
	if armed == "" || armed != point || left.Add(-1) != 0 {
		return
	}
	_ = syscall.Kill(os.Getpid(), syscall.SIGKILL)
	select {} // nothing more is done, whatever the moment of the kill
}
