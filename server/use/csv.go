package use

import (
	"context"
	"encoding/csv"
	"errors"
	"mime"
	"net/http"
	"time"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/kinds/element"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/records"
	"ambergate/server/answer"
)

// csvFlush is after how many rows what was written is sent.
const csvFlush = 500

// GetCsv sends a whole list as the user sees it, from one state of the database. Once it has begun
// an error breaks the connection, so that nobody takes a part for the whole.
func (s *Side) GetCsv(c *gin.Context, slug string, params api.GetCsvParams) {
	v, o, err := s.opened(c, slug, params.Trail, params.N, answer.Value(params.Depth))
	if err != nil {
		answer.Fail(c, err)
		return
	}
	source, err := s.listSource(v.App, o.Place().Screen, params.Element)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	leave, err := s.Downloads.Enter(c, v.account.ID)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	defer leave()
	begun := false
	err = source.Snapshot(c, v.App.Project, func(from *records.Reader) error { return v.writeCSV(c, o, from, params.Element, &begun) })
	switch {
	case err == nil:
	case !begun:
		answer.Fail(c, err)
	default:
		if !errors.Is(err, context.Canceled) {
			s.Log.Error("a list could not be written to its end", "project", v.project, "list", params.Element, "error", err)
		}
		panic(http.ErrAbortHandler)
	}
}

func (v *Visit) writeCSV(c *gin.Context, o *use.Opening, from *records.Reader, id string, begun *bool) error {
	w := csv.NewWriter(c.Writer)
	w.UseCRLF = true
	n := 0
	err := element.Export(c, o, from, id, v.server.Limits.Rows, func(cells []string) error {
		if !*begun {
			*begun = true
			untilRead(c)
			name := v.App.Project.Screens[o.Place().Screen].Slug + "-" + v.server.LocalNow(v.App).Format("2006-01-02")
			c.Header("Content-Type", "text/csv; charset=utf-8")
			c.Header("Content-Disposition", mime.FormatMediaType("attachment", map[string]string{"filename": name + ".csv"}))
		}
		if err := w.Write(cells); err != nil {
			return err
		}
		if n++; n%csvFlush == 0 {
			w.Flush()
			untilRead(c)
		}
		return nil
	})
	w.Flush()
	if err == nil {
		err = w.Error()
	}
	return err
}

// untilRead lets go, after a while, of who reads nothing: a connection of the database waits for them.
func untilRead(c *gin.Context) {
	const most = 15 * time.Second
	_ = http.NewResponseController(c.Writer).SetWriteDeadline(time.Now().Add(most)) // not every writer has one
}

// listSource gives the source of a list's table.
func (s *Side) listSource(app *plan.App, screen, element string) (*records.Source, error) {
	if isList(app, screen, element) {
		list := project.ListOf(app.Project.Screens[screen].Elements[element])
		return s.SourceOf(app.Project, list.Table)
	}
	return nil, &ask.Refusal{Code: "no-element", What: "This list is not on the screen any more.", Then: "Load the screen again."}
}
