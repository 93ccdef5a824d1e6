package main

import (
	"crypto/rand"
	"encoding/hex"
	"errors"
	"fmt"
	"io/fs"
	"os"
	"path/filepath"
	"strings"

	"ambergate/store"
)

// keyFile is the file in the program's folder that holds the key by which secrets of connections are sealed.
const keyFile = "ambergate.key"

// key reads the key from the program's folder; at the first start it makes one, which only who runs the program may read.
func key(dir string) ([]byte, error) {
	file := filepath.Join(dir, keyFile)
	text, err := os.ReadFile(file)
	if errors.Is(err, fs.ErrNotExist) {
		return newKey(dir)
	}
	if err != nil {
		return nil, fmt.Errorf("read the key %s: %w", file, err)
	}
	key, err := hex.DecodeString(strings.TrimSpace(string(text)))
	if err != nil || len(key) != store.KeySize {
		return nil, fmt.Errorf("the key in %s is damaged: put back the one from before, or move it away and write the passwords of connections again", file)
	}
	return key, nil
}

// keyOpen says whether others on this machine may read the key, as after a copy that did not keep its rights.
func keyOpen(dir string) bool {
	about, err := os.Stat(filepath.Join(dir, keyFile))
	return err == nil && about.Mode().Perm()&0o077 != 0
}

// keepKey lets a folder have a key that is known already, for a server that shares it with others.
func keepKey(dir string, key []byte) error {
	if err := os.WriteFile(filepath.Join(dir, keyFile), []byte(hex.EncodeToString(key)+"\n"), 0o600); err != nil {
		return fmt.Errorf("keep the key: %w", err)
	}
	return nil
}

func newKey(dir string) ([]byte, error) {
	key := make([]byte, store.KeySize)
	if _, err := rand.Read(key); err != nil {
		return nil, fmt.Errorf("make a key: %w", err)
	}
	if err := os.MkdirAll(dir, 0o711); err != nil {
		return nil, fmt.Errorf("make the folder of the program: %w", err)
	}
	return key, keepKey(dir, key)
}
