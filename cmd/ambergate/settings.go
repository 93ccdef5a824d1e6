package main

import (
	"crypto/tls"
	"errors"
	"fmt"
	"maps"
	"net"
	"net/url"
	"os"
	"slices"
	"strings"

	"github.com/goccy/go-yaml"
	"github.com/spf13/pflag"

	"ambergate/database"
	"ambergate/plant"
	"ambergate/server/base"
	"ambergate/server/bounds"
)

// settings is the configuration as a file (YAML) says it. What flags or the environment say goes before it.
type settings struct {
	Address string                   `yaml:"address"`         // where to serve
	Dir     string                   `yaml:"dir"`             // folder of the key, and of the private cluster
	Store   string                   `yaml:"store"`           // connection string of the program's own database
	Peers   string                   `yaml:"peers"`           // where other servers over the same store reach this one
	Records map[string]string        `yaml:"records"`         // connection strings, by name
	Replica map[string]string        `yaml:"replicas"`        // connection strings of replicas for reading, by name
	Plants  map[string]plantSettings `yaml:"plants"`          // by name
	Issuer  issuerSettings           `yaml:"issuer"`          // by which people may sign in too
	Metrics string                   `yaml:"metrics"`         // where to tell what is counted and timed
	Log     string                   `yaml:"log"`             // text or json
	Level   string                   `yaml:"log-level"`       // debug, info, warn, error
	Cert    string                   `yaml:"tls-cert"`        // certificate to serve over TLS with, a file
	CertKey string                   `yaml:"tls-key"`         // its key, a file
	Drain   string                   `yaml:"drain"`           // how long it answers after it was told to end
	Limits  bounds.Limits            `yaml:"limits"`          // what it takes and does at the most
	TLS     bool                     `yaml:"behind-tls"`      // browsers reach it over TLS
	Proxies []string                 `yaml:"trusted-proxies"` // whose word is taken for where a request comes from
}

// issuerSettings is an issuer of OpenID Connect, and what its word is worth.
type issuerSettings struct {
	URL    string               `yaml:"url"`
	Client string               `yaml:"client"`
	Secret string               `yaml:"secret"` // or AMBERGATE_ISSUER_SECRET
	Name   string               `yaml:"name"`
	Login  string               `yaml:"login"`
	Make   bool                 `yaml:"make"`
	Claim  string               `yaml:"claim"`
	Roles  []issuerRoleSettings `yaml:"roles"`
}

type issuerRoleSettings struct {
	Value       string `yaml:"value"`
	Application string `yaml:"application"`
	Role        string `yaml:"role"`
}

// issuer gives what the server works with; nil where none is configured.
func (i issuerSettings) issuer() *base.Issuer {
	if i.URL == "" {
		return nil
	}
	out := &base.Issuer{URL: i.URL, Client: i.Client, Secret: i.Secret, Name: i.Name, Login: i.Login, Make: i.Make, Claim: i.Claim}
	if secret := os.Getenv("AMBERGATE_ISSUER_SECRET"); secret != "" {
		out.Secret = secret
	}
	if out.Name == "" {
		out.Name = strings.TrimPrefix(strings.TrimPrefix(i.URL, "https://"), "http://")
	}
	for _, r := range i.Roles {
		out.Roles = append(out.Roles, base.IssuerRole{Value: r.Value, Application: r.Application, Role: r.Role})
	}
	return out
}

// plantSettings is where a plant is, and how the way there is kept safe.
type plantSettings struct {
	Endpoint  string `yaml:"endpoint"`
	Namespace string `yaml:"namespace"`
	Security  string `yaml:"security"` // off (when absent), signed, encrypted
	Policy    string `yaml:"policy"`   // the best that the plant offers when absent
	Trusted   string `yaml:"trusted"`  // fingerprint of the plant's certificate
	Login     string `yaml:"login"`
	Password  string `yaml:"password"`
	Certified bool   `yaml:"certified"` // signs in by the program's certificate instead of a name
}

func (p plantSettings) settings() plant.Settings {
	out := plant.Settings{Endpoint: p.Endpoint, Namespace: p.Namespace, Security: p.Security, Policy: p.Policy, Trusted: p.Trusted, Login: p.Login, Password: p.Password, Certified: p.Certified}
	if out.Security == "" {
		out.Security = plant.None
	}
	return out
}

// plantsOf gives the plants by name: those of flags or the environment, else those of the file.
func plantsOf(said []string, file map[string]plantSettings) map[string]plant.Settings {
	out := map[string]plant.Settings{}
	for _, one := range said {
		name, rest, _ := strings.Cut(one, "=")
		endpoint, namespace, _ := strings.Cut(rest, ",")
		out[name] = plantSettings{Endpoint: endpoint, Namespace: namespace}.settings()
	}
	if len(said) == 0 {
		for name, p := range file {
			out[name] = p.settings()
		}
	}
	return out
}

// readSettings reads a file strictly: what it does not know is an error, with its line.
func readSettings(file string) (settings, error) {
	var s settings
	text, err := os.ReadFile(file)
	if err != nil {
		return s, fmt.Errorf("read the configuration: %w", err)
	}
	if err := yaml.UnmarshalWithOptions(text, &s, yaml.Strict()); err != nil {
		return s, fmt.Errorf("the configuration %s cannot be read:\n%s", file, yaml.FormatError(err, false, true))
	}
	return s, nil
}

