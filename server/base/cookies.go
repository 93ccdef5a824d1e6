package base

import (
	"net/http"
	"time"

	"github.com/gin-gonic/gin"
)

// The cookies: of a session, and of a browser that somebody signed in from.
const (
	SessionCookie = "ambergate"
	BrowserCookie = "ambergate-known"
)

// Cookies writes and reads cookies. Behind TLS they are only sent over it, and their names begin with __Host-,
// which browsers take from this very host alone (RFC 6265bis). Whether it is behind TLS is configured, never
// taken from a request.
type Cookies struct{ Secure bool }

func (k Cookies) name(of string) string {
	if k.Secure {
		return "__Host-" + of
	}
	return of
}

// Read gives the value of a cookie; "" for none.
func (k Cookies) Read(c *gin.Context, of string) string {
	value, err := c.Cookie(k.name(of))
	if err != nil {
		return ""
	}
	return value
}

// Write lets the browser keep a value for a time; a negative time takes it away.
func (k Cookies) Write(c *gin.Context, of, value string, keep time.Duration) {
	age := -1
	if keep > 0 {
		age = int(keep.Seconds())
	}
	http.SetCookie(c.Writer, &http.Cookie{Name: k.name(of), Value: value, Path: "/", MaxAge: age, HttpOnly: true, SameSite: http.SameSiteLaxMode, Secure: k.Secure})
}
