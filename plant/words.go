package plant

import (
	"errors"
	"slices"
	"strings"

	"github.com/gopcua/opcua/ua"

	"ambergate/core/ask"
)

// InWords says what happened while connecting, and what to do; s is how it was tried.
func InWords(err error, s Settings) *ask.Refusal {
	no := func(code, what, then string) *ask.Refusal {
		return &ask.Refusal{Cause: err, Code: code, What: what, Then: then}
	}
	var untrusted *Untrusted
	var status ua.StatusCode
	switch {
	case errors.As(err, &untrusted) && untrusted.Before == "":
		return no("plant-untrusted", "The plant shows a certificate that nobody said to trust yet.", "Compare its fingerprint with the one that the plant itself shows; then trust it.")
	case errors.As(err, &untrusted):
		return no("plant-changed", "The plant shows another certificate than the one that is trusted.", "Ask who runs the plant whether it was given a new one. If nobody knows of it, somebody else may be answering.")
	case errors.Is(err, ErrNotTrusted):
		return no("plant-trusts-not", "The plant answers, but does not let this program in.", "Let the plant trust the certificate of this program: most keep it in a list of those they refused.")
	case errors.Is(err, ErrNoOffer):
		return no("plant-offers-not", "The plant does not offer this.", "Choose among what it offers, or have it offered there.")
	case errors.Is(err, ErrNamespace):
		return no("no-namespace", "The plant has no namespace “"+s.Namespace+"”.", "Choose one of those it has, or leave it empty.")
	case errors.Is(err, ErrNotReached):
		return no("no-plant", "Nothing at “"+s.Endpoint+"” answers as a plant does.", "Check the address and the port, and whether OPC UA is switched on there.")
	case errors.Is(err, ua.StatusBadUserAccessDenied), errors.Is(err, ua.StatusBadIdentityTokenRejected), errors.Is(err, ua.StatusBadIdentityTokenInvalid):
		what := "The plant does not let “" + s.Login + "” in with this password."
		then := "Check the name and the password."
		switch {
		case s.Certified:
			what, then = "The plant lets nobody sign in by the certificate of this program.", "Let the plant take it as that of a user: most keep those in a list of their own."
		case s.Login == "":
			what = "The plant lets nobody in without a name."
		}
		return no("no-login", what, then)
	case errors.As(err, &status):
		return no("plant-refused", "The plant says no: "+status.Error()+".", "Show this to who runs the plant.")
	}
	return no("no-plant", "The connection to the plant failed.", "Try it again.")
}

// Wrong says what can be seen to be wrong with settings without trying them, by the part it is in.
func (s Settings) Wrong() map[string]string {
	wrong := map[string]string{}
	if rest, ok := strings.CutPrefix(s.Endpoint, "opc.tcp://"); !ok || rest == "" || strings.ContainsAny(rest, " ?#@") {
		wrong["endpoint"] = "An address of OPC UA begins with opc.tcp://, as opc.tcp://10.0.0.12:4840 does."
	}
	if modes[s.Security] == 0 {
		wrong["security"] = "Choose how the way to the plant is kept safe: off, signed or encrypted."
	}
	if s.Policy != "" && !slices.Contains(Policies, s.Policy) {
		wrong["policy"] = "Choose one of " + strings.Join(Policies, ", ") + "."
	}
	if s.Login != "" && s.Security == None {
		wrong["login"] = "A password is sent to a plant only on a way that is signed or encrypted."
	}
	if s.Certified && (s.Login != "" || s.Security == None) {
		wrong["login"] = "Signing in by a certificate takes no name, and a way that is signed or encrypted."
	}
	if s.Login == "" && s.Password != "" {
		wrong["login"] = "Write the name that the password belongs to."
	}
	return wrong
}
