package answer

import (
	"context"
	"encoding/json"
	"errors"
	"io"
	"log/slog"
	"net"
	"net/http"

	"github.com/gin-gonic/gin"
	"github.com/jackc/pgerrcode"
	"github.com/jackc/pgx/v5/pgconn"
	"github.com/jackc/puddle/v2"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/patch"
	"ambergate/core/project"
	"ambergate/store"
	"ambergate/store/hashing"
)

// ErrSignedOut means that there is no session, or that it has ended.
var ErrSignedOut = errors.New("not signed in")

// status codes of refusals that are not plainly forbidden.
var refusalStatus = map[string]int{
	"no-screen": http.StatusNotFound, "no-table": http.StatusNotFound, "no-record": http.StatusNotFound, "no-element": http.StatusNotFound, "no-project": http.StatusNotFound, "no-place": http.StatusNotFound,
	"no-picture": http.StatusNotFound, "no-link": http.StatusNotFound, "no-person": http.StatusNotFound, "no-display": http.StatusNotFound, "no-file": http.StatusNotFound, "no-such-call": http.StatusMethodNotAllowed,
	"bad-input": http.StatusBadRequest, "missing-input": http.StatusBadRequest, "bad-mode": http.StatusBadRequest, "bad-address": http.StatusBadRequest,
	"bad-filter": http.StatusBadRequest, "bad-request": http.StatusBadRequest, "bad-cursor": http.StatusBadRequest, "bad-patch": http.StatusBadRequest, "not-accepted": http.StatusUnprocessableEntity, "bad-file": http.StatusUnprocessableEntity,
	"no-plant": http.StatusUnprocessableEntity, "plant-untrusted": http.StatusUnprocessableEntity, "plant-changed": http.StatusUnprocessableEntity, "plant-trusts-not": http.StatusUnprocessableEntity, "plant-offers-not": http.StatusUnprocessableEntity, "plant-refused": http.StatusUnprocessableEntity, "no-namespace": http.StatusUnprocessableEntity,
	"stale": http.StatusConflict, "draft-taken": http.StatusConflict, "in-use": http.StatusConflict, "too-many": http.StatusConflict, "name-taken": http.StatusConflict, "sealed": http.StatusConflict, "not-empty": http.StatusConflict, "press-reused": http.StatusConflict, "place-left": http.StatusConflict, "taken-out": http.StatusConflict, "rewired": http.StatusConflict, "pending": http.StatusConflict, "seen-otherwise": http.StatusConflict, "let-go": http.StatusConflict, "nothing": http.StatusConflict,
	"not-ready": http.StatusConflict, "edited-meanwhile": http.StatusConflict, "changed-since": http.StatusConflict, "taken-back": http.StatusConflict, "no-leader": http.StatusConflict, "leader-away": http.StatusServiceUnavailable, "no-release": http.StatusNotFound, "no-edit": http.StatusNotFound,
	"too-large": http.StatusRequestEntityTooLarge, "too-long": http.StatusUnprocessableEntity, "blocked": http.StatusTooManyRequests, "busy": http.StatusTooManyRequests, "too-much": http.StatusBadRequest, "sign-in": http.StatusUnauthorized, "signed-out": http.StatusUnauthorized,
}

// logKey is where a request keeps who logs for it.
const logKey = "ambergate.log"

// LogTo lets failed requests be logged by one logger.
func LogTo(log *slog.Logger) gin.HandlerFunc {
	return func(c *gin.Context) { c.Set(logKey, log) }
}

// nameKey is where a request keeps by what it is named.
const nameKey = "ambergate.request"

// Name names a request: an answer that is a fault tells it, and the log does.
func Name(c *gin.Context, id string) { c.Set(nameKey, id) }

func logOf(c *gin.Context) *slog.Logger {
	if log, ok := c.Value(logKey).(*slog.Logger); ok {
		return log
	}
	return slog.Default()
}

// Fail turns any error into the one documented form. What is not meant for users is logged, not told.
func Fail(c *gin.Context, err error) {
	status, problem := Describe(err)
	if status >= 500 && !errors.Is(c.Request.Context().Err(), context.Canceled) { // nobody waits for a cancelled one
		logOf(c).Error("a request failed", "request", c.GetString(nameKey), "method", c.Request.Method, "path", c.Request.URL.Path, "code", problem.Code, "error", err)
	}
	var structure *project.StructureError
	if errors.As(err, &structure) && structure.Fault != "" {
		logOf(c).Error("a document could not be read, which is a fault of the program", "entity", structure.Entity, "fault", structure.Fault)
	}
	c.Abort()
	problem.Request = OrNil(c.GetString(nameKey))
	if problem.Code == "internal" && problem.Request != nil {
		problem.Then = Ptr("Try again. It was logged as " + *problem.Request + ".")
	}
	if !c.Writer.Written() {
		c.JSON(status, problem)
	}
}

// WriteProblem answers with problem details (RFC 9457).
func WriteProblem(w http.ResponseWriter, status int, p api.Problem) {
	w.Header().Set("Content-Type", "application/json; charset=utf-8")
	w.WriteHeader(status)
	_ = json.NewEncoder(w).Encode(p) // the other side may be gone
}

