package nav

import (
	"ambergate/core/cond"
	"ambergate/core/project"
)

// ImageView is a picture of the project as it is drawn.
type ImageView struct {
	Digest string `json:"digest,omitempty"` // of its bytes; "" when it is gone
	Words  string `json:"words"`            // what it shows
	Way    bool   `json:"way,omitempty"`    // it leads somewhere
	Href   string `json:"href,omitempty"`
}

type imageKind struct{ nothingToFetch }

func (imageKind) plan(b *planner, e *project.Element) {
	if b.app.Project.Pictures[e.Spec.(*project.Image).Picture] == nil {
		b.broken("picture", e.Spec.(*project.Image).Picture, cond.Problem{Message: "The picture it showed is gone.", Length: 1})
	}
}

func (imageKind) view(o *Opening, e *ElementPlan, into *ElementView) {
	iv := &ImageView{Words: "the picture is gone"}
	into.Image = iv
	if p := o.app.Project.Pictures[e.Spec.(*project.Image).Picture]; p != nil {
		iv.Digest, iv.Words = p.Digest, p.Words
		if iv.Words == "" {
			iv.Words = p.Name
		}
	}
	if gate := e.Gates["release"]; gate != nil {
		v := o.judge(gate, aim{})
		iv.Way = v.Open()
		into.By, into.Reason = v.By, v.Reason
		if p := v.plainLink(gate); p != nil {
			iv.Href = p.Address(o.app.Project)
		}
	}
}
