// Package core is the heart: what a project is, what holds, where a press leads, what may be wrong.
// It knows no web, no database and no plant: those stand behind the ports of core/ask.
//
// Its packages stand on floors, each importing only from those before it; layers_test.go keeps it so:
//
//   - english: how words are put together; local: numbers and dates as languages write them
//   - cond: the tree of a condition, its evaluation and its words; cond/prove what can be proven of
//     one, cond/compile how one is read from CEL
//   - callup: when the plant calls a screen up
//   - project: the document; patch: changes to it
//   - ask: the ports to records and tags, and what is asked through them
//   - place: screens with their inputs, and their addresses
//   - plan: what is compiled once for each release
//   - rights: what roles may, and see
//   - words: sentences, for builders and findings
//   - use: a screen open for a user: what it shows, what is open
//   - press: what a press does
//   - trail: where somebody has been, and how a press changes that
//   - kinds: every kind of element, effect, move, rule and trigger, a file each
//   - build: what builders are offered, shown and told
//   - check: what is proven without running
//   - whole: the map, the table of who gets where; walk: walks that are gone again
//   - differ: what is different between two states of a project, in words
//   - stand: a small project with records, for tests
package core
