package plant

import (
	"context"
	"slices"
	"strings"
	"time"

	"github.com/gopcua/opcua/id"
	"github.com/gopcua/opcua/ua"

	"ambergate/core/cond"
)

// Found is one node as it is browsed.
type Found struct {
	Path     string // by which it can be named
	Name     string
	Folder   bool // there may be more below it
	Kind     cond.Kind
	Readable bool // a value of a kind that can be shown
	Writable bool
	Unit     string   // as the plant tells it (OPC UA Part 8, EngineeringUnits)
	Low      *float64 // what it may be (EURange)
	High     *float64
	Now      string // its value, as words
}

// What browsing and searching are bounded by.
const (
	foundLimit    = 500    // nodes told at once
	visitedLimit  = 20_000 // nodes looked at in one search
	searchLimit   = 8 * time.Second
	deepest       = 12
	propertyBatch = 100
)

// Browse tells what stands one step below a node, in the plant's order; below "" the top. more says that not all is told.
// Errors: ErrAway, a ua.StatusCode.
func (c *Client) Browse(ctx context.Context, path string) (found []Found, more bool, err error) {
	s, err := c.asking()
	if err != nil {
		return nil, false, err
	}
	var way []string
	at := ua.NewNumericNodeID(0, id.ObjectsFolder)
	if path != "" {
		way = Names(path)
		if at, err = s.walk(ctx, way); err != nil {
			return nil, false, err
		}
	}
	refs, err := s.below(ctx, at)
	if err != nil {
		return nil, false, err
	}
	if len(way) == 0 {
		refs = slices.DeleteFunc(refs, ofTheServer)
	}
	more = len(refs) > foundLimit
	refs = refs[:min(len(refs), foundLimit)]
	found, err = s.describe(ctx, way, refs)
	return found, more, err
}

// ofTheServer says whether a node is about the server itself and not about the plant.
func ofTheServer(r *ua.ReferenceDescription) bool {
	return r.NodeID.NodeID.Namespace() == 0
}

// Search looks for nodes whose way from the top holds all the words, whatever their case: those nearest to the top
// first. more says that not all was looked at. Errors: as Browse.
func (c *Client) Search(ctx context.Context, words string) (found []Found, more bool, err error) {
	s, err := c.asking()
	if err != nil {
		return nil, false, err
	}
	ctx, stop := context.WithTimeout(ctx, searchLimit)
	defer stop()
	wanted := strings.Fields(strings.ToLower(words))
	type place struct {
		at  *ua.NodeID
		way []string
	}
	seen := map[string]bool{}
	for next := []place{{ua.NewNumericNodeID(0, id.ObjectsFolder), nil}}; len(next) > 0; {
		p := next[0]
		next = next[1:]
		refs, err := s.below(ctx, p.at)
		if ctx.Err() != nil {
			return found, true, nil
		}
		if err != nil {
			return nil, false, err
		}
		var hits []*ua.ReferenceDescription
		for _, r := range refs {
			key := r.NodeID.NodeID.String()
			if seen[key] || len(p.way) == 0 && ofTheServer(r) {
				continue
			}
			seen[key] = true
			way := append(slices.Clone(p.way), r.BrowseName.Name)
			if hasAll(strings.ToLower(Path(way)), wanted) {
				hits = append(hits, r)
			}
			if len(way) < deepest && r.NodeClass == ua.NodeClassObject {
				next = append(next, place{r.NodeID.NodeID, way})
			}
		}
		described, err := s.describe(ctx, p.way, hits)
		if err != nil && ctx.Err() == nil {
			return nil, false, err
		}
		found = append(found, described...)
		if len(found) >= foundLimit || len(seen) > visitedLimit {
			return found[:min(len(found), foundLimit)], true, nil
		}
	}
	return found, false, nil
}

// Below tells all values below a node, each with the names from there on, at most so many steps down; in the plant's
// order. more says that not all was looked at. Errors: as Browse.
func (c *Client) Below(ctx context.Context, path string, steps int) (found []Found, more bool, err error) {
	ctx, stop := context.WithTimeout(ctx, searchLimit)
	defer stop()
	here, more, err := c.Browse(ctx, path)
	if err != nil {
		return nil, false, err
	}
	for _, f := range here {
		if !f.Folder {
			found = append(found, f)
			continue
		}
		if steps <= 1 {
			continue
		}
		deeper, cut, err := c.Below(ctx, f.Path, steps-1)
		if err != nil {
			return nil, false, err
		}
		found, more = append(found, deeper...), more || cut
		if len(found) > foundLimit {
			return found[:foundLimit], true, nil
		}
	}
	return found, more, nil
}

func hasAll(text string, words []string) bool {
	for _, w := range words {
		if !strings.Contains(text, w) {
			return false
		}
	}
	return true
}

