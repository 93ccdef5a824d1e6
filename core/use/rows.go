package use

import (
	"strings"

	"ambergate/core/ask"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// EditsInPlace says whether rows of a list can be edited where they stand, here.
func (o *Opening) EditsInPlace(spec *project.List) bool {
	t := o.App.Project.Tables[spec.Table]
	return spec.InPlace && t != nil && len(t.Key) > 0 && o.At.Mode != "add" && (spec.Relation == "" || o.World.Record != nil)
}

// RowColumns gives the columns of a list whose cells the user may edit, adding or not.
func (o *Opening) RowColumns(spec *project.List, adding bool) map[string]*project.Column {
	out := map[string]*project.Column{}
	t, grant := o.App.Project.Tables[spec.Table], o.Rights.On(spec.Table)
	for _, c := range spec.Columns {
		f := t.Fields[c.Path]
		if strings.Contains(c.Path, ".") || f == nil || f.ReadOnly || f.Type == "json" || f.Type == ask.PictureType || c.Path == spec.Relation || grant.ReadOnly[c.Path] || grant.Hidden[c.Path] || !adding && t.IsKey(c.Path) {
			continue
		}
		out[c.Path] = f
	}
	return out
}

// MayAddRow says why no row can be added to a list here, or "".
func (o *Opening) MayAddRow(e *plan.Element) string {
	spec := e.Listing()
	t := o.App.Project.Tables[spec.Table]
	switch {
	case t == nil:
		return "The table of this list is gone."
	case !o.EditsInPlace(spec):
		return "Rows cannot be added here."
	case !o.Rights.On(spec.Table).Add:
		return o.MayNot("add", t)
	}
	return ""
}