// Describe gives the status and the words of an error; one that is not known is told as a fault of the
// program.
func Describe(err error) (int, api.Problem) {
	var refusal *ask.Refusal
	var fields *ask.FieldErrors
	var stale *store.StaleEdit
	var patch *patch.Error
	var structure *project.StructureError
	var blocked *store.Blocked
	var weak *store.WeakPassword
	var large *http.MaxBytesError
	switch {
	case errors.As(err, &refusal):
		status := refusalStatus[refusal.Code]
		if status == 0 {
			status = http.StatusForbidden
		}
		return status, api.Problem{Code: refusal.Code, What: refusal.What, Then: OrNil(refusal.Then), Part: refusal.Part}
	case errors.As(err, &fields):
		return http.StatusUnprocessableEntity, api.Problem{Code: "fields", What: "Some fields need another value.", Then: Ptr("See the message beside each field."), Fields: &fields.Fields}
	case errors.As(err, &stale):
		what := "This was changed meanwhile."
		if stale.By != "" {
			what = stale.By + " changed this at " + stale.At.Format("15:04") + "."
		}
		return http.StatusConflict, api.Problem{Code: "stale", What: what, Then: Ptr("Look at it as it is now and change it again.")}
	case errors.As(err, &patch):
		return http.StatusBadRequest, api.Problem{Code: "bad-patch", What: "This edit does not fit: " + patch.Error() + ".", Then: Ptr("Load the page again.")}
	case errors.As(err, &structure):
		return http.StatusBadRequest, api.Problem{Code: "bad-patch", What: "This edit would leave something that cannot be read: " + structure.Error() + ".", Then: Ptr("Correct the edit.")}
	case errors.Is(err, store.ErrNothing):
		return http.StatusConflict, api.Problem{Code: "nothing", What: "There is nothing of yours to take back."}
	case errors.As(err, &blocked):
		return http.StatusTooManyRequests, api.Problem{Code: "blocked", What: "There were too many attempts.", Then: Ptr("Wait until " + blocked.Until.Format("15:04:05") + ".")}
	case errors.Is(err, store.ErrSignIn):
		return http.StatusUnauthorized, api.Problem{Code: "sign-in", What: "Name or password is wrong.", Then: Ptr("Check both and try again.")}
	case errors.Is(err, hashing.ErrBusy):
		return http.StatusTooManyRequests, api.Problem{Code: "busy", What: "Many people are signing in at this moment.", Then: Ptr("Try again in a few seconds.")}
	case errors.As(err, &weak):
		return http.StatusUnprocessableEntity, api.Problem{Code: "weak-password", What: "This new password would be guessed. " + weak.Why, Then: Ptr("Choose another one: a few words do well.")}
	case errors.Is(err, ErrSignedOut):
		return http.StatusUnauthorized, api.Problem{Code: "signed-out", What: "You are not signed in.", Then: Ptr("Sign in to go on.")}
	case errors.As(err, &large):
		return http.StatusRequestEntityTooLarge, api.Problem{Code: "too-large", What: "This request is too large.", Then: Ptr("At most 1 MB is taken.")}
	case errors.Is(err, store.ErrNone):
		return http.StatusNotFound, api.Problem{Code: "no-place", What: "This is not there any more.", Then: Ptr("Go home and start from there.")}
	case held(err):
		return http.StatusServiceUnavailable, api.Problem{Code: "held", What: "Somebody else is changing this at this moment.", Then: Ptr("Nothing was done. Try again in a moment.")}
	case tooSlow(err):
		return http.StatusGatewayTimeout, api.Problem{Code: "too-slow", What: "This took too long, and was ended.", Then: Ptr("Nothing is lost. Narrow what you look for, or try again in a while.")}
	case late(err):
		return http.StatusServiceUnavailable, api.Problem{Code: "database-away", What: "The database did not answer in time.", Then: Ptr("Nothing is lost. It is away, or has much to do: this goes on by itself.")}
	case away(err):
		return http.StatusServiceUnavailable, api.Problem{Code: "database-away", What: "The database does not answer.", Then: Ptr("Nothing is lost. This goes on by itself when it is back.")}
	}
	return http.StatusInternalServerError, api.Problem{Code: "internal", What: "Something went wrong in the program.", Then: Ptr("Try again. It was logged.")}
}

// tooSlow says whether a statement was ended by its limit, or because the answer was due.
func tooSlow(err error) bool {
	var pg *pgconn.PgError
	return errors.As(err, &pg) && pg.Code == pgerrcode.QueryCanceled
}

// held says whether what is to be changed was locked by somebody else for as long as one waits: what was asked can be
// asked again as it is.
func held(err error) bool {
	var pg *pgconn.PgError
	return errors.As(err, &pg) && pg.Code == pgerrcode.LockNotAvailable
}

// late says whether the answer was due before a database gave one; of how it is, nothing is known then.
func late(err error) bool {
	var connect *pgconn.ConnectError
	return errors.Is(err, context.DeadlineExceeded) && !errors.As(err, &connect)
}

// away says whether an error means that the database is not there, rather than that it said no.
func away(err error) bool {
	var connect *pgconn.ConnectError
	var network net.Error
	var pg *pgconn.PgError
	switch {
	case errors.As(err, &connect), errors.As(err, &network), errors.Is(err, io.ErrUnexpectedEOF), errors.Is(err, io.EOF), errors.Is(err, context.Canceled):
		return true
	case errors.As(err, &pg):
		return pgerrcode.IsOperatorIntervention(pg.Code) || pg.Code == pgerrcode.TooManyConnections
	}
	return errors.Is(err, pgconn.ErrConnClosed) || errors.Is(err, puddle.ErrClosedPool)
}

// IsRefusal says whether an error is a refusal in words, and so no fault.
func IsRefusal(err error) bool {
	var r *ask.Refusal
	return errors.As(err, &r)
}
