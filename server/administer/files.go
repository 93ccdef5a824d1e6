package administer

import (
	"context"
	"encoding/base64"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"net/http"
	"strconv"
	"strings"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/project"
	"ambergate/server/answer"
	"ambergate/server/base"
	"ambergate/server/build"
	"ambergate/store"
)

// ExportApplication sends an application as it is being built, as a file.
func (s *Side) ExportApplication(c *gin.Context, slug string) {
	s.export(c, slug, slug, func(id string) ([]byte, error) { return Export(c, s.Store, id) })
}

// ExportRelease sends a release as a file.
func (s *Side) ExportRelease(c *gin.Context, slug string, number int) {
	s.export(c, slug, slug+"-"+strconv.Itoa(number), func(id string) ([]byte, error) {
		r, err := s.Store.Release(c, id, number)
		if errors.Is(err, store.ErrNone) {
			return nil, &ask.Refusal{Cause: err, Code: "no-release", What: "There is no release " + strconv.Itoa(number) + ".", Then: "Choose another."}
		}
		if err != nil {
			return nil, err
		}
		return fileWith(c, s.Store, r.Entities)
	})
}

// export sends a file, named for what is in it, to who builds the application.
func (s *Side) export(c *gin.Context, slug, name string, write func(id string) ([]byte, error)) {
	text, err := s.exported(c, slug, write)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	c.Header("Content-Disposition", `attachment; filename="`+name+`.json"`) // a slug is made of letters, digits and hyphens
	c.Data(http.StatusOK, "application/json", text)
}

func (s *Side) exported(c *gin.Context, slug string, write func(id string) ([]byte, error)) ([]byte, error) {
	id, err := s.Apps.ID(c, slug)
	if err != nil {
		return nil, err
	}
	account, err := s.Sessions.Who(c, id)
	if err != nil {
		return nil, err
	}
	if !account.Builds {
		return nil, &ask.Refusal{Code: "no-builder", What: "Only builders may take this application elsewhere.", Then: "Ask the person who administers it for the right."}
	}
	return write(id)
}

// Export writes a project as it is being built, with its pictures. Error: store.ErrNone.
func Export(ctx context.Context, st *store.Store, id string) ([]byte, error) {
	d, err := st.Draft(ctx, id)
	if err != nil {
		return nil, err
	}
	return fileWith(ctx, st, d.Entities)
}

// fileWith writes a state of a project as a file, with its pictures.
func fileWith(ctx context.Context, st *store.Store, entities map[string]json.RawMessage) ([]byte, error) {
	p, err := project.Decode(entities)
	if err != nil {
		return nil, err
	}
	pictures := map[string]project.FilePicture{}
	for kind, one := range p.AllKept() {
		media, data, err := st.Picture(ctx, one.Digest)
		if err != nil {
			return nil, fmt.Errorf("read the %s %s: %w", kind, one.Name, err)
		}
		pictures[one.Digest] = project.FilePicture{Media: media, Data: base64.StdEncoding.EncodeToString(data)}
	}
	return project.WriteFile(entities, pictures)
}

// readFile reads what was sent. The error is a refusal in words.
func readFile(c *gin.Context) (*project.File, *project.Project, error) {
	text, err := io.ReadAll(c.Request.Body)
	var large *http.MaxBytesError
	if errors.As(err, &large) {
		return nil, nil, &ask.Refusal{Cause: err, Code: "too-large", What: "This file is too large: at most 32 MB are taken.", Then: "Take large pictures out of the application, and export it again."}
	}
	if err != nil {
		return nil, nil, fmt.Errorf("read a file: %w", err)
	}
	f, p, err := project.ReadFile(text)
	var file *project.FileError
	var structure *project.StructureError
	switch {
	case errors.As(err, &file):
		return nil, nil, &ask.Refusal{Cause: err, Code: "bad-file", What: file.What, Then: file.Then}
	case errors.As(err, &structure):
		return nil, nil, &ask.Refusal{Cause: err, Code: "bad-file", What: "This file cannot be read: " + structure.Error() + ".", Then: "Choose a file that was exported here."}
	case err != nil:
		return nil, nil, err
	}
	for digest, one := range f.Pictures { // they were read before: they are whole
		data, _ := one.Bytes()
		if media := build.MediaOfPicture(data); media == "" || media != one.Media {
			return nil, nil, &ask.Refusal{Code: "bad-file", What: "The picture " + digest[:12] + " is none that is kept here, or not of the kind it is said to be.", Then: "Take it out of the application, and export it again."}
		}
	}
	return f, p, nil
}

