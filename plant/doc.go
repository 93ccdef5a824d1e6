// Package plant reads and writes the tags of a plant by OPC UA.
//
//   - client.go: the connection, kept up
//   - values.go: values that are watched, their quality, their history
//   - listen.go: who is told of changes
//   - write.go: writes, each sent once at most
package plant
