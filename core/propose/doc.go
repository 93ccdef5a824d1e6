// Package propose makes an application of the structure of a database: what its tables, fields and records are
// called, what they are, how they hang together, and screens and ways for them. Each proposal says why; whoever
// builds corrects it before anything is kept, by a Wish.
//
//   - words.go: names of a database as words, and ids, aliases and addresses made of them
//   - wish.go: what was chosen and corrected
//   - kinds.go: what a column is
//   - checks.go: what a database's conditions say of a column: choices, ranges, lengths, patterns
//   - table.go: a table: what it is called, its key, its fields
//   - telling.go: what a record is called, what a list shows and in which order
//   - tables.go: all chosen tables, and how they hang together
//   - elements.go: elements and gates, as a document holds them
//   - screens.go: screens of a table: its list and its form
//   - start.go: the start screen, and the rail
//   - again.go, taken.go: what differs when a database is read again, and a table that is taken in later
//   - equipment.go, operator.go: folders of a plant as equipment of records, with a screen
//   - tag.go: a single value of a plant, that belongs to no record
//   - offer.go, live.go, guiding.go, room.go: elements for an empty cell of a screen, those of plants and guided tasks
//     among them, and room for them
//   - narrowing.go, site_plan.go: inputs by which what is chosen narrows a screen; records on a picture
//   - later.go, one_screen.go: screens and a dashboard for a table that a project has already
//   - application.go: all of it as the entities of a project, and as a small map
package propose
