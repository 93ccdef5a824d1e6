// Package cond is the tree of a condition or expression: what it comes to in a world, with unknown
// values known as such, and how it is said. A text is compiled to it by cond/compile; what can be proven
// of it is in cond/prove.
//
//   - tree.go, expr.go: the tree, and what a text compiles to
//   - types.go, kind.go: the types and names that an expression may use
//   - value.go, compare.go, parse.go, say.go, format.go: values, their order, how they are read and said
//   - sum.go, spelling.go: a number, and a text, of values, by which it is seen that they are the same
//   - eval.go, decide.go, opaque.go: what a tree comes to; whether it holds; parts that only the library can work out
//   - explain.go: why it came to that
//   - phrase.go, calling.go: the tree in words
//   - pred.go: a condition over a record, bound to a user, as a database can decide it
//   - rows.go: a condition as rows of field, comparison and value
//   - template.go: words with values in them
package cond
