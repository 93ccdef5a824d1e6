// Package project is the document: what a project is made of, read strictly and written back the same.
// What a kind of element, effect, move, rule or trigger looks like stands with the kind, in core/kinds;
// here are the registries that name them, and what all of a sort have in common.
//
//   - project.go: a project, its settings, roles and sources; reading one
//   - legal: what a body may be before it is read
//   - entities.go, kinds.go: the kinds of entities, and the registries of kinds
//   - screen.go, element.go, list.go: screens and what stands on them: elements, their points, tabs and menus
//   - gate.go, effect.go, move.go, binding.go: a gate, its trigger, what it does, where it leads, what it brings there
//     and what comes back
//   - way.go: gates of the screen itself
//   - rail.go: rails and drawers
//   - table.go, grant.go: tables, figures of them, conditions, rights
//   - callup.go: what the plant calls up
//   - expectation.go: what is expected of who gets where, and findings that are lived with
//   - walk.go: how somebody goes through, to be gone again
//   - round.go: screens that follow each other while nobody touches any
//   - equipment.go, variable.go, picture.go, palette.go: tags, variables, pictures, colours and looks
//   - file.go: an application as a file, taken elsewhere
//   - schema.go: the names that expressions may use at a place
package project
