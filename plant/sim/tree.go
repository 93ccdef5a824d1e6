package sim

import (
	"slices"
	"strings"

	"github.com/gopcua/opcua/id"
	"github.com/gopcua/opcua/server"
	"github.com/gopcua/opcua/server/attrs"
	"github.com/gopcua/opcua/ua"
)

// Top is the folder below Objects in which the lifts stand: Ropeway, UT, drive, speed.
const Top = "Ropeway"

// Properties of a reading (OPC UA Part 8): what they hang on it as, and how their nodes are named.
const (
	rangeProperty = "EURange"
	unitProperty  = "EngineeringUnits"
	ofNode        = "#"
)

// scale is the unit and the range that a controller tells of a reading.
type scale struct {
	unit      string
	low, high float64
}

// scales are told by what a reading is called at its end.
var scales = map[string]scale{
	"drive.speed":     {"m/s", 0, 6},
	"drive.set_speed": {"m/s", 0, 6},
	"drive.torque":    {"%", 0, 100},
	"drive.motor":     {"°C", -20, 120},
	"wind.mean":       {"m/s", 0, 40},
	"wind.tower9":     {"m/s", 0, 40},
	"wind.gust":       {"m/s", 0, 60},
}

func scaleOf(key string) (scale, bool) {
	_, rest, _ := strings.Cut(key, ".")
	s, ok := scales[rest]
	return s, ok
}

// mount hangs the folder of all lifts below Objects, where clients look.
func (n *namespace) mount() {
	if ns0, ok := n.srv.Namespaces()[0].(*server.NodeNameSpace); ok {
		ns0.Objects().AddRef(n.folder(Top), id.Organizes, true)
	}
}

func (n *namespace) folder(key string) *server.Node {
	return server.NewNode(ua.NewStringNodeID(n.ID(), key), server.Attributes{
		ua.AttributeIDNodeClass:   server.DataValueFromValue(uint32(ua.NodeClassObject)),
		ua.AttributeIDBrowseName:  server.DataValueFromValue(attrs.BrowseName(last(key))),
		ua.AttributeIDDisplayName: server.DataValueFromValue(attrs.DisplayName(last(key), "")),
		ua.AttributeIDDataType:    server.DataValueFromValue(ua.NewNumericExpandedNodeID(0, id.FolderType)),
	}, nil, nil)
}

// Node gives a folder as the library keeps them; readings have none.
func (n *namespace) Node(node *ua.NodeID) *server.Node {
	if key := node.StringID(); key != "" && n.isFolder(key) {
		return n.folder(key)
	}
	return n.MapNamespace.Node(node)
}

func (n *namespace) isFolder(key string) bool {
	n.mu.RLock()
	defer n.mu.RUnlock()
	return key == Top || len(n.children(key)) > 0
}

// children are the keys one step below a key, in order; below "" the lifts. The lock is held.
func (n *namespace) children(key string) []string {
	prefix := ""
	if key != "" {
		prefix = key + "."
	}
	var out []string
	for k := range n.Data {
		if rest, ok := strings.CutPrefix(k, prefix); ok {
			step, _, _ := strings.Cut(rest, ".")
			out = append(out, prefix+step)
		}
	}
	slices.Sort(out)
	return slices.Compact(out)
}

func last(key string) string { return key[strings.LastIndex(key, ".")+1:] }

// Browse gives what is one step below a node: lifts, their parts, their readings, and the properties of these.
func (n *namespace) Browse(bd *ua.BrowseDescription) *ua.BrowseResult {
	out := &ua.BrowseResult{StatusCode: ua.StatusGood, References: []*ua.ReferenceDescription{}}
	if bd.BrowseDirection == ua.BrowseDirectionInverse {
		return out
	}
	key := bd.NodeID.StringID()
	if key == "" {
		return n.MapNamespace.Browse(bd)
	}
	n.mu.RLock()
	defer n.mu.RUnlock()
	if key == Top {
		key = ""
	}
	properties := bd.ReferenceTypeID != nil && bd.ReferenceTypeID.IntID() == id.HasProperty
	if _, reading := n.Data[key]; reading {
		if _, ok := scaleOf(key); ok {
			for _, p := range []string{rangeProperty, unitProperty} {
				out.References = append(out.References, n.reference(key+ofNode+p, p, id.HasProperty, ua.NodeClassVariable, id.PropertyType))
			}
		}
		return out
	}
	if properties {
		return out
	}
	for _, child := range n.children(key) {
		if _, reading := n.Data[child]; reading {
			out.References = append(out.References, n.reference(child, last(child), id.HasComponent, ua.NodeClassVariable, id.AnalogItemType))
		} else {
			out.References = append(out.References, n.reference(child, last(child), id.Organizes, ua.NodeClassObject, id.FolderType))
		}
	}
	if bd.NodeClassMask != 0 {
		out.References = slices.DeleteFunc(out.References, func(r *ua.ReferenceDescription) bool { return uint32(r.NodeClass)&bd.NodeClassMask == 0 })
	}
	return out
}

func (n *namespace) reference(key, name string, by uint32, class ua.NodeClass, of uint32) *ua.ReferenceDescription {
	return &ua.ReferenceDescription{
		ReferenceTypeID: ua.NewNumericNodeID(0, by), IsForward: true, NodeID: ua.NewStringExpandedNodeID(n.ID(), key),
		BrowseName:  &ua.QualifiedName{NamespaceIndex: n.ID(), Name: name},
		DisplayName: &ua.LocalizedText{EncodingMask: ua.LocalizedTextText, Text: name},
		NodeClass:   class, TypeDefinition: ua.NewNumericExpandedNodeID(0, of),
	}
}

// told gives what the library’s map does not know: properties, rights, and the types it has no number for.
func (n *namespace) told(key string, a ua.AttributeID) (any, bool) {
	if of, property, ok := strings.Cut(key, ofNode); ok {
		s, has := scaleOf(of)
		if !has || a != ua.AttributeIDValue {
			return nil, false
		}
		if property == rangeProperty {
			return ua.NewExtensionObject(&ua.Range{Low: s.low, High: s.high}), true
		}
		text := &ua.LocalizedText{EncodingMask: ua.LocalizedTextText, Text: s.unit}
		return ua.NewExtensionObject(&ua.EUInformation{NamespaceURI: "http://www.opcfoundation.org/UA/units/un/cefact", UnitID: -1, DisplayName: text, Description: text}), true
	}
	switch a {
	case ua.AttributeIDDataType:
		if _, whole := n.Data[key].(int64); whole {
			return ua.NewNumericNodeID(0, id.Int64), true
		}
	case ua.AttributeIDAccessLevel, ua.AttributeIDUserAccessLevel:
		level := ua.AccessLevelTypeCurrentRead
		if writable(key) {
			level |= ua.AccessLevelTypeCurrentWrite
		}
		return byte(level), true
	}
	return nil, false
}
