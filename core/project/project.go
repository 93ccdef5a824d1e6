package project

import (
	"cmp"
	"encoding/json"
	"errors"
	"fmt"
	"maps"
	"regexp"
	"runtime"
	"slices"
	"strings"
	"sync"
	"time"

	"ambergate/core/local"
	"ambergate/core/project/legal"
)

// Format is the number of the document format that this program reads and writes.
const Format = 1

// Project is one application that is being built.
type Project struct {
	Settings     *Settings
	Roles        map[string]*Role
	Sources      map[string]*Source
	Tables       map[string]*Table
	Equipment    map[string]*Equipment
	Grants       map[string]*Grant
	Conditions   map[string]*Condition
	Screens      map[string]*Screen
	Gates        map[string]*SharedGate
	Rails        map[string]*Rail
	Pictures     map[string]*Picture
	Clips        map[string]*Clip
	CallUps      map[string]*CallUp
	Variables    map[string]*Variable
	Tags         map[string]*PlantTag
	Expectations map[string]*Expectation
	Acceptances  map[string]*Acceptance
	Walks        map[string]*Walk
}

// Settings is what belongs to the project as a whole. Its entity has the fixed id "project".
type Settings struct {
	Entity
	Title      string `json:"title"`
	Slug       string `json:"slug"`
	Zone       string `json:"zone"`                 // IANA name; today() is told in it
	UserTable  string `json:"userTable,omitempty"`  // the table that users have a record in
	UserField  string `json:"userField,omitempty"`  // its field that holds the sign-in name
	NextFormat int    `json:"nextFormat,omitempty"` // refused: a newer program wrote this
	Language   string `json:"language,omitempty"`   // how numbers and dates are written for users (BCP 47); English when absent
	// Appearance says how screens of a kind look, light or dark, whatever users have chosen for themselves.
	Appearance map[string]string  `json:"appearance,omitempty"`
	Palette    map[string]*Colour `json:"palette,omitempty"` // by name; those that are absent are the usual ones
	Style      *Style             `json:"style,omitempty"`
}

func (s *Settings) validate() error {
	if strings.TrimSpace(s.Title) == "" {
		return errors.New("the application needs a title")
	}
	if err := LegalSlug("the address", s.Slug); err != nil {
		return err
	}
	if _, err := time.LoadLocation(s.Zone); err != nil { // none: UTC
		return fmt.Errorf("there is no zone “%s”: write one like Europe/Vienna", s.Zone)
	}
	if !local.Known(s.Language) {
		return fmt.Errorf("numbers and dates cannot be written as in “%s”", s.Language)
	}
	if err := validPalette(s.Palette); err != nil {
		return err
	}
	if err := s.Style.validate(); err != nil {
		return err
	}
	for kind, look := range s.Appearance {
		if err := OneOf("kind of screens", kind, ScreenTypes...); err != nil {
			return err
		}
		if err := OneOf("appearance", look, "light", "dark"); err != nil {
			return err
		}
	}
	return nil
}

// Role is a role that users have; the first by position that a user has decides the start screen.
type Role struct {
	Listed
	Name  string `json:"name"`
	Start string `json:"start"` // screen
	// Idle is after how many seconds without a touch the tab goes back to the start and forgets what was typed; 0 for
	// never. Warn is for how many of them before it says so and counts down.
	Idle float64 `json:"idle,omitempty"`
	Warn float64 `json:"warn,omitempty"`
	// Round is the screens that follow each other while nobody touches any.
	Round map[string]*Stop `json:"round,omitempty"`
}

// The bounds of an idle rule, in seconds.
const (
	shortestIdle = 10
	longestIdle  = 24 * 3600
)

func (r *Role) called(id string) {
	r.ID = id
	call(r.Round)
}

