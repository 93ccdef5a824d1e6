package main

import (
	"bytes"
	"os"
	"path/filepath"
	"testing"
)

func TestTheKeyIsMadeOnceAndKeptToOneself(t *testing.T) {
	dir := filepath.Join(t.TempDir(), "new")
	made, err := key(dir)
	if err != nil {
		t.Fatal(err)
	}
	again, err := key(dir)
	if err != nil || !bytes.Equal(made, again) {
		t.Errorf("another key the second time: %v", err)
	}
	if keyOpen(dir) {
		t.Error("others may read what was made")
	}
	file := filepath.Join(dir, keyFile)
	if err := os.Chmod(file, 0o644); err != nil {
		t.Fatal(err)
	}
	if !keyOpen(dir) {
		t.Error("it is not seen that others may read it")
	}
	if err := os.WriteFile(file, []byte("short\n"), 0o600); err != nil {
		t.Fatal(err)
	}
	if _, err := key(dir); err == nil {
		t.Error("a damaged key is taken")
	}
}