// variable names the variable of the environment that says the same as a flag.
func variable(flag string) string {
	return "AMBERGATE_" + strings.ToUpper(strings.ReplaceAll(flag, "-", "_"))
}

// fill lets what no flag says be said by the environment, else by the file, else by what is usual.
func fill(flags *pflag.FlagSet, file settings) error {
	from := map[string][]string{"address": one(file.Address), "dir": one(file.Dir), "store": one(file.Store), "peers": one(file.Peers), "metrics": one(file.Metrics), "log": one(file.Log), "log-level": one(file.Level), "tls-cert": one(file.Cert), "tls-key": one(file.CertKey), "drain": one(file.Drain), "trusted-proxies": file.Proxies}
	if file.TLS {
		from["behind-tls"] = []string{"true"}
	}
	for name, dsn := range file.Records {
		from["records"] = append(from["records"], name+"="+dsn)
	}
	for name, dsn := range file.Replica {
		from["replica"] = append(from["replica"], name+"="+dsn)
	}
	var wrong []error
	flags.VisitAll(func(f *pflag.Flag) {
		if f.Changed || f.Name == "config" || f.Name == "help" {
			return
		}
		values, where := from[f.Name], "in the configuration"
		if value := os.Getenv(variable(f.Name)); value != "" {
			values, where = []string{value}, "in "+variable(f.Name)
			if f.Value.Type() == "stringArray" {
				values = strings.Fields(value)
			}
		}
		for _, v := range values {
			if err := flags.Set(f.Name, v); err != nil {
				wrong = append(wrong, fmt.Errorf("%s %s: %w", f.Name, where, err))
			}
		}
	})
	return errors.Join(wrong...)
}

func one(value string) []string {
	if value == "" {
		return nil
	}
	return []string{value}
}

// wrong says what can be seen to be wrong with settings without starting anything, a line each.
func (o serveOptions) wrong() (out []string) {
	say := func(format string, args ...any) { out = append(out, fmt.Sprintf(format, args...)) }
	if _, _, err := net.SplitHostPort(o.address); err != nil {
		say("address: “%s” is no HOST:PORT", o.address)
	}
	if o.metrics != "" {
		if _, _, err := net.SplitHostPort(o.metrics); err != nil {
			say("metrics: “%s” is no HOST:PORT", o.metrics)
		}
	}
	if o.logs != "text" && o.logs != "json" {
		say("log: “%s” is neither text nor json", o.logs)
	}
	if _, err := levelOf(o.logLevel); err != nil {
		say("log-level: “%s” is none of debug, info, warn, error", o.logLevel)
	}
	if (o.cert == "") != (o.certKey == "") {
		say("tls-cert, tls-key: name both, the certificate and its key, or neither")
	} else if o.cert != "" {
		if _, err := tls.LoadX509KeyPair(o.cert, o.certKey); err != nil {
			say("tls-cert, tls-key: %v", err)
		}
	}
	if o.drain < 0 {
		say("drain: it cannot be less than nothing")
	}
	out = append(out, o.limits.Wrong()...)
	if o.peers != "" {
		if host, _, err := net.SplitHostPort(o.peers); err != nil || host == "" || net.ParseIP(host) != nil && net.ParseIP(host).IsUnspecified() {
			say("peers: “%s” is no HOST:PORT at which other servers could reach this one", o.peers)
		}
		if o.store == "" {
			say("peers: a server with a private cluster is alone; name the store that it shares")
		}
	}
	if o.store != "" {
		if err := database.Legal(o.store); err != nil {
			say("store: this is no connection string of PostgreSQL")
		}
	}
	for _, r := range o.records {
		if name, dsn, ok := strings.Cut(r, "="); !ok || name == "" {
			say("records: write NAME=CONNECTION")
		} else if err := database.Legal(dsn); err != nil {
			say("records: the connection of “%s” is no connection string of PostgreSQL", name)
		}
	}
	for _, r := range o.replicas {
		name, dsn, ok := strings.Cut(r, "=")
		known := slices.ContainsFunc(o.records, func(other string) bool { return strings.HasPrefix(other, name+"=") })
		if !ok || !known {
			say("replica: “%s” is none of the records", name)
		} else if err := database.Legal(dsn); err != nil {
			say("replica: the connection of the replica of “%s” is no connection string of PostgreSQL", name)
		}
	}
	for _, name := range slices.Sorted(maps.Keys(o.plantsAt)) {
		for _, part := range slices.Sorted(maps.Values(o.plantsAt[name].Wrong())) {
			say("plant “%s”: %s", name, part)
		}
	}
	if i := o.issuer; i != nil {
		if at, err := url.Parse(i.URL); err != nil || at.Host == "" || at.Scheme != "https" && at.Hostname() != "127.0.0.1" && at.Hostname() != "localhost" {
			say("issuer: “%s” is no address that begins with https://", i.URL)
		}
		if i.Client == "" || i.Secret == "" {
			say("issuer: it needs the client and its secret")
		}
	}
	for _, p := range o.proxies {
		if _, _, err := net.ParseCIDR(p); err != nil && net.ParseIP(p) == nil {
			say("trusted-proxies: “%s” is neither an address nor a network", p)
		}
	}
	return out
}
