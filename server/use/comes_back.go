package use

import (
	"ambergate/api"
	"ambergate/core/place"
	"ambergate/core/press"
	"ambergate/server/answer"
	"ambergate/store"
)

// returnOf gives what is pressed on the screen below when the dialog that a press opens comes back.
func returnOf(req api.PressRequest, out press.Outcome) *place.Return {
	if out.Back == "" {
		return nil
	}
	return &place.Return{Element: req.Element, Trigger: out.Back, Row: answer.Value(req.Row), Point: answer.Value(req.Point)}
}

// overlayAt gives the dialog that a press was made in; an empty one for the screen itself.
func overlayAt(at *store.Standing, depth int) place.Overlay {
	if depth == 0 || depth > len(at.Overlays) {
		return place.Overlay{}
	}
	return at.Overlays[depth-1]
}

// then gives the press that follows when a dialog came back with something; nil for none.
func then(depth int, out press.Outcome) *api.ThenPress {
	if depth == 0 || out.Return == nil || out.Result == "" || out.Move != "close" {
		return nil
	}
	r := out.Return
	return &api.ThenPress{Depth: depth - 1, Element: r.Element, Trigger: r.Trigger, Row: answer.OrNil(r.Row), Point: answer.OrNil(r.Point), Result: out.Result}
}
