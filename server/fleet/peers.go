package fleet

import (
	"crypto/ed25519"
	"crypto/hkdf"
	"crypto/rand"
	"crypto/sha256"
	"crypto/tls"
	"crypto/x509"
	"errors"
	"math/big"
	"net/http"
	"time"
)

// identity makes of the key that all servers have the one by which they know each other (HKDF, RFC 5869; Ed25519).
func identity(key []byte) ed25519.PrivateKey {
	seed, err := hkdf.Key(sha256.New, key, nil, "amber gate servers", ed25519.SeedSize)
	if err != nil {
		panic("a seed of a legal length cannot be made: " + err.Error())
	}
	return ed25519.NewKeyFromSeed(seed)
}

var errStranger = errors.New("this is no server that has the same key")

// tlsConfig lets servers that have the same key speak to each other, and nobody else (TLS 1.3, both sides show it).
func (f *Fleet) tlsConfig() (*tls.Config, error) {
	now := time.Now()
	form := &x509.Certificate{SerialNumber: big.NewInt(1), NotBefore: now.Add(-24 * time.Hour), NotAfter: now.AddDate(100, 0, 0)}
	own := f.key.Public().(ed25519.PublicKey)
	shown, err := x509.CreateCertificate(rand.Reader, form, form, own, f.key)
	if err != nil {
		return nil, err
	}
	return &tls.Config{
		MinVersion:   tls.VersionTLS13,
		Certificates: []tls.Certificate{{Certificate: [][]byte{shown}, PrivateKey: f.key}},
		ClientAuth:   tls.RequireAnyClientCert,
		// Names and issuers say nothing here: who has the key is a server.
		InsecureSkipVerify: true,
		VerifyConnection: func(state tls.ConnectionState) error {
			if len(state.PeerCertificates) == 0 {
				return errStranger
			}
			if other, ok := state.PeerCertificates[0].PublicKey.(ed25519.PublicKey); !ok || !own.Equal(other) {
				return errStranger
			}
			return nil
		},
	}, nil
}

// ServerTLS is how a server takes the others’ connections.
func (f *Fleet) ServerTLS() (*tls.Config, error) { return f.tlsConfig() }

// How long another server may take to take a connection, and to begin to answer.
const (
	connectWithin = time.Second
	answersWithin = 10 * time.Second
)

func (f *Fleet) peerClient() *http.Client {
	config, err := f.tlsConfig()
	if err != nil {
		panic("a certificate cannot be made of a key: " + err.Error())
	}
	return &http.Client{Transport: &http.Transport{
		TLSClientConfig: config, TLSHandshakeTimeout: connectWithin, ResponseHeaderTimeout: answersWithin,
		MaxIdleConnsPerHost: 64, IdleConnTimeout: time.Minute, DialContext: dialer.DialContext,
	}}
}