// describe reads type, rights, value, unit and range of nodes, in few round trips.
func (s *session) describe(ctx context.Context, way []string, refs []*ua.ReferenceDescription) ([]Found, error) {
	out := make([]Found, len(refs))
	var variables []int
	for i, r := range refs {
		name := r.BrowseName.Name
		out[i] = Found{Path: Path(append(slices.Clone(way), name)), Name: name, Folder: r.NodeClass == ua.NodeClassObject}
		if r.DisplayName != nil && r.DisplayName.Text != "" {
			out[i].Name = r.DisplayName.Text
		}
		if r.NodeClass == ua.NodeClassVariable {
			variables = append(variables, i)
		}
	}
	for batch := range slices.Chunk(variables, propertyBatch) {
		if err := s.readings(ctx, batch, refs, out); err != nil {
			return nil, err
		}
		if err := s.scales(ctx, batch, refs, out); err != nil {
			return nil, err
		}
	}
	return out, nil
}

func (s *session) readings(ctx context.Context, which []int, refs []*ua.ReferenceDescription, out []Found) error {
	attributes := []ua.AttributeID{ua.AttributeIDValue, ua.AttributeIDDataType, ua.AttributeIDUserAccessLevel}
	var ask []*ua.ReadValueID
	for _, i := range which {
		for _, a := range attributes {
			ask = append(ask, &ua.ReadValueID{NodeID: refs[i].NodeID.NodeID, AttributeID: a})
		}
	}
	response, err := s.client.Read(ctx, &ua.ReadRequest{NodesToRead: ask})
	if err != nil {
		return reached(err)
	}
	for n, i := range which {
		at := response.Results[n*len(attributes):]
		out[i].Kind, out[i].Readable = kindOf(at[1].Value)
		if value := at[0]; value.Status == ua.StatusOK && value.Value != nil {
			v := valueOf(value.Value)
			if v.Known() {
				out[i].Now = v.Wire()
				out[i].Kind, out[i].Readable = v.Kind(), true
			} else if value.Value.ArrayLength() > 0 {
				out[i].Readable = false
			}
		}
		if level := at[2]; level.Status == ua.StatusOK && level.Value != nil {
			rights, _ := level.Value.Value().(uint8)
			out[i].Writable = ua.AccessLevelType(rights)&ua.AccessLevelTypeCurrentWrite != 0
		}
	}
	return nil
}

// kindOf reads a data type (OPC UA Part 6, 5.1.2).
func kindOf(v *ua.Variant) (cond.Kind, bool) {
	if v == nil {
		return cond.Text, false
	}
	at, ok := v.Value().(*ua.NodeID)
	if !ok || at.Namespace() != 0 {
		return cond.Text, false
	}
	switch at.IntID() {
	case id.Boolean:
		return cond.YesNo, true
	case id.SByte, id.Byte, id.Int16, id.UInt16, id.Int32, id.UInt32, id.Int64, id.UInt64, id.Integer, id.UInteger:
		return cond.Whole, true
	case id.Float, id.Double, id.Number:
		return cond.Number, true
	case id.String, id.LocalizedText:
		return cond.Text, true
	}
	return cond.Text, false
}

// scales reads the properties that tell unit and range.
func (s *session) scales(ctx context.Context, which []int, refs []*ua.ReferenceDescription, out []Found) error {
	var browse []*ua.BrowseDescription
	for _, i := range which {
		browse = append(browse, &ua.BrowseDescription{
			NodeID: refs[i].NodeID.NodeID, BrowseDirection: ua.BrowseDirectionForward, ReferenceTypeID: ua.NewNumericNodeID(0, id.HasProperty),
			IncludeSubtypes: true, ResultMask: uint32(ua.BrowseResultMaskAll),
		})
	}
	properties, err := s.client.Browse(ctx, &ua.BrowseRequest{View: &ua.ViewDescription{ViewID: ua.NewTwoByteNodeID(0), Timestamp: time.Now()}, NodesToBrowse: browse})
	if err != nil {
		return reached(err)
	}
	var of []int
	var ask []*ua.ReadValueID
	for n, i := range which {
		for _, r := range properties.Results[n].References {
			if r.BrowseName != nil && r.NodeID != nil && (r.BrowseName.Name == "EURange" || r.BrowseName.Name == "EngineeringUnits") {
				of, ask = append(of, i), append(ask, &ua.ReadValueID{NodeID: r.NodeID.NodeID, AttributeID: ua.AttributeIDValue})
			}
		}
	}
	if len(ask) == 0 {
		return nil
	}
	response, err := s.client.Read(ctx, &ua.ReadRequest{NodesToRead: ask})
	if err != nil {
		return reached(err)
	}
	for n, i := range of {
		if v := response.Results[n].Value; v != nil {
			if object, ok := v.Value().(*ua.ExtensionObject); ok && object != nil {
				scaled(&out[i], object.Value)
			}
		}
	}
	return nil
}

func scaled(f *Found, property any) {
	switch p := property.(type) {
	case *ua.Range:
		if p.Low < p.High {
			f.Low, f.High = &p.Low, &p.High
		}
	case *ua.EUInformation:
		if p.DisplayName != nil {
			f.Unit = p.DisplayName.Text
		}
	}
}

// asking gives the session of the moment, with paths of its own: browsing is in nobody's way.
func (c *Client) asking() (*session, error) {
	c.mu.Lock()
	defer c.mu.Unlock()
	if c.at == nil {
		return nil, ErrAway
	}
	return &session{client: c.at.client, namespaces: c.at.namespaces, usual: c.at.usual, paths: map[string]*ua.NodeID{}}, nil
}
