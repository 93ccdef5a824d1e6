// Package ask is what the core asks of what stands outside it: records, tags and pictures, through
// interfaces that others implement, with the rights to ask under, and the refusals that come back.
//
//   - records.go: the ports to records, a query, what it comes to
//   - round.go: several questions at once
//   - noted.go: records of which is known whether they answered the same again
//   - only_read.go: records that cannot be changed here
//   - rules.go: which records a user may see, as the port takes it
//   - tags.go: the port to the plant's tags
//   - picture.go: pictures and their kinds
//   - user.go: who asks
//   - refusal.go: what is refused, in words for people
package ask
