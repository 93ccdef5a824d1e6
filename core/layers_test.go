package core

import (
	"go/parser"
	"go/token"
	"io/fs"
	"os"
	"path"
	"path/filepath"
	"slices"
	"strconv"
	"strings"
	"testing"
)

// floors are the packages of the core from the ground up: each imports only from those below it, and
// knows nothing of those beside it.
var floors = [][]string{
	{"beside", "english", "catalogue", "local", "project/legal"}, {"cond"}, {"cond/prove", "project", "callup"}, {"cond/compile", "patch", "ask"}, {"place", "propose"}, {"plan"}, {"rights", "words"}, {"use"}, {"press"}, {"trail"},
	{"kinds/element", "kinds/effect", "kinds/move", "kinds/rule", "kinds/trigger"}, {"kinds", "build"}, {"check/reach"}, {"check"}, {"check/leads", "check/gets", "check/asks", "check/looks", "check/comes", "check/outside"}, {"checks"}, {"stand", "whole", "walk"}, {"differ"},
}

// libraries are those that packages of the core use; the others use Go's own alone.
var libraries = map[string]string{"cond/compile": "cel.dev/cel-go/", "kinds/move": "github.com/yosida95/uritemplate/", "local": "github.com/go-playground/locales"}

func floorOf(name string) int {
	return slices.IndexFunc(floors, func(rooms []string) bool { return slices.Contains(rooms, name) })
}

// ports is what those that reach records and tags may know of the core.
var ports = []string{"ask", "catalogue", "cond", "project"}

// imports gives what the packages below a folder import outside tests, by the folder they stand in.
func imports(t *testing.T, root string) map[string][]string {
	t.Helper()
	out := map[string][]string{}
	err := fs.WalkDir(os.DirFS(root), ".", func(name string, d fs.DirEntry, err error) error {
		if err != nil || d.IsDir() || !strings.HasSuffix(name, ".go") || strings.HasSuffix(name, "_test.go") {
			return err
		}
		file, err := parser.ParseFile(token.NewFileSet(), filepath.Join(root, name), nil, parser.ImportsOnly)
		if err != nil {
			return err
		}
		for _, spec := range file.Imports {
			imported, err := strconv.Unquote(spec.Path.Value)
			if err != nil {
				return err
			}
			out[path.Dir(name)] = append(out[path.Dir(name)], imported)
		}
		return nil
	})
	if err != nil {
		t.Fatal(err)
	}
	return out
}

func TestNoPackageImportsFromItsOwnFloorOrAbove(t *testing.T) {
	for from, all := range imports(t, ".") {
		floor := floorOf(from)
		if floor < 0 {
			t.Errorf("core/%s stands on no floor: add it to floors", from)
		}
		for _, imported := range all {
			to, own := strings.CutPrefix(imported, "ambergate/core/")
			switch {
			case !own && strings.HasPrefix(imported, "ambergate/"):
				t.Errorf("core/%s imports %s, which stands outside the core", from, imported)
			case own && floorOf(to) >= floor:
				t.Errorf("core/%s imports core/%s, which stands beside or above it", from, to)
			}
		}
	}
}

func TestTheCoreKnowsNoWebNoDatabaseAndNoSystem(t *testing.T) {
	system := []string{"net", "net/http", "os", "os/exec", "database/sql", "log", "log/slog"}
	for from, all := range imports(t, ".") {
		for _, imported := range all {
			host, _, _ := strings.Cut(imported, "/")
			foreign := strings.Contains(host, ".") && (libraries[from] == "" || !strings.HasPrefix(imported, libraries[from]))
			if foreign || slices.Contains(system, imported) {
				t.Errorf("core/%s imports %s", from, imported)
			}
		}
	}
}

func TestRecordsAndThePlantKnowOnlyThePorts(t *testing.T) {
	for _, side := range []string{"records", "plant"} {
		for from, all := range imports(t, "../"+side) {
			for _, imported := range all {
				if to, core := strings.CutPrefix(imported, "ambergate/core/"); core && !slices.Contains(ports, to) {
					t.Errorf("%s imports %s: what it needs of it belongs into core/ask", path.Join(side, from), imported)
				}
			}
		}
	}
}
