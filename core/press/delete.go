package press

import (
	"context"

	"ambergate/core/ask"
	"ambergate/core/use"
)

// askDelete puts what is to be deleted, with what hangs on it.
func askDelete(ctx context.Context, o *use.Opening, row *ask.Row, words string, src ask.Changer) (*Question, error) {
	t := o.App.Project.Tables[row.Table]
	if words == "" {
		words = "Delete " + t.One + " " + o.World.Title(row, row.Table, "") + "?"
	}
	hanging, err := src.Hanging(ctx, t, row.Key, o.Rights)
	return &Question{Kind: "delete", Words: words, Hanging: hanging}, err
}
