package use

import (
	"context"

	"ambergate/api"
	"ambergate/core/place"
	"ambergate/core/press"
	"ambergate/server/answer"
	"ambergate/server/base"
	"ambergate/store"
)

// asBefore puts the variables back to what they were when a press was done that is asked about
// again: it comes to the same as then.
func (v *Visit) asBefore(press string, at *store.Standing, place *place.Place) {
	if at.VarsPress != press {
		return
	}
	v.vars = at.VarsBefore.Tab
	place.Vars = at.VarsBefore.Place
}

// keepVars keeps what a press set: with the tab, or with the place on it.
func (v *Visit) keepVars(ctx context.Context, req api.PressRequest, at *store.Standing, out press.Outcome) error {
	if len(out.Vars) == 0 {
		return nil
	}
	place, err := layer(at, answer.Value(req.Depth))
	if err != nil {
		return nil // this very press closed the dialog that had them
	}
	tab, own := v.App.Keeping(out.Vars)
	before := store.Kept{Tab: v.vars, Place: place.Vars}
	vars := base.Merged(v.vars, tab)
	if err := v.server.Store.SetVars(ctx, at.Trail, req.Press, vars, before); err != nil {
		return err
	}
	v.vars = vars
	if len(own) == 0 {
		return nil
	}
	*place = place.WithVars(own)
	return v.server.Store.Change(ctx, at.Spot)
}