func (r *Role) validate() error {
	if r.Idle != 0 && (r.Idle < shortestIdle || r.Idle > longestIdle) {
		return fmt.Errorf("“%s” goes back to the start after %d seconds to a day", r.Name, shortestIdle)
	}
	if r.Warn < 0 || r.Warn > r.Idle {
		return fmt.Errorf("“%s” is warned for no longer than it waits", r.Name)
	}
	return r.validateRound()
}

// IdleOf gives the idle rule for somebody with these roles: that of the role that waits longest; none where one of them
// never goes back.
func (p *Project) IdleOf(roles map[string]bool) (after, warn float64) {
	for id := range roles {
		r := p.Roles[id]
		switch {
		case r == nil:
		case r.Idle == 0:
			return 0, 0
		case r.Idle > after:
			after, warn = r.Idle, r.Warn
		}
	}
	return after, warn
}

// Source is where tables or tags come from: a connection of the server's configuration, by name.
type Source struct {
	Entity
	Name       string `json:"name"`
	Type       string `json:"type" jsonschema:"enum=postgresql,enum=plant"` // postgresql, plant
	Connection string `json:"connection"`                                   // no secret stands in the document
	Schema     string `json:"schema,omitempty"`
}

// reserved are schemas that hold no application's records: the program's own, which also holds what other people's
// presses came to, and the database's.
var reserved = []string{"ambergate", "information_schema"}

func (s *Source) validate() error {
	if slices.Contains(reserved, s.Schema) || strings.HasPrefix(s.Schema, "pg_") {
		return fmt.Errorf("the schema “%s” belongs to the program or the database: choose one with records", s.Schema)
	}
	return nil
}

// SettingsID is the id of the entity that holds the settings.
const SettingsID = "project"

var idForm = regexp.MustCompile(`^[a-z]{1,3}_[A-Za-z0-9_]{1,40}$`)

// LegalID says whether a client may use this as the id of something new.
func LegalID(id string) bool { return id == SettingsID || idForm.MatchString(id) }

// StructureError says what in a document cannot be read at all, and where.
// What can be read but does not make sense is a finding, not an error.
type StructureError struct {
	Entity string
	Reason string
	Fault  string // of the program, with its stack; "" where the document is wrong
}

// Error gives the reason with its place.
func (e *StructureError) Error() string { return fmt.Sprintf("%s: %s", e.Entity, e.Reason) }

// Decode reads entities by id, each with its kind, into a project. The error is a *StructureError.
func Decode(entities map[string]json.RawMessage) (*Project, error) {
	p := &Project{}
	ids := slices.Sorted(maps.Keys(entities))
	parts := make([]*Project, 1)
	if len(ids) > manyEntities {
		parts = make([]*Project, runtime.GOMAXPROCS(0))
	}
	errs := make([]error, len(parts))
	var done sync.WaitGroup
	for n := range parts {
		parts[n] = &Project{}
		done.Go(func() { // decodeLegal lets nothing panic
			for i := n; i < len(ids) && errs[n] == nil; i += len(parts) {
				errs[n] = parts[n].decodeLegal(ids[i], entities[ids[i]])
			}
		})
	}
	done.Wait()
	for n, part := range parts {
		if errs[n] != nil {
			return nil, errs[n]
		}
		if part.Settings != nil {
			p.Settings = part.Settings
		}
		for _, s := range shelves {
			s.take(p, part)
		}
	}
	if p.Settings == nil {
		return nil, &StructureError{Entity: SettingsID, Reason: "the settings of the project are missing"}
	}
	return p, nil
}

// manyEntities is from where on they are decoded side by side.
const manyEntities = 200

func (p *Project) decodeLegal(id string, body json.RawMessage) (err error) {
	defer func() {
		if err != nil {
			wrong := &StructureError{Entity: id, Reason: err.Error()}
			var f *legal.Fault
			if errors.As(err, &f) {
				wrong.Fault = fmt.Sprintf("%v\n%s", f.Value, f.Stack)
			}
			err = wrong
		}
	}()
	defer legal.Rescued(&err)
	if err := legal.Body(body); err != nil {
		return err
	}
	if !LegalID(id) {
		return errors.New("is no legal id: one to three letters, an underscore, letters and digits")
	}
	return p.decodeEntity(id, body)
}

