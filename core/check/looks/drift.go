package looks

import (
	"ambergate/core/check"
)

var Drift = &check.Check{Name: "drift", Doc: "the same button at different places on screens of one kind", Run: func(ix *check.Index, report func(check.Finding)) {
	for _, f := range ix.Elsewhere() {
		report(f)
	}
}}
