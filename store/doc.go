// Package store keeps what builders and users leave: projects and their edits, releases, accounts,
// sessions, trails, and the log of plant commands.
//
//   - store.go: the database and its migrations, in migrations/
//   - projects.go, edits.go, pictures.go: projects, their edits and pictures
//   - releases.go, history.go: their releases; edits that were made
//   - people.go, links.go: people as who administers the program sees them; links by which a password is set
//   - devices.go: unattended displays, and the codes by which they come in
//   - issued.go: who comes in by an issuer of OpenID Connect
//   - connections.go: databases and plants that were added in the program, with what is secret sealed
//   - accounts.go, sessions.go, guesses.go, passwords.go, hashing.go: who may come in, and how guessing is slowed
//   - age.go: what is forgotten by age
//   - audit.go: who did what to rights, releases and accounts
//   - visit.go: who asks, where, and at which place, at once
//   - near: places of trails that are kept while this is the only server
//   - trails.go, variables.go, list_views.go, form_drafts.go: what a user left
//   - samples.go: what trends show, of the last hour
//   - used.go: how often ways are pressed
//   - commands.go, holds.go, callups.go: writes to the plant; what is held; what was called up
//   - servers.go: the servers over the store, and which of them leads; hints.go: what they tell each other
//   - presence.go, practice.go: builders who are there, and what they practised
//   - walks.go: builders who walked as somebody
package store
