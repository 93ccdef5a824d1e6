package plant

import (
	"context"
	"fmt"
	"net/url"
	"slices"
	"strings"

	"github.com/gopcua/opcua"
	"github.com/gopcua/opcua/id"
	"github.com/gopcua/opcua/ua"
)

// A node is named in one of three ways:
//
//   - UT.drive.speed: a name in the namespace of the connection
//   - nsu=urn:works:press;i=1042: an identifier with its namespace (OPC UA Part 6, 5.3.1.10); without nsu= one of OPC
//     UA itself
//   - /Ropeway/UT/drive/speed: the names to browse by, from Objects on; for nodes whose identifiers are numbers that
//     tell nothing
//
// What is reserved in a URI may be encoded by per cent signs in each (RFC 3986, 2.1), as templates do it: a slash
// within a name of a path has to be, %2F.

// Path writes the way to a node by browse names.
func Path(names []string) string {
	var out strings.Builder
	for _, n := range names {
		out.WriteString("/" + pathEscape.Replace(n))
	}
	return out.String()
}

var pathEscape = strings.NewReplacer("%", "%25", "/", "%2F", "{", "%7B", "}", "%7D")

// Names splits a path into browse names.
func Names(path string) []string {
	parts := strings.Split(strings.TrimPrefix(path, "/"), "/")
	for i := range parts {
		parts[i] = decoded(parts[i])
	}
	return parts
}

// decoded is a name as the plant has it; what is not encoded rightly is meant as it stands.
func decoded(name string) string {
	if plain, err := url.PathUnescape(name); err == nil {
		return plain
	}
	return name
}

// session is one connection, with what was looked up while it lasts.
type session struct {
	client     *opcua.Client
	namespaces []string // by index
	usual      uint16   // index of the namespace in which names without one are looked up
	paths      map[string]*ua.NodeID
}

// find gives the identifier of a node by its name. A path is looked up by browsing once in a session; one that is not
// there is an error each time.
func (s *session) find(ctx context.Context, name string) (*ua.NodeID, error) {
	switch {
	case strings.HasPrefix(name, "/"):
		return s.walk(ctx, Names(name))
	case strings.HasPrefix(name, "nsu="), strings.HasPrefix(name, "i="), strings.HasPrefix(name, "s="), strings.HasPrefix(name, "ns="):
		at, err := ua.ParseExpandedNodeID(decoded(name), s.namespaces)
		if err != nil {
			return nil, fmt.Errorf("find %s: %w", name, err)
		}
		return at.NodeID, nil
	}
	return ua.NewStringNodeID(s.usual, decoded(name)), nil
}

func (s *session) walk(ctx context.Context, way []string) (*ua.NodeID, error) {
	at := ua.NewNumericNodeID(0, id.ObjectsFolder)
	for i, name := range way {
		path := Path(way[:i+1])
		if known := s.paths[path]; known != nil {
			at = known
			continue
		}
		below, err := s.below(ctx, at)
		if err != nil {
			return nil, err
		}
		// What stands beside it is likely to be asked for next.
		for _, r := range below {
			s.paths[Path(append(slices.Clone(way[:i]), r.BrowseName.Name))] = r.NodeID.NodeID
		}
		if at = s.paths[path]; at == nil {
			return nil, fmt.Errorf("find %s: there is nothing called %q: %w", Path(way), name, ua.StatusBadNotFound)
		}
	}
	return at, nil
}

// below are the objects and variables one step down.
func (s *session) below(ctx context.Context, at *ua.NodeID) ([]*ua.ReferenceDescription, error) {
	refs, err := s.client.Node(at).References(ctx, id.HierarchicalReferences, ua.BrowseDirectionForward, ua.NodeClassObject|ua.NodeClassVariable, true)
	if err != nil {
		return nil, fmt.Errorf("browse: %w", err)
	}
	return slices.DeleteFunc(refs, func(r *ua.ReferenceDescription) bool {
		return r.NodeID == nil || r.NodeID.NodeID == nil || r.BrowseName == nil || r.NodeClass != ua.NodeClassObject && r.NodeClass != ua.NodeClassVariable
	}), nil
}
