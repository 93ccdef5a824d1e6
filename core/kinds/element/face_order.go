package element

import (
	"maps"
	"slices"

	"ambergate/core/project"
)

// FaceTried is a face as it is tried: the first that holds is shown.
type FaceTried struct {
	ID     string
	Always bool // it has no condition
}

// FaceOrder gives the faces of each state in the order in which they are tried.
func (spec *Button) FaceOrder() [][]FaceTried {
	by := map[string][]FaceTried{}
	for _, f := range project.Ordered(spec.Faces) {
		by[f.State] = append(by[f.State], FaceTried{f.ID, f.When == ""})
	}
	var out [][]FaceTried
	for _, state := range slices.Sorted(maps.Keys(by)) {
		out = append(out, by[state])
	}
	return out
}

// rowFaceOrder gives faces of rows, of marks or of a symbol in the order in which they are tried.
func rowFaceOrder(faces map[string]*RowFace) [][]FaceTried {
	var out []FaceTried
	for _, f := range project.Ordered(faces) {
		out = append(out, FaceTried{f.ID, f.When == ""})
	}
	return [][]FaceTried{out}
}

// FaceOrder gives the faces of its rows.
func (spec *List) FaceOrder() [][]FaceTried { return rowFaceOrder(spec.Faces) }

// FaceOrder gives the faces of its marks.
func (spec *SitePlan) FaceOrder() [][]FaceTried { return rowFaceOrder(spec.Faces) }

// FaceOrder gives its faces.
func (spec *Symbol) FaceOrder() [][]FaceTried { return rowFaceOrder(spec.Faces) }
