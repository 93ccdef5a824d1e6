package administer

import (
	"context"
	"encoding/json"
	"fmt"
	"maps"
	"net/http"
	"regexp"
	"slices"
	"strings"
	"time"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/records"
	"ambergate/server/answer"
	"ambergate/server/base"
	"ambergate/store"
)

// tryWithin is how long a connection is tried.
const tryWithin = 6 * time.Second

// pingWithin is how long the list waits for each to answer.
const pingWithin = 1500 * time.Millisecond

// GetConnections lists all, without what is secret: who builds applications chooses one, who administers changes them.
func (s *Side) GetConnections(c *gin.Context) {
	call(s, c, builds, func(by store.Account, _ answer.Nothing) ([]api.ConnectionInfo, error) {
		kept, err := s.Store.Connections(c)
		if err != nil {
			return nil, err
		}
		uses, err := s.Store.ConnectionUses(c)
		if err != nil {
			return nil, err
		}
		open := s.Connected.Now()
		infos := map[string]*api.ConnectionInfo{}
		for name := range open.Records {
			infos[name] = &api.ConnectionInfo{Name: name, Kind: base.KindDatabase, Fixed: s.Connected.Fixed(name), Where: "configuration", Uses: []string{}}
		}
		for name, p := range open.Plants {
			infos[name] = &api.ConnectionInfo{Name: name, Kind: base.KindPlant, Fixed: s.Connected.Fixed(name), Good: p.Good(), Where: "configuration", Uses: []string{}}
		}
		for _, k := range kept {
			one := infos[k.Name]
			if one == nil {
				one = &api.ConnectionInfo{Name: k.Name, Kind: k.Kind, Uses: []string{}}
				infos[k.Name] = one
			}
			one.Sealed = !one.Fixed && k.Sealed
			switch {
			case one.Fixed:
			case k.Kind == base.KindPlant:
				describePlant(one, k, open.Plants[k.Name], by.Administers)
			default:
				describe(one, k, by.Administers)
			}
		}
		s.pingAll(c, open, infos)
		out := []api.ConnectionInfo{}
		for _, name := range slices.Sorted(maps.Keys(infos)) {
			if titles := uses[name]; titles != nil {
				infos[name].Uses = titles
			}
			out = append(out, *infos[name])
		}
		return out, nil
	})
}

// describe says where one is that was added in the program; its login only to who may change it.
func describe(one *api.ConnectionInfo, k store.Connection, all bool) {
	var d base.DatabaseSettings
	_ = json.Unmarshal(k.Settings, &d) // what was written by this program can be read by it
	one.Where = fmt.Sprintf("%s at %s:%d", d.Database, d.Host, d.Port)
	if all {
		one.Database = &api.DatabaseSettings{Host: d.Host, Port: d.Port, Database: d.Database, Login: d.Login, Tls: d.TLS}
	}
}

// pingAll asks all databases at once whether they answer.
func (s *Side) pingAll(ctx context.Context, open *base.Open, infos map[string]*api.ConnectionInfo) {
	ctx, stop := context.WithTimeout(ctx, pingWithin)
	defer stop()
	type answered struct {
		name           string
		good, onlyRead bool
	}
	answers := make(chan answered, len(open.Records))
	for name, r := range open.Records {
		go func() {
			defer base.Recovered(s.Log, "ask a database whether it is there")
			good := r.Ping(ctx) == nil
			answers <- answered{name, good, good && r.OnlyRead()}
		}()
	}
	for range open.Records {
		select {
		case a := <-answers:
			infos[a.name].Good, infos[a.name].OnlyRead = a.good, a.onlyRead
		case <-ctx.Done():
			return
		}
	}
}

var nameForm = regexp.MustCompile(`^[\p{L}\p{N}][\p{L}\p{N} ._-]{0,49}$`)

// written is a connection as somebody wrote it down: a database or a plant.
type written interface {
	kind() string
	settled() any // what is kept of it, without what is secret
	wrong(password string) map[string]string
	try(ctx context.Context, password string) (api.Tried, error)
}

