package administer

import (
	"errors"
	"net/http"
	"slices"
	"strings"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/project"
	"ambergate/server/answer"
	"ambergate/server/base"
	"ambergate/store"
)

// GetDevices lists all unattended displays, and what they could show.
func (s *Side) GetDevices(c *gin.Context) {
	call(s, c, administers, func(_ store.Account, _ answer.Nothing) (api.DevicesPage, error) {
		out := api.DevicesPage{Devices: []api.DeviceInfo{}, Applications: []api.DeviceApplication{}}
		devices, err := s.Store.Devices(c, s.Now())
		if err != nil {
			return out, err
		}
		for _, d := range devices {
			one := api.DeviceInfo{Id: d.ID, Name: d.Name, Project: d.Project, Role: d.Role, Start: d.Start, Allows: []api.DeviceInfoAllows{}, CodeEnds: d.CodeEnds, Enrolled: d.Enrolled, Seen: d.Seen}
			for _, a := range d.Allows {
				one.Allows = append(one.Allows, api.DeviceInfoAllows(a))
			}
			out.Devices = append(out.Devices, one)
		}
		out.Applications, err = s.showable(c)
		return out, err
	})
}

// showable lists the applications with what a display could show: their screens that need no record.
func (s *Side) showable(c *gin.Context) ([]api.DeviceApplication, error) {
	projects, err := s.Store.Projects(c)
	if err != nil {
		return nil, err
	}
	out := []api.DeviceApplication{}
	for _, info := range projects {
		d, err := s.Apps.Draft(c, info.ID)
		if err != nil {
			return nil, err
		}
		p := d.App.Project
		one := api.DeviceApplication{Id: info.ID, Title: info.Title, Roles: []api.RoleName{}, Screens: []api.RoleName{}}
		for _, r := range project.Ordered(p.Roles) {
			one.Roles = append(one.Roles, api.RoleName{Id: r.ID, Name: r.Name})
		}
		for _, screen := range p.Screens {
			if screen.Alone() {
				one.Screens = append(one.Screens, api.RoleName{Id: screen.ID, Name: screen.Title})
			}
		}
		slices.SortFunc(one.Screens, func(a, b api.RoleName) int { return strings.Compare(a.Name, b.Name) })
		out = append(out, one)
	}
	return out, nil
}

// AddDevice adds a display; its code is told once.
func (s *Side) AddDevice(c *gin.Context) {
	call(s, c, administers, func(by store.Account, req api.DeviceChange) (api.AddedDevice, error) {
		d, err := s.legalDevice(c, req)
		id, idErr := idFor("d_", req.Id)
		if err = errors.Join(err, idErr); err != nil {
			return api.AddedDevice{}, err
		}
		d.ID = id
		code, err := s.Store.AddDevice(c, by.ID, d, s.Now())
		return api.AddedDevice{Id: id, Code: code}, err
	})
}

func (s *Side) legalDevice(c *gin.Context, req api.DeviceChange) (store.Device, error) {
	d := store.Device{Name: strings.TrimSpace(req.Name), Project: req.Project, Role: req.Role, Start: req.Start, Allows: []string{}}
	if d.Name == "" || len([]rune(d.Name)) > 80 {
		return d, &ask.FieldErrors{Fields: map[string]string{"name": "A display has a name of up to 80 letters."}}
	}
	for _, a := range req.Allows {
		if !a.Valid() {
			return d, &ask.FieldErrors{Fields: map[string]string{"allows": "There is no such thing to allow."}}
		}
		d.Allows = append(d.Allows, string(a))
	}
	known, err := s.showable(c)
	if err != nil {
		return d, err
	}
	for _, app := range known {
		has := func(in []api.RoleName, id string) bool {
			return slices.ContainsFunc(in, func(n api.RoleName) bool { return n.Id == id })
		}
		switch {
		case app.Id != d.Project:
		case !has(app.Roles, d.Role):
			return d, &ask.FieldErrors{Fields: map[string]string{"role": "This role does not exist any more."}}
		case !has(app.Screens, d.Start):
			return d, &ask.FieldErrors{Fields: map[string]string{"start": "A display starts at a screen that needs no record."}}
		default:
			return d, s.opensTo(c, d)
		}
	}
	return d, &ask.Refusal{Code: "no-project", What: "This application does not exist any more.", Then: "Load the page again."}
}

// opensTo refuses a start screen that is not for the role of the display.
func (s *Side) opensTo(c *gin.Context, d store.Device) error {
	draft, err := s.Apps.Draft(c, d.Project)
	if err != nil {
		return err
	}
	p := draft.App.Project
	if start := p.Screens[d.Start]; start.Roles != nil && !start.Roles[d.Role] {
		return &ask.FieldErrors{Fields: map[string]string{"start": "“" + start.Title + "” is not for " + p.Roles[d.Role].Name + ": choose another screen, or role."}}
	}
	return nil
}

// ChangeDevice changes a display; it holds at once.
func (s *Side) ChangeDevice(c *gin.Context, device string) {
	var req api.DeviceChange
	if !answer.Read(c, &req) {
		return
	}
	by, err := s.who(c, administers)
	if err == nil {
		var d store.Device
		if d, err = s.legalDevice(c, req); err == nil {
			d.ID = device
			err = s.Store.SetDevice(c, by.ID, d)
		}
	}
	s.changedDevice(c, device, err)
}

// RemoveDevice forgets a display.
func (s *Side) RemoveDevice(c *gin.Context, device string) {
	by, err := s.who(c, administers)
	if err == nil {
		err = s.Store.RemoveDevice(c, by.ID, device)
	}
	s.changedDevice(c, device, err)
}

// changedDevice lets it hold at once, for a display that is on too.
func (s *Side) changedDevice(c *gin.Context, device string, err error) {
	if err != nil {
		answer.Fail(c, noDevice(err))
		return
	}
	s.Sessions.ForgetAccount(device)
	c.Status(http.StatusNoContent)
}

func noDevice(err error) error {
	if errors.Is(err, store.ErrNone) {
		return &ask.Refusal{Cause: err, Code: "no-display", What: "This display is not there any more.", Then: "Load the page again."}
	}
	return err
}

// MakeCode makes another code for a display.
func (s *Side) MakeCode(c *gin.Context, device string) {
	call(s, c, administers, func(by store.Account, _ answer.Nothing) (api.AddedDevice, error) {
		code, err := s.Store.NewCode(c, by.ID, device, s.Now())
		s.Sessions.ForgetAccount(device)
		return api.AddedDevice{Id: device, Code: code}, noDevice(err)
	})
}

// Enrol lets the browser that asks be a display, by a code.
func (s *Side) Enrol(c *gin.Context) {
	var req api.TypedCode
	if !answer.Read(c, &req) {
		return
	}
	e := store.Entering{Origin: c.ClientIP(), Session: s.Cookies.Read(c, base.SessionCookie), Now: s.Now()}
	in, slug, err := s.Store.Enrol(c, req.Code, e)
	if errors.Is(err, store.ErrCode) {
		err = &ask.Refusal{Cause: err, Code: "no-code", What: "This code does not hold: it was used already, or is older than an hour.", Then: "Ask who runs the program for another one."}
	}
	if err != nil {
		answer.Fail(c, err)
		return
	}
	s.Sessions.Forget(e.Session)
	s.BeginDisplay(c, in.Token)
	c.JSON(http.StatusOK, api.Enrolled{Project: slug})
}
