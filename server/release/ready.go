package release

import (
	"context"
	"strconv"
	"strings"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/check"
	"ambergate/core/checks"
	"ambergate/core/english"
	"ambergate/core/project"
	"ambergate/core/walk"
	"ambergate/core/whole"
	"ambergate/server/answer"
	"ambergate/server/build"
	"ambergate/store"
)

// GetReadiness tells what stands in the way of releasing the draft.
func (s *Side) GetReadiness(c *gin.Context, slug string) {
	build.In(s.of, c, slug, func(b *build.Building, _ answer.Nothing) (api.Readiness, error) { return s.ready(c, b) })
}

// ready goes all walks, and waits for the checks: what is broken, and nobody lives with, stops a release.
func (s *Side) ready(ctx context.Context, b *build.Building) (api.Readiness, error) {
	out := api.Readiness{Seq: b.Draft.Seq, Stops: []api.ReleaseStop{}}
	found, err := b.Draft.Checked(ctx)
	if err != nil {
		return out, err
	}
	for _, f := range checks.All.Sorted(append(checks.All.Against(b.Draft.App, s.of.Outside(ctx, b.Draft.App.Project)), found...)) {
		switch {
		case f.Accepted != nil:
		case f.Severity == check.Doubtful:
			out.Doubtful++
		case f.Severity == check.Broken:
			out.Stops = append(out.Stops, stopOf(f))
		}
	}
	for _, e := range whole.TableOf(b.Draft.Reach(), b.Who(), nil).Expected {
		if e.Kept == check.IsKept {
			out.Expected++
		}
	}
	numbered(out.Stops)
	gone, err := s.of.Walked(ctx, b.Draft.Side(), project.Ordered(b.Draft.App.Project.Walks))
	for _, r := range gone {
		if r.Differs == nil {
			out.Walks++
		} else {
			out.Stops = append(out.Stops, s.walkStop(b, r))
		}
	}
	return out, err
}

// numbered lets each have a key of its own: some checks find the same in one place twice.
func numbered(stops []api.ReleaseStop) {
	seen := map[string]int{}
	for i := range stops {
		key := stops[i].Key
		if seen[key]++; seen[key] > 1 {
			stops[i].Key += "/" + strconv.Itoa(seen[key])
		}
	}
}

func stopOf(f check.Finding) api.ReleaseStop {
	stop := api.ReleaseStop{Key: strings.Join([]string{f.Check, f.Screen, f.Entity, f.Element, f.Trigger}, "/"), What: api.ReleaseStopWhatFinding, Words: f.Words, Evidence: answer.OrNil(f.Evidence), Screen: answer.OrNil(f.Screen), Element: answer.OrNil(f.Element)}
	if f.Check == "expectation" {
		stop.What = api.ReleaseStopWhatExpectation
	}
	return stop
}

// walkStop tells of a walk that differs. What a real person finds is told only to who may walk as them.
func (s *Side) walkStop(b *build.Building, r walk.Result) api.ReleaseStop {
	stop := api.ReleaseStop{Key: "walk/" + r.Walk, What: api.ReleaseStopWhatWalk, Walk: &r.Walk, Words: "The walk “" + r.Name + "” differs."}
	if w := b.Draft.App.Project.Walks[r.Walk]; w == nil || w.Who.Record == nil || b.Account.Walks {
		stop.Evidence = answer.Ptr("At “" + r.Differs.Words + "”: expected " + strings.TrimSuffix(r.Differs.Expected, ".") + ", found " + strings.TrimSuffix(r.Differs.Found, ".") + ".")
	}
	return stop
}

// lived gives for each thing that stops a release why it is made all the same. The error is a refusal that names those
// for which nobody has said.
func lived(stops []api.ReleaseStop, accepted map[string]string) ([]store.Lived, error) {
	out := []store.Lived{}
	var open []string
	for _, stop := range stops {
		because := strings.TrimSpace(accepted[stop.Key])
		if because == "" {
			open = append(open, strings.TrimSpace(stop.Words+" "+answer.Value(stop.Evidence)))
			continue
		}
		out = append(out, store.Lived{Key: stop.Key, Words: stop.Words, Because: because})
	}
	if len(open) > 0 {
		what := english.Count(len(open), "thing stops", "things stop") + " this release: " + open[0]
		if len(open) > 1 {
			what += " And " + english.Count(len(open)-1, "more", "more") + "."
		}
		return nil, &ask.Refusal{Code: "not-ready", What: what, Then: "Mend it, or say in the view “Releases” why it is released all the same."}
	}
	return out, nil
}
