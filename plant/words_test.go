package plant

import (
	"errors"
	"fmt"
	"maps"
	"slices"
	"strings"
	"testing"

	"github.com/gopcua/opcua/ua"

	"ambergate/plant/certificate"
)

// Whatever keeps a plant from being reached is said in words, with what to do about it.
func TestWhatAPlantSaysIsSaidInWords(t *testing.T) {
	at := Settings{Endpoint: "opc.tcp://10.0.0.12:4840", Namespace: "urn:works", Login: "operator"}
	nobody, certified := at, at
	nobody.Login = ""
	certified.Login, certified.Certified = "", true
	for what, c := range map[string]struct {
		err  error
		s    Settings
		code string
		says string
	}{
		"nobody trusts it yet":           {&Untrusted{Shown: certificate.Shown{Fingerprint: "AB"}}, at, "plant-untrusted", "nobody said to trust"},
		"another certificate":            {&Untrusted{Shown: certificate.Shown{Fingerprint: "AB"}, Before: "CD"}, at, "plant-changed", "another certificate"},
		"it does not trust this program": {fmt.Errorf("%w: end of file", ErrNotTrusted), at, "plant-trusts-not", "does not let this program in"},
		"it does not offer that":         {ErrNoOffer, at, "plant-offers-not", "does not offer"},
		"no such namespace":              {ErrNamespace, at, "no-namespace", "urn:works"},
		"nobody answers":                 {fmt.Errorf("%w: refused", ErrNotReached), at, "no-plant", "10.0.0.12"},
		"a wrong password":               {ua.StatusBadUserAccessDenied, at, "no-login", "operator"},
		"nobody without a name":          {ua.StatusBadIdentityTokenRejected, nobody, "no-login", "without a name"},
		"a certificate of no user":       {ua.StatusBadIdentityTokenInvalid, certified, "no-login", "certificate of this program"},
		"anything else that it says":     {ua.StatusBadTooManySessions, at, "plant-refused", "says no"},
		"anything else at all":           {errors.New("broken pipe"), at, "no-plant", "failed"},
	} {
		r := InWords(c.err, c.s)
		if r.Code != c.code || !strings.Contains(r.What, c.says) || r.Then == "" {
			t.Errorf("%s: %s, %q, %q", what, r.Code, r.What, r.Then)
		}
		if !errors.Is(r, c.err) {
			t.Errorf("%s: what happened is lost", what)
		}
	}
}

// What can be seen to be wrong is said at its part, before anything is tried.
func TestSettingsThatCannotBeRight(t *testing.T) {
	right := Settings{Endpoint: "opc.tcp://10.0.0.12:4840", Security: Encrypted, Login: "operator", Password: "secret"}
	if wrong := right.Wrong(); len(wrong) > 0 {
		t.Fatalf("%v", wrong)
	}
	for what, c := range map[string]struct {
		change func(s *Settings)
		parts  []string
	}{
		"no address of a plant":              {func(s *Settings) { s.Endpoint = "http://10.0.0.12" }, []string{"endpoint"}},
		"an address with a name in it":       {func(s *Settings) { s.Endpoint = "opc.tcp://me@10.0.0.12" }, []string{"endpoint"}},
		"no address":                         {func(s *Settings) { s.Endpoint = "opc.tcp://" }, []string{"endpoint"}},
		"a safety that is none":              {func(s *Settings) { s.Security = "perhaps" }, []string{"security"}},
		"a policy that is broken":            {func(s *Settings) { s.Policy = "Basic128Rsa15" }, []string{"policy"}},
		"a password that anybody could read": {func(s *Settings) { s.Security = None }, []string{"login"}},
		"a password of nobody":               {func(s *Settings) { s.Login = "" }, []string{"login"}},
		"a certificate and a name":           {func(s *Settings) { s.Certified = true }, []string{"login"}},
		"a certificate on an open way":       {func(s *Settings) { s.Certified, s.Login, s.Password, s.Security = true, "", "", None }, []string{"login"}},
		"two things":                         {func(s *Settings) { s.Endpoint, s.Policy = "", "none" }, []string{"endpoint", "policy"}},
		"a certificate, and nothing else":    {func(s *Settings) { s.Certified, s.Login, s.Password = true, "", "" }, nil},
		"nobody's name on an open way":       {func(s *Settings) { s.Login, s.Password, s.Security = "", "", None }, nil},
	} {
		s := right
		c.change(&s)
		if parts := slices.Sorted(maps.Keys(s.Wrong())); !slices.Equal(parts, c.parts) {
			t.Errorf("%s: %v, want %v", what, s.Wrong(), c.parts)
		}
	}
}
