package core

import (
	"go/parser"
	"go/token"
	"io/fs"
	"path"
	"path/filepath"
	"regexp"
	"slices"
	"strings"
	"testing"
)

// A package's comment is a map of its files: it names each, and none that is not there.
func TestPackageCommentsAreMapsOfTheirFiles(t *testing.T) {
	named := regexp.MustCompile(`\b[a-z_]+\.go\b`)
	for _, root := range []string{".", "../server", "../records", "../store", "../plant"} {
		err := filepath.WalkDir(root, func(dir string, d fs.DirEntry, err error) error {
			if err != nil || !d.IsDir() {
				return err
			}
			files, err := filepath.Glob(filepath.Join(dir, "*.go"))
			if err != nil {
				return err
			}
			var all, mapped []string
			comment := ""
			for _, file := range files {
				name := path.Base(file)
				if strings.HasSuffix(name, "_test.go") {
					continue
				}
				parsed, err := parser.ParseFile(token.NewFileSet(), file, nil, parser.PackageClauseOnly|parser.ParseComments)
				if err != nil {
					return err
				}
				if doc := parsed.Doc; doc != nil {
					comment += doc.Text()
				}
				if name != "doc.go" {
					all = append(all, name)
				}
			}
			if len(all) < 3 || strings.Contains(comment, "  - the others: ") {
				all = slices.DeleteFunc(all, func(name string) bool { return !strings.Contains(comment, name) })
			}
			mapped = named.FindAllString(comment, -1)
			for _, name := range all {
				if !slices.Contains(mapped, name) {
					t.Errorf("the comment of %s does not say what is in %s", dir, name)
				}
			}
			for _, name := range mapped {
				if !slices.Contains(all, name) && dir != "." {
					t.Errorf("the comment of %s speaks of %s, which is not there", dir, name)
				}
			}
			return nil
		})
		if err != nil {
			t.Fatal(err)
		}
	}
}
