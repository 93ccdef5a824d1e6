package plant

import (
	"context"
	"errors"
	"fmt"
	"io"
	"slices"
	"strings"
	"time"

	"github.com/gopcua/opcua"
	"github.com/gopcua/opcua/ua"

	"ambergate/plant/certificate"
)

// Settings is where a plant is, how the way there is kept safe, and who signs in to it.
type Settings struct {
	Endpoint  string // such as opc.tcp://127.0.0.1:4840
	Namespace string // URI of the namespace in which names without one are looked up
	Security  string // one of None, Signed, Encrypted
	Policy    string // one of Policies; "" for the best that the plant offers
	Trusted   string // fingerprint of the plant's certificate; any that is safe enough to send nothing secret when None
	Login     string // "" for nobody's name
	Password  string
	Certified bool             // signs in by the program's certificate instead of a name
	Own       *certificate.Own // the program's; not needed for None
}

// How the way to a plant is kept safe (OPC UA Part 4, MessageSecurityMode).
const (
	None      = "off"
	Signed    = "signed"
	Encrypted = "encrypted"
)

var modes = map[string]ua.MessageSecurityMode{None: ua.MessageSecurityModeNone, Signed: ua.MessageSecurityModeSign, Encrypted: ua.MessageSecurityModeSignAndEncrypt}

// Policies are the security policies (OPC UA Part 7) that may be asked for, the best first. Those that are known to be
// broken are not among them.
var Policies = []string{"Aes256_Sha256_RsaPss", "Aes128_Sha256_RsaOaep", "Basic256Sha256"}

// Offer is one way in that a plant offers.
type Offer struct {
	Security string // Signed, …
	Policy   string // "" for None
	Named    bool   // it lets people in by a name and a password
}

// Errors of connecting, which say what to do about it.
var (
	ErrNotReached = errors.New("nothing answers there as a plant does")
	ErrNoOffer    = errors.New("the plant does not offer this kind of safety")
	ErrNamespace  = errors.New("the plant has no such namespace")
	ErrNotTrusted = errors.New("the plant does not let this program in: it may not trust its certificate")
)

// Untrusted means that the plant shows a certificate that nobody said to trust.
type Untrusted struct {
	Shown  certificate.Shown
	Before string // the fingerprint that is trusted; "" for none yet
}

// Error says what it shows.
func (u *Untrusted) Error() string {
	return "the plant shows a certificate that is not trusted: " + u.Shown.Fingerprint
}

// How long the steps of connecting may take.
const (
	dialLimit    = 2 * time.Second
	requestLimit = 2 * time.Second
)

// connect opens a session. Errors: ErrNotReached, ErrNoOffer, ErrNotTrusted, *Untrusted, a ua.StatusCode.
func connect(ctx context.Context, s Settings) (*opcua.Client, error) {
	options := []opcua.Option{opcua.AutoReconnect(false), opcua.DialTimeout(dialLimit), opcua.RequestTimeout(requestLimit)}
	if s.Security == None || s.Security == "" {
		options = append(options, opcua.SecurityMode(ua.MessageSecurityModeNone))
	} else {
		safe, err := secured(ctx, s)
		if err != nil {
			return nil, err
		}
		options = append(options, safe...)
	}
	client, err := opcua.NewClient(s.Endpoint, options...)
	if err != nil {
		return nil, fmt.Errorf("prepare the connection: %w", err)
	}
	err = client.Connect(ctx)
	if s.Security != None && s.Security != "" && (errors.Is(err, io.EOF) || errors.Is(err, ua.StatusBadSecurityChecksFailed) || errors.Is(err, ua.StatusBadCertificateUntrusted)) {
		return nil, fmt.Errorf("%w: %w", ErrNotTrusted, err)
	}
	if err != nil {
		return nil, reached(err)
	}
	return client, nil
}

// reached tells what the plant says from what it does not say for not being there.
func reached(err error) error {
	var status ua.StatusCode
	if errors.As(err, &status) {
		return fmt.Errorf("connect: %w", err)
	}
	return fmt.Errorf("%w: %w", ErrNotReached, err)
}

