// Package plant reads and writes the tags of a plant by OPC UA.
//
//   - settings.go: where a plant is, how the way there is kept safe, and trying it
//   - client.go: the connection, kept up
//   - nodes.go: how nodes are named and found
//   - browse.go: what there is: browsed and searched
//   - watch.go: what is watched
//   - quiet.go: what nothing is heard of, read
//   - values.go: values as they were read, their quality, their history
//   - words.go: what happened while connecting, in words
//   - listen.go, follow.go: who is told of changes; who gets each of them
//   - write.go: writes, each sent once at most
//   - lead.go: values from another program, which talks to the plant for all
package plant
