package element

import (
	"context"

	"ambergate/core/ask"
	"ambergate/core/use"
)

// Picture gives the picture of a field that the screen shows the user, and its media type.
func Picture(ctx context.Context, o *use.Opening, from ask.Pictures, path string) ([]byte, string, error) {
	none := ask.Refuse("no-picture", "There is no such picture.", "Load the screen again.")
	if o.World.Record == nil || !showsField(o, path) {
		return nil, "", none
	}
	t := o.App.Project.Tables[o.World.Record.Table]
	if f := t.Fields[path]; f == nil || f.Type != ask.PictureType || !o.MaySee(t.ID, path) {
		return nil, "", none
	}
	data, err := from.Picture(ctx, t, o.World.Record.Key, path)
	if err != nil {
		return nil, "", err
	}
	media := ask.MediaOf(data)
	if media == "" {
		return nil, "", none
	}
	return data, media, nil
}

func showsField(o *use.Opening, path string) bool {
	for _, e := range o.Plan.Elements {
		if f, ok := e.Spec.(interface{ FieldPath() string }); ok && f.FieldPath() == path {
			if _, here := o.There(e); here {
				return true
			}
		}
	}
	return false
}
