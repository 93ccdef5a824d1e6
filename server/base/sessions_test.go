package base

import (
	"testing"
	"time"

	"ambergate/store"
)

// Who was found is believed for a while, and not a moment longer than until something is forgotten; what was read before
// that is not believed after it.
func TestASessionIsBelievedUntilSomethingIsForgotten(t *testing.T) {
	now := time.Now()
	b := &Base{Config: Config{Now: func() time.Time { return now }}}
	s := newSessions(b)
	b.hears.Store(true)
	read := s.forgot.Load()
	keep := func(forgot uint64) {
		s.keep("token|p", keptAccount{account: store.Account{ID: "a_mira"}, until: now.Add(b.believed())}, forgot)
	}
	keep(read)
	a, belief, err := s.Believe(t.Context(), "token", "p")
	if err != nil || a.ID != "a_mira" || !s.Holds(belief) {
		t.Fatalf("%+v, %v; it holds: %v", a, err, s.Holds(belief))
	}
	now = now.Add(heardFor + time.Second)
	if _, known := s.Known("token", "p"); known || s.Holds(belief) {
		t.Error("it is believed for ever")
	}
	now = now.Add(-heardFor)
	s.Forget("another")
	if s.Holds(belief) {
		t.Error("it holds though something was forgotten")
	}
	if _, known := s.Known("token", "p"); !known {
		t.Error("another’s sign-out makes it unknown")
	}
	s.ForgetAccount("a_mira")
	if keep(read); s.kept["token|p"].account.ID != "" {
		t.Error("what was read before it was forgotten is believed")
	}
	if keep(s.forgot.Load()); s.kept["token|p"].account.ID == "" {
		t.Error("what was read since is not believed")
	}
}
