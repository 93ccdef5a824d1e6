// Package plan is a project compiled: what is worked out once for each release, and never again for a
// user. It holds no values of records.
//
//   - app.go, screens.go, recompile.go: a whole project; its screens, side by side; only what a change touches
//   - planner.go: one screen
//   - plans.go, rail.go: what comes of it: screens, elements, gates, cases, effects, moves, rails
//   - kinds.go: what each kind of element, effect, move and rule does for it
//   - target.go, scene.go: what a way sees of where it leads; what its texts are read in
//   - reads.go, order.go, child.go, steps.go: what a screen fetches
//   - shared.go: a shared gate, compiled for one that uses it
//   - rules.go, granted.go: row rules; what roles are granted
//   - callup.go, recorded.go: what the plant calls up; what trends show
//   - way.go, facts.go, results.go, adds.go, vars.go, uses.go: ways, and what can be told of them
package plan