func (p *Project) decodeEntity(id string, body json.RawMessage) error {
	var head struct {
		Kind string `json:"kind"`
	}
	if kind, ok := legal.TextUnder("kind", body); ok {
		head.Kind = kind
	} else if err := json.Unmarshal(body, &head); err != nil {
		return err
	}
	if (head.Kind == "project") != (id == SettingsID) {
		return errors.New("an application has one entity of kind project, and that is called “" + SettingsID + "”")
	}
	if head.Kind == "project" {
		p.Settings = &Settings{}
		if err := strictUnmarshal(body, p.Settings, "an entity of kind project"); err != nil {
			return err
		}
		return p.Settings.validate()
	}
	shelf := shelves[head.Kind]
	if shelf == nil {
		return fmt.Errorf("there is no kind “%s”", head.Kind)
	}
	return shelf.decode(p, head.Kind, id, body)
}

// Entity is part of every entity that stands in no order.
type Entity struct {
	ID   string `json:"-"`
	Kind string `json:"kind"`
}

// called lets it know under which id it stands.
func (e *Entity) called(id string) { e.ID = id }

// Listed is part of every entity that has its place among others.
type Listed struct {
	Item
	Kind string `json:"kind"`
}

// Item is part of what stands in a map by id, in an order.
type Item struct {
	ID  string  `json:"-"`
	Pos float64 `json:"pos"`
}

// Position gives the place among others.
func (i *Item) Position() float64 { return i.Pos }

// called lets it know under which id it stands.
func (i *Item) called(id string) { i.ID = id }

// Positioned is anything that has its place among others.
type Positioned interface{ Position() float64 }

// Ordered gives the values of a map by id in the order of their positions; equal ones by id.
func Ordered[T Positioned](m map[string]T) []T {
	out := make([]T, 0, len(m))
	if len(m) < 2 { // as most are, on the way of a view
		for _, item := range m {
			out = append(out, item)
		}
		return out
	}
	ids := make([]string, 0, len(m))
	for id := range m {
		ids = append(ids, id)
	}
	slices.SortFunc(ids, func(a, b string) int {
		return cmp.Or(cmp.Compare(m[a].Position(), m[b].Position()), cmp.Compare(a, b))
	})
	for _, id := range ids {
		out = append(out, m[id])
	}
	return out
}

// StartOf gives the start screen for a set of roles: that of the first role by position. "" when none has one.
func (p *Project) StartOf(roles map[string]bool) string {
	for _, r := range Ordered(p.Roles) {
		if roles[r.ID] && p.Screens[r.Start] != nil {
			return r.Start
		}
	}
	return ""
}

// ScreenBySlug finds a screen by its slug, or by one it had before.
func (p *Project) ScreenBySlug(slug string) *Screen {
	var old *Screen
	for _, s := range p.Screens {
		if s.Slug == slug {
			return s
		}
		if s.OldSlugs[slug] {
			old = s
		}
	}
	return old
}

// CheckEntity says whether a body can be read as an entity of its kind. The error is a *StructureError.
func CheckEntity(id string, body json.RawMessage) error {
	_, err := Decode(map[string]json.RawMessage{id: body, SettingsID: settingsOr(id, body)})
	return err
}

func settingsOr(id string, body json.RawMessage) json.RawMessage {
	if id == SettingsID {
		return body
	}
	return json.RawMessage(`{"kind":"project","title":"-","slug":"x"}`)
}

var slugForm = regexp.MustCompile(`^[a-z0-9][a-z0-9-]{0,79}$`)

// LegalSlug refuses what cannot stand in an address as one plain part of it.
func LegalSlug(what, slug string) error {
	if !slugForm.MatchString(slug) {
		return fmt.Errorf("%s “%s” cannot stand in an address: take small letters, digits and hyphens", what, slug)
	}
	return nil
}
