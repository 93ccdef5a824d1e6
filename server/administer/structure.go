package administer

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"maps"
	"slices"
	"strings"
	"sync"
	"time"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/catalogue"
	"ambergate/core/patch"
	"ambergate/core/project"
	"ambergate/core/propose"
	"ambergate/server/answer"
	"ambergate/server/base"
	"ambergate/store"
)

// structures are those that were read a moment ago: whoever chooses tables asks again with each choice.
type structures struct {
	mu sync.Mutex
	of map[string]readStructure
}

type readStructure struct {
	database *catalogue.Database
	until    time.Time
}

// believedFor is how long a structure is not read again for the same choice.
const believedFor = 20 * time.Second

func (s *structures) forget(name string) {
	s.mu.Lock()
	delete(s.of, name)
	s.mu.Unlock()
}

// structure reads what is in a database; anew, or as it was a moment ago.
func (s *Side) structure(ctx context.Context, name string, anew bool) (*catalogue.Database, error) {
	source := s.Connected.Now().Records[name]
	if source == nil {
		return nil, &ask.Refusal{Code: "no-source", What: "There is no database “" + name + "” that could be read.", Then: "Look at the connections."}
	}
	s.structures.mu.Lock()
	was, known := s.structures.of[name]
	s.structures.mu.Unlock()
	if known && !anew && time.Now().Before(was.until) {
		return was.database, nil
	}
	d, err := source.Catalogue(ctx)
	if err != nil {
		return nil, err
	}
	s.structures.mu.Lock()
	defer s.structures.mu.Unlock()
	if s.structures.of == nil {
		s.structures.of = map[string]readStructure{}
	}
	s.structures.of[name] = readStructure{d, time.Now().Add(believedFor)}
	return d, nil
}

// GetTables lists the tables of a database, as they are now.
func (s *Side) GetTables(c *gin.Context, name string) {
	call(s, c, builds, func(_ store.Account, _ answer.Nothing) (api.Structure, error) {
		d, err := s.structure(c, name, true)
		if err != nil {
			return api.Structure{}, err
		}
		out := api.Structure{Database: d.Name, Tables: make([]api.TableInfo, len(d.Tables))}
		for i, t := range d.Tables {
			out.Tables[i] = tableInfo(t)
		}
		return out, nil
	})
}

func tableInfo(t *catalogue.Table) api.TableInfo {
	one := api.TableInfo{Schema: t.Schema, Name: t.Name, Label: propose.Label(t.Name), Kind: t.Kind, Rows: t.Rows, Columns: make([]string, len(t.Columns)), RefersTo: []string{}, Usable: t.Select}
	for i, c := range t.Columns {
		one.Columns[i] = c.Name
	}
	for _, f := range t.Foreign {
		if to := f.Schema + "." + f.Table; !slices.Contains(one.RefersTo, to) {
			one.RefersTo = append(one.RefersTo, to)
		}
	}
	switch {
	case !t.Select:
		one.Note = "the login may not read it"
	case len(t.Primary) == 0:
		one.Note = "no key: read only"
	case !t.Insert && !t.Update && !t.Delete:
		one.Note = "the login may only read it"
	}
	return one
}

// ProposeApplication gives an application as it would be made.
func (s *Side) ProposeApplication(c *gin.Context) {
	call(s, c, builds, func(_ store.Account, req propose.Wish) (*propose.Application, error) { return s.proposed(c, req) })
}

func (s *Side) proposed(ctx context.Context, w propose.Wish) (*propose.Application, error) {
	d, err := s.structure(ctx, w.Connection, false)
	if err != nil {
		return nil, err
	}
	if w.Title = strings.TrimSpace(w.Title); w.Title == "" {
		w.Title = "New application"
	}
	a, err := propose.Propose(d, w)
	if errors.Is(err, propose.ErrNothing) {
		return nil, &ask.Refusal{Cause: err, Code: "nothing", What: "No table was chosen.", Then: "Choose one at least."}
	}
	return a, err
}

