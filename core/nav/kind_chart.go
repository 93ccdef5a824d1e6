package nav

import (
	"context"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// ChartView is a chart as it is drawn: its points, largest first.
type ChartView struct {
	Label   string      `json:"label"`
	By      string      `json:"by"`
	Measure string      `json:"measure"`
	Splits  []string    `json:"splits,omitempty"` // in order of rank
	Points  []PointView `json:"points"`
	Chooses bool        `json:"chooses,omitempty"` // a point leads somewhere
	Refused string      `json:"refused,omitempty"`
}

// PointView is one bar with its parts.
type PointView struct {
	Value string             `json:"value"`
	Label string             `json:"label"`
	N     float64            `json:"n"`
	Parts map[string]float64 `json:"parts,omitempty"`
}

type chartKind struct{}

func (chartKind) plan(b *planner, e *project.Element) {
	spec := e.Spec.(*project.Chart)
	for _, path := range []string{spec.By, spec.Split, spec.Of} {
		if f, _ := b.app.Project.FieldAt(spec.Table, path); f == nil && path != "" {
			b.broken("chart", path, cond.Problem{Message: "A field that it counts by is gone.", Length: 1})
		}
	}
}

func (chartKind) fetch(ctx context.Context, o *Opening, e *ElementPlan, src Sources) error {
	spec := e.Spec.(*project.Chart)
	if len(e.Broken) > 0 || !o.maySee(spec.Table, spec.By) || spec.Split != "" && !o.maySee(spec.Table, spec.Split) || spec.Of != "" && !o.maySee(spec.Table, spec.Of) {
		return nil
	}
	match, err := o.match(spec.Table, false)
	if err != nil {
		return err
	}
	q := GroupQuery{Table: o.app.Project.Tables[spec.Table], By: spec.By, Split: spec.Split, Match: match, Limit: spec.Points, Rights: o.rights}
	if spec.Measure == "sum" {
		q.Sum = spec.Of
	}
	if q.Limit == 0 {
		q.Limit = 12
	}
	if f, _ := o.app.Project.FieldAt(spec.Table, spec.By); f.References != "" {
		set := pathSet{}
		(&planner{app: o.app}).needTitle(set, f.References, spec.By)
		q.Title, _ = o.visible(spec.Table, set.sorted())
	}
	groups, err := src.Records.Group(ctx, q)
	o.groups[e.ID] = groups
	return err
}

func (chartKind) view(o *Opening, e *ElementPlan, into *ElementView) {
	spec := e.Spec.(*project.Chart)
	cv := &ChartView{Label: spec.Label, Measure: "count", Points: []PointView{}}
	into.Chart = cv
	f, _ := o.app.Project.FieldAt(spec.Table, spec.By)
	if f == nil || len(e.Broken) > 0 {
		cv.Refused = "A field that this chart counts by is gone."
		return
	}
	cv.By = f.Label
	if !o.maySee(spec.Table, spec.By) {
		cv.Refused = "Your role may not view what this chart counts."
		return
	}
	if split, _ := o.app.Project.FieldAt(spec.Table, spec.Split); split != nil {
		cv.Splits = split.Choices
	}
	for _, g := range o.groups[e.ID] {
		p := PointView{Value: g.Value.Wire(), Label: o.world.say(g.Value, f.TypeOf()), N: g.N}
		if g.Row != nil && f.References != "" {
			p.Label = o.world.title(g.Row, f.References, spec.By)
		}
		switch {
		case !g.Value.Known():
			p.Label = g.Value.Why()
		case g.Value.IsNull():
			p.Label = "none"
		}
		for _, part := range g.Parts {
			if p.Parts == nil {
				p.Parts = map[string]float64{}
			}
			p.Parts[part.Value] = part.N
		}
		cv.Points = append(cv.Points, p)
	}
	if gate := e.Gates["point"]; gate != nil && len(cv.Points) > 0 {
		cv.Chooses = o.judge(gate, aim{point: cv.Points[0].Value}).Open()
	}
}