// writtenIn reads what somebody wrote down, and refuses what can be no connection, each field with words of its own.
func (s *Side) writtenIn(ctx context.Context, req api.ConnectionKept) (w written, password string, err error) {
	switch {
	case req.Database != nil && req.Plant == nil:
		w = databaseOf(*req.Database)
	case req.Plant != nil && req.Database == nil:
		w = s.plantOf(*req.Plant)
	default:
		return nil, "", &ask.Refusal{Code: "bad-request", What: "A connection is a database or a plant.", Then: "Load the page again."}
	}
	// A plant that is entered by nobody's name needs none.
	if req.Plant == nil || w.(plantConnection).settings.Login != "" || req.Password != nil {
		if password, err = s.password(ctx, req); err != nil {
			return nil, "", err
		}
	}
	wrong := w.wrong(password)
	if !nameForm.MatchString(req.Name) {
		wrong["name"] = "A name has 1 to 50 letters, digits, spaces, points and hyphens."
	}
	if len(wrong) > 0 {
		return nil, "", &ask.FieldErrors{Fields: wrong}
	}
	return w, password, nil
}

// databaseConnection is a database as somebody wrote it down.
type databaseConnection struct{ settings base.DatabaseSettings }

func databaseOf(d api.DatabaseSettings) databaseConnection {
	trim := strings.TrimSpace
	return databaseConnection{base.DatabaseSettings{Host: trim(d.Host), Port: d.Port, Database: trim(d.Database), Login: trim(d.Login), TLS: d.Tls}}
}

func (d databaseConnection) kind() string { return base.KindDatabase }
func (d databaseConnection) settled() any { return d.settings }

func (d databaseConnection) wrong(string) map[string]string {
	wrong := map[string]string{}
	if d.settings.Host == "" || strings.ContainsAny(d.settings.Host, " /?#@") {
		wrong["host"] = "Write the address of the machine, without more."
	}
	if d.settings.Port < 1 || d.settings.Port > 65535 {
		wrong["port"] = "A port is between 1 and 65535; PostgreSQL’s own is 5432."
	}
	if d.settings.Database == "" {
		wrong["database"] = "Write the name of the database."
	}
	if d.settings.Login == "" {
		wrong["login"] = "Write the name by which the database lets the program in."
	}
	if !slices.Contains([]string{"off", "required", "verified"}, d.settings.TLS) {
		wrong["tls"] = "Choose how it is encrypted."
	}
	return wrong
}

// try connects, and says what came of it.
func (d databaseConnection) try(ctx context.Context, password string) (api.Tried, error) {
	ctx, stop := context.WithTimeout(ctx, tryWithin)
	defer stop()
	out := api.Tried{Schemas: []string{}}
	t, err := records.Try(ctx, d.settings.DSN(password))
	if answer.IsRefusal(err) {
		_, problem := answer.Describe(err)
		out.No = &problem
		return out, nil
	}
	if err != nil {
		return out, err
	}
	out.Version, out.Tables, out.MayWrite, out.Claims, out.MayClaim, out.Encrypted = &t.Version, t.Tables, t.MayWrite, t.Claims, t.MayClaim, t.Encrypted
	out.Schemas = append(out.Schemas, t.Schemas...)
	if !t.Claims {
		out.Statement = answer.Ptr(records.PressTable)
	}
	return out, nil
}

// password is the one that was sent, else the one that is kept for the name.
func (s *Side) password(ctx context.Context, req api.ConnectionKept) (string, error) {
	if req.Password != nil {
		return *req.Password, nil
	}
	k, err := s.kept(ctx, req.Name)
	if err != nil {
		return "", nil // it is new, and without a password
	}
	return k.Secret, nil
}

// kept finds a connection that was added in the program.
func (s *Side) kept(ctx context.Context, name string) (store.Connection, error) {
	list, err := s.Store.Connections(ctx)
	if err != nil {
		return store.Connection{}, err
	}
	for _, k := range list {
		if k.Name == name {
			return k, nil
		}
	}
	return store.Connection{}, &ask.Refusal{Code: "no-source", What: "There is no connection “" + name + "” that was added here.", Then: "Load the page again."}
}

// TryConnection tries one before it is kept.
func (s *Side) TryConnection(c *gin.Context) {
	call(s, c, administers, func(_ store.Account, req api.ConnectionKept) (api.Tried, error) {
		w, password, err := s.writtenIn(c, req)
		if err != nil {
			return api.Tried{}, err
		}
		return w.try(c, password)
	})
}

