// Package press is what a press does: it judges the way again, does its effects in order, and tells the
// place that it leads to. It changes records only through ask.Changer, and says which tags to write.
//
//   - press.go: a press, its outcome
//   - kinds.go: what each kind of effect and trigger does for it
//   - typed.go: what was typed on the form
//   - assign.go, keep.go, delete.go: records that are changed, added, deleted
//   - keep_row.go, several.go: a row edited in its list; many rows at once
//   - question.go: what is asked before
//   - look.go, vars.go: what only changes how one looks, and what is kept in variables
//   - back.go: a dialog that comes back
package press