// LookAtFile says what is in a file, and which connections it needs.
func (s *Side) LookAtFile(c *gin.Context) {
	if _, err := s.who(c, builds); err != nil {
		answer.Fail(c, err)
		return
	}
	_, p, err := readFile(c)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	answer.With(c, func() (api.FileLook, error) {
		open := s.Connected.Now()
		out := api.FileLook{Title: p.Settings.Title, Slug: p.Settings.Slug, Screens: len(p.Screens), Tables: len(p.Tables), Pictures: len(p.Pictures), Needs: []api.NeededConnection{}}
		for _, need := range needsInOrder(p) {
			here := open.Records[need[0]] != nil && need[1] == "postgresql" || open.Plants[need[0]] != nil && need[1] == "plant"
			out.Needs = append(out.Needs, api.NeededConnection{Name: need[0], Type: need[1], Here: here})
		}
		projects, err := s.Store.Projects(c)
		for _, one := range projects {
			out.Taken = out.Taken || one.Slug == out.Slug
		}
		return out, err
	})
}

func needsInOrder(p *project.Project) (out [][2]string) {
	needs := p.Needs()
	for _, name := range sortedKeys(needs) {
		out = append(out, [2]string{name, needs[name]})
	}
	return out
}

// ImportFile makes an application of a file, in one edit. What its databases do not have is told by its findings.
func (s *Side) ImportFile(c *gin.Context, params api.ImportFileParams) {
	by, err := s.who(c, builds)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	f, p, err := readFile(c)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	answer.With(c, func() (api.MadeApplication, error) {
		connect := map[string]string{}
		for _, one := range answer.Value(params.Connect) {
			if there, here, ok := strings.Cut(one, "="); ok {
				connect[there] = here
			}
		}
		title := strings.TrimSpace(answer.Value(params.Title))
		slug := answer.Value(params.Slug)
		if title != "" {
			if slug, err = s.address(c, slug, title); err != nil {
				return api.MadeApplication{}, err
			}
		}
		id, err := idFor("p_", params.Id)
		if err != nil {
			return api.MadeApplication{}, err
		}
		slug, err = s.Import(c, by.ID, f, p, Place{ID: id, Title: title, Slug: slug, Connect: connect})
		return api.MadeApplication{Slug: slug}, err
	})
}

// Place is what a file is to be called here, and which connection takes the place of which.
type Place struct {
	ID          string // "": a new one
	Title, Slug string // "": as in the file
	Connect     map[string]string
}

// Import makes an application of a file; who makes it builds and administers it.
func (s *Side) Import(ctx context.Context, by string, f *project.File, p *project.Project, at Place) (slug string, err error) {
	var settings body
	if err := json.Unmarshal(f.Entities[project.SettingsID], &settings); err != nil {
		return "", fmt.Errorf("read the settings: %w", err)
	}
	first := body{"kind": "project", "title": settings["title"], "slug": settings["slug"], "zone": settings["zone"]}
	if at.Title != "" {
		first["title"] = at.Title
	}
	if at.Slug != "" {
		first["slug"] = at.Slug
	}
	for id, source := range p.Sources {
		if here, moved := at.Connect[source.Connection]; moved {
			var e body
			if err := json.Unmarshal(f.Entities[id], &e); err != nil {
				return "", fmt.Errorf("read a source: %w", err)
			}
			e["connection"] = here
			if f.Entities[id], err = json.Marshal(e); err != nil {
				return "", fmt.Errorf("write a source: %w", err)
			}
		}
	}
	for _, digest := range sortedKeys(f.Pictures) {
		data, err := f.Pictures[digest].Bytes()
		if err != nil {
			return "", fmt.Errorf("read a picture: %w", err)
		}
		if _, err := s.Store.AddPicture(ctx, f.Pictures[digest].Media, data); err != nil {
			return "", err
		}
	}
	slug, _ = first["slug"].(string)
	return slug, s.make(ctx, store.Account{ID: by}, at.ID, first, f.Entities, nil)
}

// NewFiles gives what writes and reads files without a server: for the command line.
func NewFiles(st *store.Store) *Side { return New(base.New(base.Config{Store: st})) }
