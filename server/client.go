package server

import (
	"embed"
	"io/fs"
	"mime"
	"net/http"
	"path"
	"strings"

	"github.com/gin-gonic/gin"

	"ambergate/core/ask"
	"ambergate/server/answer"
)

// clientFiles is the built client; before it was built only the page that says so.
//
//go:embed all:client
var clientFiles embed.FS

// notBuilt stands in the stead of the client where it was not built.
//
//go:embed client/not-built.html
var notBuilt []byte

// client serves the built web client; every address that is no file gets its first page.
func (s *Server) client(c *gin.Context) {
	if strings.HasPrefix(c.Request.URL.Path, "/api/") {
		answer.Fail(c, &ask.Refusal{Code: "no-such-call", What: "There is no such call.", Then: "See the API document."})
		return
	}
	if c.Request.Method != http.MethodGet && c.Request.Method != http.MethodHead {
		answer.Fail(c, &ask.Refusal{Code: "no-such-call", What: "This address is only for looking.", Then: "See the API document."})
		return
	}
	name := "client/dist" + path.Clean("/"+c.Request.URL.Path)
	data, err := fs.ReadFile(clientFiles, name)
	if err != nil && strings.HasPrefix(c.Request.URL.Path, "/assets/") {
		answer.Fail(c, &ask.Refusal{Code: "no-file", What: "This file is not part of the program any more.", Then: "Load the page again."})
		return
	}
	if err != nil {
		name = "client/dist/index.html"
		if data, err = fs.ReadFile(clientFiles, name); err != nil {
			c.Data(http.StatusServiceUnavailable, "text/html; charset=utf-8", notBuilt)
			return
		}
	}
	if strings.HasPrefix(c.Request.URL.Path, "/assets/") {
		c.Header("Cache-Control", "public, max-age=31536000, immutable") // their names change with their contents
	}
	kind := mime.TypeByExtension(path.Ext(name))
	if kind == "" {
		kind = "application/octet-stream"
	}
	c.Data(http.StatusOK, kind, data)
}
