// Package server answers HTTP as api/openapi.yaml says. What users call stands in server/use, what
// builders call in server/build and server/release, what both stand on in server/base; here is what belongs to neither.
//
//   - server.go: routes, limits, what is on at start
//   - account.go: signing in and out, one's own account
//   - client.go: the client's files
//   - pictures.go: pictures of projects
//   - probes.go, noted.go: whether it lives and is ready; requests named, counted and logged
//   - tune.go: how often garbage is collected
package server
