package use

import "ambergate/core/project"

// StyleView is what an application looks like besides its palette.
type StyleView struct {
	Colours map[string]project.Colour       `json:"colours,omitempty"` // of the builder's own, by id
	Buttons map[string]*project.ButtonStyle `json:"buttons,omitempty"`
	Corners string                          `json:"corners,omitempty"`
	Text    string                          `json:"text,omitempty"`
	Logo    *PictureView                    `json:"logo,omitempty"`
}

// style draws it; nil where nothing is unusual.
func (o *Opening) style() *StyleView {
	s := o.App.Project.Settings.Style
	if s == nil {
		return nil
	}
	v := &StyleView{Buttons: s.Buttons, Corners: s.Corners, Text: s.Text, Logo: o.PictureView(s.Logo)}
	for id, c := range s.Colours {
		if v.Colours == nil {
			v.Colours = map[string]project.Colour{}
		}
		v.Colours[id] = c.Colour
	}
	return v
}
