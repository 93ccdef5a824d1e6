package server

import (
	"io/fs"
	"os"
	"path/filepath"
	"regexp"
	"strings"
	"testing"
)

// The documents list every code that the program can give.
func TestTheDocumentsListEveryCode(t *testing.T) {
	text, err := os.ReadFile("../docs/errors.md")
	if err != nil {
		t.Fatal(err)
	}
	quoted := regexp.MustCompile(`(?:Refuse\("|Code: ")([a-z-]+)"`)
	codes := map[string]bool{}
	for _, dir := range []string{"../core", "../records", "."} {
		err := filepath.WalkDir(dir, func(path string, _ fs.DirEntry, err error) error {
			if err != nil || !strings.HasSuffix(path, ".go") || strings.HasSuffix(path, "_test.go") {
				return err
			}
			source, err := os.ReadFile(path)
			for _, m := range quoted.FindAllStringSubmatch(string(source), -1) {
				codes[m[1]] = true
			}
			return err
		})
		if err != nil {
			t.Fatal(err)
		}
	}
	if len(codes) < 30 {
		t.Errorf("only %d codes were found", len(codes))
	}
	for code := range codes {
		if !strings.Contains(string(text), "`"+code+"`") {
			t.Errorf("docs/errors.md does not list %s", code)
		}
	}
}
