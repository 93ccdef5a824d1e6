package ask

import "ambergate/core/cond"

// Tags reads live values from the plant's cache; it never waits.
type Tags interface {
	Read(ref TagRef) Reading
}

// TagRef names one live value.
type TagRef struct{ Source, Node string }

// Reading is a live value with its quality. A value that is not good is unknown, with the reason.
type Reading struct {
	Value   cond.Value
	At      int64 // Unix milliseconds of the source's time; 0 if never
	Writing int64 // Unix milliseconds since when a command to it is on its way; 0 for none
}
