package base

import (
	"maps"
	"net/http/httptest"
	"strings"
	"testing"

	"github.com/gin-gonic/gin"
)

func TestABrowserRemembersHowFarADatabaseWas(t *testing.T) {
	w := httptest.NewRecorder()
	c, _ := gin.CreateTestContext(w)
	seen := Seen{"works": 123456789012, "stock": 1}
	Cookies{}.Remember(c, seen)
	back, _ := gin.CreateTestContext(httptest.NewRecorder())
	back.Request = httptest.NewRequest("GET", "/", nil)
	back.Request.AddCookie(w.Result().Cookies()[0])
	if got := (Cookies{}).SeenBy(back); !maps.Equal(got, seen) {
		t.Errorf("%v", got)
	}
	for _, odd := range []string{"", "works", "works_", "works_!", "_", strings.Repeat("a_1/", 100), "works_zzzzzzzzzzzzzzzzzzzz"} {
		back.Request = httptest.NewRequest("GET", "/", nil)
		back.Request.Header.Set("Cookie", SeenCookie+"="+odd)
		if got := (Cookies{}).SeenBy(back); len(got) > 1 || got["works"] != 0 {
			t.Errorf("%q is read as %v", odd, got)
		}
	}
}
