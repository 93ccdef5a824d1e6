// Package administer answers what those call who run the program: the first person, people and their links,
// connections, and new applications.
//
//   - side.go: who may
//   - first.go: the first person of all; links
//   - issuer.go: signing in by an issuer of OpenID Connect
//   - people.go: people, and what they may
//   - devices.go: unattended displays, and the codes by which they come in
//   - log.go: who did what
//   - connections.go: databases that applications read and change
//   - plants.go: plants as connections, browsed; the certificate they are shown
//   - files.go: applications as files
//   - structure.go: what is in a database, and the application that is proposed of it
package administer
