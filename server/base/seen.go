package base

import (
	"maps"
	"slices"
	"strconv"
	"strings"
	"time"

	"github.com/gin-gonic/gin"

	"ambergate/records"
)

// SeenCookie is that by which a browser says how far what it has changed was written: a replica that is not so far would
// show it as it was before. It goes along with every request, whichever server answers.
const SeenCookie = "ambergate-seen"

// How long a browser remembers that, and of how many databases: replicas are a few seconds behind at the most.
const (
	seenKept = 10 * time.Minute
	mostSeen = 8
)

// Seen is how far databases had written when somebody changed something in them, by the names of their connections.
type Seen map[string]records.Position

// SeenBy reads what a browser says of itself; what cannot be read is passed over.
func (k Cookies) SeenBy(c *gin.Context) Seen {
	out := Seen{}
	for part := range strings.SplitSeq(k.Read(c, SeenCookie), "/") {
		name, at, _ := strings.Cut(part, "_")
		if n, err := strconv.ParseUint(at, 36, 64); err == nil && n > 0 && len(out) < mostSeen {
			out[name] = records.Position(n)
		}
	}
	return out
}

// Remember lets a browser remember it.
func (k Cookies) Remember(c *gin.Context, seen Seen) {
	var parts []string
	for _, name := range slices.Sorted(maps.Keys(seen)) {
		parts = append(parts, name+"_"+strconv.FormatUint(uint64(seen[name]), 36))
	}
	k.Write(c, SeenCookie, strings.Join(parts[:min(len(parts), mostSeen)], "/"), seenKept)
}
