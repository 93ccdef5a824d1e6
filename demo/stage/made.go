package stage

import (
	"bytes"
	"context"
	"crypto/rand"
	"encoding/base64"
	"encoding/json"
	"errors"
	"fmt"
	"maps"
	"net/http"
	"net/http/httptest"
	"slices"
	"time"

	"ambergate/api"
	"ambergate/core/project"
	"ambergate/demo"
	"ambergate/server/answer"
	"ambergate/server/build"
	"ambergate/store"
)

// browser calls the program as people do, without a network between.
type browser struct {
	handler http.Handler
	cookies []*http.Cookie
}

// call does one call, and reads the answer; a no is an error.
func (b *browser) call(ctx context.Context, method, path string, body, into any) error {
	text, err := json.Marshal(body)
	if err != nil {
		return fmt.Errorf("%s %s: %w", method, path, err)
	}
	r := httptest.NewRequestWithContext(ctx, method, path, bytes.NewReader(text))
	r.Header.Set("Content-Type", "application/json")
	for _, c := range b.cookies {
		r.AddCookie(c)
	}
	w := httptest.NewRecorder()
	b.handler.ServeHTTP(w, r)
	if w.Code >= 300 {
		return fmt.Errorf("%s %s: %d %s", method, path, w.Code, w.Body)
	}
	b.cookies = append(b.cookies, w.Result().Cookies()...)
	if into == nil {
		return nil
	}
	if err := json.Unmarshal(w.Body.Bytes(), into); err != nil {
		return fmt.Errorf("%s %s: read the answer: %w", method, path, err)
	}
	return nil
}

// make lets the demo come about as an own application does: somebody comes in as the first, imports the files of the
// applications, adds people and says what each may, and the builder releases. Only the passwords, which everybody
// knows, would be refused there.
func (s *Stage) make(ctx context.Context) error {
	if _, err := s.Store.ProjectState(ctx, demo.ProjectID); err == nil || !errors.Is(err, store.ErrNone) {
		return err
	}
	runs, err := s.first(ctx)
	if err != nil {
		return err
	}
	for _, id := range slices.Sorted(maps.Keys(demo.Projects)) {
		file, err := fileOf(id)
		if err != nil {
			return err
		}
		if err := runs.call(ctx, http.MethodPost, "/api/imports?id="+id, file, nil); err != nil {
			return err
		}
	}
	if err := s.people(ctx, runs); err != nil {
		return err
	}
	builder, err := s.comesIn(ctx, "arno", "arno")
	if err != nil {
		return err
	}
	// The two lead to each other: what the first needs of the second is broken until that is released too.
	if err := builder.release(ctx, "stores", "Tarnhorn Ropeway is released right after it."); err != nil {
		return err
	}
	if err := builder.release(ctx, "tarnhorn", ""); err != nil {
		return err
	}
	if err := builder.call(ctx, http.MethodPost, "/api/sign-out", struct{}{}, nil); err != nil {
		return err
	}
	return runs.call(ctx, http.MethodPost, "/api/sign-out", struct{}{}, nil)
}

// release puts the draft of an application into use, with a reason for what is broken; none where nothing may be.
func (b *browser) release(ctx context.Context, slug, because string) error {
	var ready api.Readiness
	if err := b.call(ctx, http.MethodGet, "/api/build/"+slug+"/readiness", nil, &ready); err != nil {
		return err
	}
	type reason struct {
		Key     string `json:"key"`
		Because string `json:"because"`
	}
	var accepted []reason
	for _, stop := range ready.Stops {
		accepted = append(accepted, reason{stop.Key, because})
	}
	return b.call(ctx, http.MethodPost, "/api/build/"+slug+"/releases", map[string]any{"note": "As it begins", "accepted": accepted}, nil)
}

