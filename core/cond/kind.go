package cond

// Kind is the type of a value, or of a path before its value is known.
type Kind uint8

// String gives the kind's name as documents and the API write it.
func (k Kind) String() string { return kindWords[k] }

// KindOf is the reverse of String; false when there is no such kind.
func KindOf(name string) (Kind, bool) {
	for i, w := range kindWords {
		if w == name {
			return Kind(i), true
		}
	}
	return Unknown, false
}