// KeepConnection keeps one, or changes it. It is tried, and kept whatever comes of it, but for the program's own store.
func (s *Side) KeepConnection(c *gin.Context, name string) {
	call(s, c, administers, func(by store.Account, req api.ConnectionKept) (api.Tried, error) {
		req.Name = name
		w, password, err := s.writtenIn(c, req)
		if err != nil {
			return api.Tried{}, err
		}
		if s.Connected.Fixed(name) {
			return api.Tried{}, &ask.Refusal{Code: "name-taken", What: "“" + name + "” stands in the configuration of the program.", Then: "Choose another name, or change it there."}
		}
		if was, err := s.kept(c, name); err == nil && was.Kind != w.kind() {
			return api.Tried{}, &ask.Refusal{Code: "name-taken", What: "“" + name + "” is a connection of another kind.", Then: "Choose another name."}
		}
		tried, err := w.try(c, password)
		if err != nil || tried.No != nil && tried.No.Code == records.ErrOwnStore.Code {
			return tried, err
		}
		settings, err := json.Marshal(w.settled())
		if err != nil {
			return tried, fmt.Errorf("write the connection: %w", err)
		}
		if err := s.Store.KeepConnection(c, by.ID, store.Connection{Name: name, Kind: w.kind(), Settings: settings, Secret: password}); err != nil {
			return tried, err
		}
		s.structures.forget(name)
		return tried, s.Connected.Load(c)
	})
}

// RemoveConnection forgets one that no application is over.
func (s *Side) RemoveConnection(c *gin.Context, name string) {
	by, err := s.who(c, administers)
	if err == nil {
		err = s.remove(c, by, name)
	}
	if err != nil {
		answer.Fail(c, err)
		return
	}
	c.Status(http.StatusNoContent)
}

func (s *Side) remove(ctx context.Context, by store.Account, name string) error {
	uses, err := s.Store.ConnectionUses(ctx)
	if err != nil {
		return err
	}
	if len(uses[name]) > 0 {
		return &ask.Refusal{Code: "in-use", What: strings.Join(uses[name], ", ") + " would lose its records.", Then: "Lead it to another connection first."}
	}
	if _, err := s.kept(ctx, name); err != nil {
		return err
	}
	if err := s.Store.RemoveConnection(ctx, by.ID, name); err != nil {
		return err
	}
	s.structures.forget(name)
	return s.Connected.Load(ctx)
}

// TryKept tries one that is kept.
func (s *Side) TryKept(c *gin.Context, name string) {
	call(s, c, administers, func(_ store.Account, _ answer.Nothing) (api.Tried, error) {
		k, err := s.opened(c, name)
		if err != nil {
			return api.Tried{}, err
		}
		if source := s.Connected.Now().Records[name]; source != nil {
			source.LookAgain()
		}
		var w written
		if k.Kind == base.KindPlant {
			p := plantConnection{side: s}
			err, w = json.Unmarshal(k.Settings, &p.settings), &p
		} else {
			var d databaseConnection
			err, w = json.Unmarshal(k.Settings, &d.settings), &d
		}
		if err != nil {
			return api.Tried{}, fmt.Errorf("read the connection %s: %w", name, err)
		}
		return w.try(c, k.Secret)
	})
}

// opened finds one that was added in the program, with its secret.
func (s *Side) opened(ctx context.Context, name string) (store.Connection, error) {
	k, err := s.kept(ctx, name)
	if err == nil && k.Sealed {
		err = &ask.Refusal{Code: "sealed", What: "The password of “" + name + "” was sealed with another key.", Then: "Write it again, or start the program with the key file from before."}
	}
	return k, err
}

// MakePressTable makes the table in which presses are claimed, so that records can be changed there.
func (s *Side) MakePressTable(c *gin.Context, name string) {
	call(s, c, administers, func(_ store.Account, _ answer.Nothing) (api.Tried, error) {
		k, err := s.opened(c, name)
		if err != nil {
			return api.Tried{}, err
		}
		var d databaseConnection
		if err := json.Unmarshal(k.Settings, &d.settings); err != nil || k.Kind != base.KindDatabase {
			return api.Tried{}, &ask.Refusal{Cause: err, Code: "no-source", What: "“" + name + "” is no database.", Then: "Load the page again."}
		}
		if err := records.MakePressTable(c, d.settings.DSN(k.Secret)); err != nil {
			return api.Tried{}, err
		}
		if source := s.Connected.Now().Records[name]; source != nil {
			source.LookAgain()
		}
		return d.try(c, k.Secret)
	})
}
