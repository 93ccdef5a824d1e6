// Command breaks breaks each promise of the program once, in a copy of it, and sees that a test notices: run
// “go run ./fault/breaks”, or with words that the promises to break contain.
package main

import (
	"context"
	"fmt"
	"io/fs"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"time"
)

// oneBreak is a promise and how it is broken.
type oneBreak struct {
	promise  string
	file     string
	was, now string // the text in the file, which stands there once, and what stands there instead
	packages string // whose tests have to see it
	tests    string // which of them, as a pattern
}

// testsWithin is how long the tests of one break may take.
const testsWithin = 8 * time.Minute

func main() {
	survived, err := run(context.Background(), os.Args[1:])
	if err != nil {
		fmt.Fprintln(os.Stderr, "breaks:", err)
		os.Exit(2)
	}
	if survived > 0 {
		os.Exit(1)
	}
}

func run(ctx context.Context, words []string) (survived int, err error) {
	dir, err := os.MkdirTemp("", "ambergate-breaks")
	if err != nil {
		return 0, fmt.Errorf("make a folder: %w", err)
	}
	defer os.RemoveAll(dir)
	if err := copyTree(".", dir); err != nil {
		return 0, err
	}
	for _, b := range breaks {
		if err := b.fits(dir); err != nil {
			return 0, err
		}
	}
	tried := 0
	for _, b := range breaks {
		if !chosen(b, words) {
			continue
		}
		tried++
		began := time.Now()
		caught, how, err := try(ctx, dir, b)
		if err != nil { // nothing is known of this one: it counts as one that survived
			how = err.Error()
		}
		word := "caught"
		if !caught {
			word = "SURVIVED"
			survived++
		}
		fmt.Printf("%-9s %5.1f s  %s: %s\n", word, time.Since(began).Seconds(), b.promise, how)
	}
	fmt.Printf("%d promises broken, %d survived\n", tried, survived)
	return survived, nil
}

func chosen(b oneBreak, words []string) bool {
	for _, w := range words {
		if !strings.Contains(b.promise, w) {
			return false
		}
	}
	return true
}

// try breaks one promise and runs the tests; how tells the first that failed.
func try(ctx context.Context, dir string, b oneBreak) (caught bool, how string, err error) {
	path := filepath.Join(dir, b.file)
	text, err := os.ReadFile(path)
	if err != nil {
		return false, "", fmt.Errorf("read the file: %w", err)
	}
	if err := os.WriteFile(path, []byte(strings.Replace(string(text), b.was, b.now, 1)), 0o644); err != nil {
		return false, "", fmt.Errorf("break the file: %w", err)
	}
	defer func() {
		if failed := os.WriteFile(path, text, 0o644); failed != nil && err == nil {
			err = fmt.Errorf("mend the file: %w", failed)
		}
	}()
	ctx, cancel := context.WithTimeout(ctx, testsWithin)
	defer cancel()
	for _, p := range strings.Fields(b.packages) { // the quick ones first
		cmd := exec.CommandContext(ctx, "go", "test", "-short", "-failfast", "-vet=off", "-run", b.tests, p)
		cmd.Dir = dir
		out, failed := cmd.CombinedOutput()
		if failed == nil {
			continue
		}
		name := firstFailure(string(out))
		if name == "" {
			return false, "", fmt.Errorf("it does not build: %s", out)
		}
		return true, p + " " + name, nil
	}
	return false, "no test of " + b.packages + " sees it", nil
}

// firstFailure gives the name of the first test that failed; "" where nothing was tested.
func firstFailure(out string) string {
	for _, line := range strings.Split(out, "\n") {
		if name, failed := strings.CutPrefix(strings.TrimSpace(line), "--- FAIL: "); failed {
			return name
		}
	}
	if strings.Contains(out, "panic: ") {
		return "a panic"
	}
	return ""
}

// fits says whether what is to be broken stands once where it is said to.
func (b oneBreak) fits(dir string) error {
	text, err := os.ReadFile(filepath.Join(dir, b.file))
	if err != nil {
		return fmt.Errorf("read the file: %w", err)
	}
	if n := strings.Count(string(text), b.was); n != 1 || b.was == b.now {
		return fmt.Errorf("%s: the text to break stands %d times in %s", b.promise, n, b.file)
	}
	return nil
}

// copyTree copies the source, without what is built or fetched.
func copyTree(from, to string) error {
	err := filepath.WalkDir(from, func(path string, d fs.DirEntry, err error) error {
		if err != nil {
			return err
		}
		if d.IsDir() && (d.Name() == "node_modules" || path == ".git" || path == ".demo" || path == "bin" || path == "e2e") {
			return filepath.SkipDir
		}
		if d.IsDir() {
			return os.MkdirAll(filepath.Join(to, path), 0o755)
		}
		if !d.Type().IsRegular() {
			return nil
		}
		text, err := os.ReadFile(path)
		if err != nil {
			return err
		}
		return os.WriteFile(filepath.Join(to, path), text, 0o644)
	})
	if err != nil {
		return fmt.Errorf("copy the source: %w", err)
	}
	return nil
}
