package element

import (
	"fmt"

	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// ImageView is a picture of the project as it is drawn.
type ImageView struct {
	Digest string `json:"digest,omitempty"` // of its bytes; "" when it is gone
	Words  string `json:"words"`            // what it shows
	Way    bool   `json:"way,omitempty"`    // it leads somewhere
	Href   string `json:"href,omitempty"`
}

// Image shows a picture of the project on a screen.
type Image struct {
	project.ElementHead
	use.NothingToFetch
	Picture string        `json:"picture"`
	Gate    *project.Gate `json:"gate,omitempty"`
}

// Validate asks for the picture.
func (spec *Image) Validate() error {
	if spec.Picture == "" {
		return fmt.Errorf("it needs the picture that it shows")
	}
	return nil
}

// Gates gives the gate of a pressed picture.
func (spec *Image) Gates() map[string]*project.Gate { return project.GatesOn("release", spec.Gate) }

// FitsRails says that it can stand on rails.
func (*Image) FitsRails() {}

// Called names it by its picture.
func (spec *Image) Called(s plan.Scene, _ *plan.Element) string {
	if p := s.App.Project.Pictures[spec.Picture]; p != nil {
		return p.Name
	}
	return "image"
}

// Pressed says what sets off its way.
func (*Image) Pressed() string { return "the picture is pressed" }

func (spec *Image) Plan(b *plan.Planner) {
	if b.App.Project.Pictures[spec.Picture] == nil {
		b.Broken("picture", spec.Picture, cond.Problem{Message: "The picture it showed is gone.", Length: 1})
	}
}

// NewView gives an empty view of it.
func (*Image) NewView() any { return &ImageView{} }

func (spec *Image) View(o *use.Opening, e *plan.Element, into *use.ElementView) {
	iv := &ImageView{Words: "the picture is gone"}
	into.View = iv
	if p := o.App.Project.Pictures[spec.Picture]; p != nil {
		iv.Digest, iv.Words = p.Digest, p.Shows()
	}
	if gate := e.Gates["release"]; gate != nil {
		v := o.Judge(gate, use.Aim{})
		iv.Way = v.Open()
		into.By, into.Reason = v.By, v.Reason
		if p := v.PlainLink(gate); p != nil {
			iv.Href = p.Address(o.App.Project)
		}
	}
}
