package certificate

import (
	"crypto/rand"
	"crypto/rsa"
	"crypto/sha256"
	"crypto/x509"
	"crypto/x509/pkix"
	"encoding/hex"
	"encoding/pem"
	"errors"
	"fmt"
	"io/fs"
	"math/big"
	"net"
	"net/url"
	"os"
	"path/filepath"
	"strings"
	"time"
)

// Own is the application instance certificate of a program (OPC UA Part 6, 6.2.2) with its private key.
type Own struct {
	DER []byte
	Key *rsa.PrivateKey
}

// Names of the files in the folder of the program.
const (
	certificateFile = "plant-certificate.pem"
	keyFile         = "plant-key.pem"
)

// How long a certificate holds that a program makes for itself, and how long its key is in bits.
const (
	certificateYears = 20
	keyBits          = 2048
)

// New makes a self-signed certificate for an application with the given name; uri is what it calls itself
// by to the other side (ApplicationUri).
func New(name, uri string) (*Own, error) {
	key, err := rsa.GenerateKey(rand.Reader, keyBits)
	if err != nil {
		return nil, fmt.Errorf("make a key for plants: %w", err)
	}
	serial, err := rand.Int(rand.Reader, new(big.Int).Lsh(big.NewInt(1), 120))
	if err != nil {
		return nil, fmt.Errorf("make a certificate for plants: %w", err)
	}
	at, err := url.Parse(uri)
	if err != nil {
		return nil, fmt.Errorf("make a certificate for plants: %w", err)
	}
	host, err := os.Hostname()
	if err != nil {
		host = "localhost"
	}
	now := time.Now()
	form := &x509.Certificate{
		SerialNumber: serial, Subject: pkix.Name{CommonName: name}, NotBefore: now.Add(-time.Hour), NotAfter: now.AddDate(certificateYears, 0, 0),
		KeyUsage:    x509.KeyUsageDigitalSignature | x509.KeyUsageContentCommitment | x509.KeyUsageKeyEncipherment | x509.KeyUsageDataEncipherment | x509.KeyUsageCertSign,
		ExtKeyUsage: []x509.ExtKeyUsage{x509.ExtKeyUsageServerAuth, x509.ExtKeyUsageClientAuth}, BasicConstraintsValid: true,
		URIs: []*url.URL{at}, DNSNames: []string{host}, IPAddresses: []net.IP{net.IPv4(127, 0, 0, 1)},
	}
	der, err := x509.CreateCertificate(rand.Reader, form, form, &key.PublicKey, key)
	if err != nil {
		return nil, fmt.Errorf("make a certificate for plants: %w", err)
	}
	return &Own{DER: der, Key: key}, nil
}

// Kept reads the program's certificate from its folder; at the first start it makes one.
func Kept(dir string) (*Own, error) {
	at, keyAt := filepath.Join(dir, certificateFile), filepath.Join(dir, keyFile)
	text, err := os.ReadFile(at)
	if errors.Is(err, fs.ErrNotExist) {
		return newKept(at, keyAt)
	}
	if err != nil {
		return nil, fmt.Errorf("read the certificate for plants: %w", err)
	}
	keyText, err := os.ReadFile(keyAt)
	if err != nil {
		return nil, fmt.Errorf("read the key of the certificate for plants: %w", err)
	}
	damaged := fmt.Errorf("the certificate for plants in %s or its key in %s is damaged: put back those from before, or move both away, and let the plants trust the new one", at, keyAt)
	block, _ := pem.Decode(text)
	keyBlock, _ := pem.Decode(keyText)
	if block == nil || keyBlock == nil {
		return nil, damaged
	}
	parsed, err := x509.ParsePKCS8PrivateKey(keyBlock.Bytes)
	key, ok := parsed.(*rsa.PrivateKey)
	if err != nil || !ok {
		return nil, damaged
	}
	if c, err := x509.ParseCertificate(block.Bytes); err != nil || !key.PublicKey.Equal(c.PublicKey) {
		return nil, damaged
	}
	return &Own{DER: block.Bytes, Key: key}, nil
}

func newKept(at, keyAt string) (*Own, error) {
	host, err := os.Hostname()
	if err != nil {
		host = "localhost"
	}
	c, err := New("Amber Gate on "+host, "urn:"+host+":ambergate")
	if err != nil {
		return nil, err
	}
	key, err := x509.MarshalPKCS8PrivateKey(c.Key)
	if err != nil {
		return nil, fmt.Errorf("write the key for plants: %w", err)
	}
	// The key first: without its certificate it is made anew.
	if err := os.WriteFile(keyAt, pem.EncodeToMemory(&pem.Block{Type: "PRIVATE KEY", Bytes: key}), 0o600); err != nil {
		return nil, fmt.Errorf("keep the key for plants: %w", err)
	}
	if err := os.WriteFile(at, []byte(c.PEM()), 0o644); err != nil {
		return nil, fmt.Errorf("keep the certificate for plants: %w", err)
	}
	return c, nil
}

// PEM is the certificate as a file, without its key.
func (c *Own) PEM() string {
	return string(pem.EncodeToMemory(&pem.Block{Type: "CERTIFICATE", Bytes: c.DER}))
}

// Shown is a certificate as people compare it.
type Shown struct {
	Fingerprint string // SHA-256, in pairs of hexadecimal digits
	Subject     string
	Until       time.Time // it holds until then
}

// Show reads what people compare of a certificate. What cannot be read has a fingerprint alone.
func Show(der []byte) Shown {
	out := Shown{Fingerprint: Fingerprint(der)}
	if c, err := x509.ParseCertificate(der); err == nil {
		out.Subject, out.Until = c.Subject.CommonName, c.NotAfter
	}
	return out
}

// Fingerprint is the SHA-256 of a certificate in pairs of hexadecimal digits.
func Fingerprint(der []byte) string {
	sum := sha256.Sum256(der)
	digits := strings.ToUpper(hex.EncodeToString(sum[:]))
	pairs := make([]string, 0, len(sum))
	for i := 0; i < len(digits); i += 2 {
		pairs = append(pairs, digits[i:i+2])
	}
	return strings.Join(pairs, " ")
}