// first comes in as the first person, by the link that the program prints.
func (s *Stage) first(ctx context.Context) (*browser, error) {
	token, err := s.Store.FirstLink(ctx, time.Now())
	if err != nil {
		return nil, err
	}
	b := &browser{handler: s.Server.Handler()}
	password := rand.Text()
	first := api.FirstPerson{Id: &demo.Runs.ID, Token: token, Name: demo.Runs.Name, Login: demo.Runs.Login, Password: password}
	if err := b.call(ctx, http.MethodPost, "/api/first", first, nil); err != nil {
		return nil, err
	}
	if b, err = s.comesIn(ctx, demo.Runs.Login, password); err != nil {
		return nil, err
	}
	return b, s.Store.GivePassword(ctx, demo.Runs.ID, demo.Runs.Login)
}

func (s *Stage) comesIn(ctx context.Context, login, password string) (*browser, error) {
	b := &browser{handler: s.Server.Handler()}
	return b, b.call(ctx, http.MethodPost, "/api/sign-in", api.SignIn{Login: login, Password: password}, nil)
}

// people adds them, each with roles and rights; then who imported the applications builds and administers them no more.
func (s *Stage) people(ctx context.Context, runs *browser) error {
	var all api.NewPeople
	for _, p := range demo.People {
		all.People = append(all.People, api.NewPerson{Id: &p.ID, Login: p.Login, Name: p.Name, Roles: &p.Roles})
	}
	if err := runs.call(ctx, http.MethodPost, "/api/people", all, nil); err != nil {
		return err
	}
	for _, p := range demo.People {
		if err := s.Store.GivePassword(ctx, p.ID, p.Login); err != nil {
			return err
		}
		if !p.Builder {
			continue
		}
		if err := runs.call(ctx, http.MethodPut, "/api/people/"+p.ID, api.PersonChange{Walks: &p.Builder}, nil); err != nil {
			return err
		}
		for id, roles := range p.Roles {
			if err := runs.call(ctx, http.MethodPut, "/api/people/"+p.ID+"/roles/"+id, api.RolesIn{Roles: roles, Builds: true, Administers: true}, nil); err != nil {
				return err
			}
		}
	}
	hall := api.DeviceChange{Id: answer.Ptr(demo.Hall), Name: "Valley station, hall", Project: demo.ProjectID, Role: "r_visitor", Start: "s_welcome", Allows: []api.DeviceChangeAllows{}}
	if err := runs.call(ctx, http.MethodPost, "/api/devices", hall, nil); err != nil {
		return err
	}
	for id := range demo.Projects {
		if err := runs.call(ctx, http.MethodPut, "/api/people/"+demo.Runs.ID+"/roles/"+id, api.RolesIn{Roles: []string{}}, nil); err != nil {
			return err
		}
	}
	return nil
}

// DisplayCode makes a code for the visitors' display; "" where it is in already, or is not there.
func (s *Stage) DisplayCode(ctx context.Context) (string, error) {
	devices, err := s.Store.Devices(ctx, time.Now())
	if err != nil {
		return "", err
	}
	for _, d := range devices {
		if d.ID == demo.Hall && d.Enrolled == nil {
			return s.Store.NewCode(ctx, demo.Runs.ID, d.ID, time.Now())
		}
	}
	return "", nil
}

// fileOf is a project of the demo as a file, with the pictures that it shows.
func fileOf(id string) (json.RawMessage, error) {
	entities, err := demo.Entities(id)
	if err != nil {
		return nil, err
	}
	p, err := project.Decode(entities)
	if err != nil {
		return nil, fmt.Errorf("read the demo's project: %w", err)
	}
	pictures := map[string]project.FilePicture{}
	for _, one := range p.Pictures {
		data, err := demo.PictureOf(one.Digest)
		if err != nil {
			return nil, err
		}
		pictures[one.Digest] = project.FilePicture{Media: build.MediaOfPicture(data), Data: base64.StdEncoding.EncodeToString(data)}
	}
	return project.WriteFile(entities, pictures)
}
