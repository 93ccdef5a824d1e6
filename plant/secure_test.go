package plant

import (
	"bufio"
	"context"
	"encoding/base64"
	"errors"
	"fmt"
	"io"
	"os"
	"os/exec"
	"slices"
	"strconv"
	"syscall"
	"testing"
	"time"

	"github.com/gopcua/opcua/ua"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/plant/certificate"
)

// pumphouse is a plant of another make, which runs beside the tests.
type pumphouse struct {
	endpoint string
	in       io.Writer
}

const pumphouseNamespace = "urn:pumphouse"

func startPumphouse(t *testing.T) *pumphouse {
	t.Helper()
	port := freePort(t)
	p := &pumphouse{endpoint: "opc.tcp://127.0.0.1:" + strconv.Itoa(port)}
	run := exec.Command("node", "../e2e/plant/pumphouse.mjs", t.TempDir(), strconv.Itoa(port))
	run.Stderr = os.Stderr
	out, err := run.StdoutPipe()
	if err != nil {
		t.Fatal(err)
	}
	if p.in, err = run.StdinPipe(); err != nil {
		t.Fatal(err)
	}
	if err := run.Start(); err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() {
		_ = run.Process.Signal(syscall.SIGKILL)
		_ = run.Wait()
	})
	for lines := bufio.NewScanner(out); lines.Scan(); {
		if lines.Text() == "up" {
			return p
		}
	}
	t.Fatal("the plant of another make did not start: is what it needs installed? (make setup)")
	return nil
}

// trust lets the plant trust a certificate, as who runs it would do by hand.
func (p *pumphouse) trust(t *testing.T, c *certificate.Own) {
	t.Helper()
	if _, err := fmt.Fprintln(p.in, base64.StdEncoding.EncodeToString(c.DER)); err != nil {
		t.Fatal(err)
	}
}

func TestTheWayToAPlantIsKeptSafe(t *testing.T) {
	p := startPumphouse(t)
	dir := t.TempDir()
	own, err := certificate.Kept(dir)
	if err != nil {
		t.Fatal(err)
	}
	if again, err := certificate.Kept(dir); err != nil || !slices.Equal(again.DER, own.DER) {
		t.Fatalf("the certificate is another at the second start: %v", err)
	}
	at := Settings{Endpoint: p.endpoint, Namespace: pumphouseNamespace, Security: Encrypted, Own: own}
	tried, err := Try(t.Context(), at)
	var untrusted *Untrusted
	if !errors.As(err, &untrusted) || untrusted.Before != "" || untrusted.Shown.Subject == "" || len(tried.Offers) != 5 {
		t.Fatalf("a plant that nobody trusts yet: %+v %v", tried, err)
	}
	at.Trusted = untrusted.Shown.Fingerprint
	// It does not trust this program yet.
	if _, err := Try(t.Context(), at); !errors.Is(err, ErrNotTrusted) {
		t.Errorf("a plant that does not trust this program: %v", err)
	}
	p.trust(t, own)
	within(t, 40*time.Second, "trusted", func() bool { _, err := Try(t.Context(), at); return err == nil })
	for _, s := range []Settings{{Security: Encrypted, Policy: "Basic256Sha256"}, {Security: Encrypted, Policy: "Aes128_Sha256_RsaOaep"}, {Security: Signed}, {Security: None}} {
		at := at
		at.Security, at.Policy = s.Security, s.Policy
		if tried, err := Try(t.Context(), at); err != nil || !slices.Contains(tried.Namespaces, pumphouseNamespace) {
			t.Errorf("%s by %s: %+v %v", s.Security, s.Policy, tried, err)
		}
	}
	user := at
	user.Certified = true
	if _, err := Try(t.Context(), user); InWords(err, user).Code != "no-login" {
		t.Errorf("a user's certificate that it does not know: %v", err)
	}
	if _, err := fmt.Fprintln(p.in, "user "+base64.StdEncoding.EncodeToString(own.DER)); err != nil {
		t.Fatal(err)
	}
	within(t, 40*time.Second, "signed in by a certificate", func() bool { _, err := Try(t.Context(), user); return err == nil })
	at.Login, at.Password = "operator", "wrong"
	if _, err := Try(t.Context(), at); !errors.Is(err, ua.StatusBadUserAccessDenied) && !errors.Is(err, ua.StatusBadIdentityTokenRejected) {
		t.Errorf("a wrong password: %v", err)
	}
	at.Password = "pumping all day"
	readsByPath(t, at)

	other := at
	other.Trusted = certificate.Fingerprint([]byte("another"))
	if _, err := Try(t.Context(), other); !errors.As(err, &untrusted) || untrusted.Before != other.Trusted {
		t.Errorf("another certificate than the trusted one: %v", err)
	}
	other = at
	other.Policy = Policies[0]
	if _, err := Try(t.Context(), other); !errors.Is(err, ErrNoOffer) {
		t.Errorf("a policy that is not offered: %v", err)
	}
	if _, err := Try(t.Context(), Settings{Endpoint: p.endpoint, Namespace: "urn:none"}); !errors.Is(err, ErrNamespace) {
		t.Errorf("a namespace that is not there: %v", err)
	}
	if _, err := Try(t.Context(), Settings{Endpoint: "opc.tcp://127.0.0.1:1"}); !errors.Is(err, ErrNotReached) {
		t.Errorf("a plant that is not there: %v", err)
	}
}

// Its nodes are numbers: they are found by the names that one browses by.
func readsByPath(t *testing.T, at Settings) {
	t.Helper()
	c := opened(t, at)
	found, _, err := c.Browse(t.Context(), "/Pumphouse/Pump P-002")
	if err != nil || len(found) != 3 {
		t.Fatalf("%+v %v", found, err)
	}
	if f := found[0]; f.Name != "Pressure" || f.Unit != "kPa" || f.High == nil || *f.High != 400 || f.Kind != cond.Number || f.Now != "200" {
		t.Errorf("%+v", f)
	}
	if f := found[1]; f.Name != "Starts" || f.Kind != cond.Whole || f.Now != "14" {
		t.Errorf("%+v", f)
	}
	name := "/Pumphouse/Pump P-003/Pressure"
	c.Watch(context.Background(), []string{name, "nsu=" + pumphouseNamespace + ";i=1031"}, 10*time.Second)
	for _, n := range []string{name, "nsu=" + pumphouseNamespace + ";i=1031"} {
		within(t, 40*time.Second, n, func() bool { return c.Read(ask.TagRef{Node: n}).Value.Wire() == "300" })
	}
	if err := c.Write(t.Context(), "/Pumphouse/Pump P-003/Starts", cond.Int(9)); err != nil {
		t.Errorf("a number without a sign is written: %v", err)
	}
	if err := c.Write(t.Context(), "/Pumphouse/Pump P-003/Starts", cond.Int(-1)); !errors.Is(err, ErrAway) {
		t.Errorf("what does not fit is written: %v", err)
	}
	if found, _, err := c.Search(t.Context(), "p-001 press"); err != nil || len(found) != 1 || found[0].Path != "/Pumphouse/Pump P-001/Pressure" {
		t.Errorf("searched: %+v %v", found, err)
	}
}