// secured chooses among what the plant offers, and holds it to the certificate that is trusted: the channel is opened
// with the key of that certificate, so nobody else can answer.
func secured(ctx context.Context, s Settings) ([]opcua.Option, error) {
	endpoints, err := offered(ctx, s.Endpoint)
	if err != nil {
		return nil, err
	}
	at := choose(endpoints, s)
	if at == nil {
		return nil, ErrNoOffer
	}
	if shown := certificate.Show(at.ServerCertificate); shown.Fingerprint != s.Trusted {
		return nil, &Untrusted{Shown: shown, Before: s.Trusted}
	}
	options := []opcua.Option{opcua.Certificate(s.Own.DER), opcua.PrivateKey(s.Own.Key)}
	switch {
	case s.Certified:
		return append(options, opcua.AuthCertificate(s.Own.DER), opcua.AuthPrivateKey(s.Own.Key), opcua.SecurityFromEndpoint(at, ua.UserTokenTypeCertificate)), nil
	case s.Login == "":
		return append(options, opcua.AuthAnonymous(), opcua.SecurityFromEndpoint(at, ua.UserTokenTypeAnonymous)), nil
	}
	return append(options, opcua.AuthUsername(s.Login, s.Password), opcua.SecurityFromEndpoint(at, ua.UserTokenTypeUserName)), nil
}

func offered(ctx context.Context, endpoint string) ([]*ua.EndpointDescription, error) {
	endpoints, err := opcua.GetEndpoints(ctx, endpoint, opcua.DialTimeout(dialLimit), opcua.RequestTimeout(requestLimit))
	if err != nil {
		return nil, reached(err)
	}
	return endpoints, nil
}

// choose takes the endpoint of the wanted mode, by the wanted policy or else by the best; nil for none.
func choose(endpoints []*ua.EndpointDescription, s Settings) *ua.EndpointDescription {
	policies := Policies
	if s.Policy != "" {
		policies = []string{s.Policy}
	}
	for _, policy := range policies {
		for _, e := range endpoints {
			if e.SecurityMode == modes[s.Security] && policyOf(e) == policy {
				return e
			}
		}
	}
	return nil
}

func policyOf(e *ua.EndpointDescription) string {
	return e.SecurityPolicyURI[strings.LastIndex(e.SecurityPolicyURI, "#")+1:]
}

// offers tells endpoints as people choose them: those that are known to be broken are left out.
func offers(endpoints []*ua.EndpointDescription) []Offer {
	out := []Offer{}
	for _, security := range []string{Encrypted, Signed, None} {
		for _, policy := range append([]string{"None"}, Policies...) {
			for _, e := range endpoints {
				if e.SecurityMode != modes[security] || policyOf(e) != policy {
					continue
				}
				o := Offer{Security: security, Policy: policy}
				if policy == "None" {
					o.Policy = ""
				}
				o.Named = slices.ContainsFunc(e.UserIdentityTokens, func(t *ua.UserTokenPolicy) bool { return t.TokenType == ua.UserTokenTypeUserName })
				if !slices.Contains(out, o) {
					out = append(out, o)
				}
			}
		}
	}
	return out
}

// Tried is what was found by trying.
type Tried struct {
	Offers     []Offer            // ways in, the safest first
	Shown      *certificate.Shown // the plant's certificate; nil where it has none
	Namespaces []string           // URIs, but for that of OPC UA itself
	Server     string             // what it calls itself
}

// Try connects and tells what there is. What was found before it failed is told with the error. Errors: as connect,
// and ErrNamespace.
func Try(ctx context.Context, s Settings) (Tried, error) {
	out := Tried{Offers: []Offer{}, Namespaces: []string{}}
	endpoints, err := offered(ctx, s.Endpoint)
	if err != nil {
		return out, err
	}
	out.Offers = offers(endpoints)
	for _, e := range endpoints {
		if e.Server != nil && e.Server.ApplicationName != nil {
			out.Server = e.Server.ApplicationName.Text
		}
		if len(e.ServerCertificate) > 0 {
			shown := certificate.Show(e.ServerCertificate)
			out.Shown = &shown
		}
	}
	client, err := connect(ctx, s)
	if err != nil {
		return out, err
	}
	defer closeSoon(ctx, client)
	all, err := client.NamespaceArray(ctx)
	if err != nil {
		return out, reached(err)
	}
	out.Namespaces = append(out.Namespaces, all[min(1, len(all)):]...)
	if s.Namespace != "" && !slices.Contains(all, s.Namespace) {
		return out, ErrNamespace
	}
	return out, nil
}

// closeSoon ends a session; the other side may be gone.
func closeSoon(ctx context.Context, client *opcua.Client) {
	closing, cancel := context.WithTimeout(context.WithoutCancel(ctx), time.Second)
	defer cancel()
	_ = client.Close(closing)
}