// MakeApplication makes an application: first empty, then all that was proposed in one edit.
func (s *Side) MakeApplication(c *gin.Context, params api.MakeApplicationParams) {
	call(s, c, builds, func(by store.Account, req propose.Wish) (api.MadeApplication, error) {
		entities := map[string]json.RawMessage{}
		var roles []string
		if len(req.Tables) > 0 {
			a, err := s.proposed(c, req)
			if err != nil {
				return api.MadeApplication{}, err
			}
			entities = a.Entities
			for id := range entities {
				if strings.HasPrefix(id, "r_") {
					roles = append(roles, id)
				}
			}
		}
		if into := answer.Value(params.Into); into != "" {
			return api.MadeApplication{Slug: into}, s.fill(c, into, entities)
		}
		title := strings.TrimSpace(req.Title)
		if title == "" {
			return api.MadeApplication{}, &ask.FieldErrors{Fields: map[string]string{"title": "An application needs a title."}}
		}
		slug, err := s.address(c, req.Slug, title)
		if err != nil {
			return api.MadeApplication{}, err
		}
		zone := req.Zone
		if zone == "" {
			zone = "UTC"
		}
		if _, err := time.LoadLocation(zone); err != nil {
			return api.MadeApplication{}, &ask.FieldErrors{Fields: map[string]string{"zone": "There is no zone of that name."}, Cause: err}
		}
		return api.MadeApplication{Slug: slug}, s.make(c, by, "", body{"kind": "project", "title": title, "slug": slug, "zone": zone}, entities, roles)
	})
}

// address gives the address that was asked for, else a free one made of the title: who names an application twice
// meets no error of an address that they never saw.
func (s *Side) address(ctx context.Context, asked, title string) (string, error) {
	if asked != "" {
		return asked, nil
	}
	projects, err := s.Store.Projects(ctx)
	if err != nil {
		return "", err
	}
	taken := map[string]bool{}
	for _, p := range projects {
		taken[p.Slug] = true
	}
	own := propose.Slug(title)
	slug := own
	for i := 2; taken[slug]; i++ {
		slug = fmt.Sprintf("%s-%d", own, i)
	}
	return slug, nil
}

type body = map[string]any

func sortedKeys[V any](of map[string]V) []string { return slices.Sorted(maps.Keys(of)) }

// fill puts what was proposed into an application that has neither tables nor screens yet, in one edit; what it is
// called stays.
func (s *Side) fill(c *gin.Context, slug string, entities map[string]json.RawMessage) error {
	id, err := s.Apps.ID(c, slug)
	if err != nil {
		return err
	}
	account, err := s.Sessions.Who(c, id)
	if err != nil {
		return err
	}
	d, err := s.Apps.Draft(c, id)
	if err != nil {
		return err
	}
	switch p := d.App.Project; {
	case !account.Builds:
		return &ask.Refusal{Code: "no-builder", What: "Only builders may change this application.", Then: "Ask the person who administers it for the right."}
	case len(p.Tables)+len(p.Screens)+len(p.Roles) > 0:
		return &ask.Refusal{Code: "not-empty", What: "This application has tables, screens or roles already.", Then: "Make another one, or undo what was made."}
	}
	var settings body
	if err := json.Unmarshal(d.Entities[project.SettingsID], &settings); err != nil {
		return fmt.Errorf("read the settings: %w", err)
	}
	edit, err := proposedEdit(entities, settings)
	if err != nil {
		return err
	}
	edit.Project, edit.By = id, account.ID
	done, err := s.Store.Edit(c, edit)
	if err != nil {
		return err
	}
	s.Apps.Changed(id)
	s.Edits.Tell(id, done.Seq)
	return nil
}

func (s *Side) make(ctx context.Context, by store.Account, id string, settings body, entities map[string]json.RawMessage, roles []string) error {
	if id == "" {
		id = "p_" + base.NewID()
	}
	first, err := json.Marshal(settings)
	if err != nil {
		return fmt.Errorf("write the settings: %w", err)
	}
	edit, err := proposedEdit(entities, settings)
	if err != nil {
		return err
	}
	err = s.Store.MakeProject(ctx, by.ID, id, first, edit, roles)
	if errors.Is(err, store.ErrSlugTaken) {
		return &ask.FieldErrors{Fields: map[string]string{"slug": "Another application has this address."}, Cause: err}
	}
	if err != nil {
		return err
	}
	s.Sessions.ForgetAccount(by.ID)
	return nil
}

// proposedEdit adds what was proposed; of the settings, those that are given stay.
func proposedEdit(entities map[string]json.RawMessage, settings body) (store.Edit, error) {
	var edit store.Edit
	for _, id := range sortedKeys(entities) {
		op := patch.Op{Op: "add", Path: "/" + id, Value: entities[id]}
		if id == project.SettingsID {
			var proposed body
			if err := json.Unmarshal(entities[id], &proposed); err != nil {
				return edit, fmt.Errorf("read the settings: %w", err)
			}
			maps.Copy(proposed, settings)
			text, err := json.Marshal(proposed)
			if err != nil {
				return edit, fmt.Errorf("write the settings: %w", err)
			}
			op = patch.Op{Op: "replace", Path: "/" + id, Value: text}
		}
		edit.Patch = append(edit.Patch, op)
	}
	return edit, nil
}
