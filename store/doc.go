// Package store keeps what builders and users leave: projects and their edits, releases, accounts,
// sessions, trails, and the log of plant commands.
//
//   - store.go: the database and its migrations, in migrations/
//   - projects.go, edits.go: projects with their pictures, and edits of them
//   - releases.go, history.go: their releases; edits that were made
//   - people.go, links.go: people as who administers the program sees them; links by which a password is set
//   - devices.go: unattended displays, and the codes by which they come in
//   - issued.go: who comes in by an issuer of OpenID Connect
//   - connections.go: databases and plants that were added in the program, with what is secret sealed
//   - accounts.go, sessions.go, passwords.go: who may come in, and how guessing is slowed
//   - hashing: digests of passwords
//   - age.go: what is forgotten by age
//   - audit.go: who did what to rights, releases and accounts
//   - visit.go: who asks, where, and at which place, at once; how somebody stands at a place of a trail
//   - near: places of trails that are kept while this is the only server
//   - trails.go: where a user went, and what the tab holds in variables
//   - forms_and_lists.go: what a user typed into a form, and how each likes a list
//   - samples.go: what trends show, of the last hour
//   - used.go: how often ways are pressed
//   - commands.go, callups.go: writes to the plant; what is held; what was called up
//   - servers.go: the servers over the store, which of them leads, and what they tell each other
//   - builders.go: builders who are there, what they practised, and as whom they walked
package store
