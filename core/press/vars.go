package press

import "ambergate/core/use"

// keepVars leaves this screen's own variables as they are, and as the press set them, where a press
// leads to the same screen looked at otherwise.
func keepVars(o *use.Opening, out *Outcome) {
	if out.To == nil || out.To.Screen != o.At.Screen {
		return
	}
	_, own := o.App.Keeping(out.Vars)
	to := *out.To
	to.Vars = o.At.Vars
	to = to.WithVars(own)
	out.To = &to
}
