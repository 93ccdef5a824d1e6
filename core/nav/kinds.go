package nav

import (
	"context"

	"ambergate/core/project"
)

// elementKind is what nav does with one kind of element. Each kind has a file.
type elementKind interface {
	// plan compiles its expressions and notes what they read.
	plan(b *planner, e *project.Element)
	// fetch gets what it shows beyond the screen's own record.
	fetch(ctx context.Context, o *Opening, e *ElementPlan, src Sources) error
	// view draws it.
	view(o *Opening, e *ElementPlan, into *ElementView)
}

// elementKinds is the registry; set in init, since kinds refer to each other through screens.
var elementKinds map[string]elementKind

func init() {
	elementKinds = map[string]elementKind{
		"button": buttonKind{}, "text": textKind{}, "field": fieldKind{}, "list": listKind{}, "chart": chartKind{},
		"gauge": gaugeKind{}, "lamp": lampKind{}, "trend": trendKind{}, "figure": figureKind{}, "tabs": tabsKind{}, "image": imageKind{},
	}
}

// nothingToFetch is for kinds that show only the screen's own record and live values.
type nothingToFetch struct{}

func (nothingToFetch) fetch(context.Context, *Opening, *ElementPlan, Sources) error { return nil }
