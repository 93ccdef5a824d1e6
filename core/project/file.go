package project

import (
	"bytes"
	"crypto/sha256"
	"encoding/base64"
	"encoding/hex"
	"encoding/json"
	"errors"
	"fmt"
	"maps"
	"slices"
	"strings"
)

// FileSchema names the schema of files that applications are taken elsewhere in.
const FileSchema = "tag:ambergate,2026:file"

// File is an application as it is taken elsewhere: no secret and no record is in it.
type File struct {
	Schema   string                     `json:"$schema,omitempty"`
	Format   int                        `json:"format"`
	Entities map[string]json.RawMessage `json:"entities"`
	Pictures map[string]FilePicture     `json:"pictures,omitempty"` // and clips, by digest
}

// FilePicture is a picture or clip with its bytes, in base64.
type FilePicture struct {
	Media string `json:"media"`
	Data  string `json:"data"`
}

// WriteFile writes an application: the same gives the same bytes, so it can be kept in version control. Members are
// in order of their names, a line each.
func WriteFile(entities map[string]json.RawMessage, pictures map[string]FilePicture) ([]byte, error) {
	f := File{Schema: FileSchema, Format: Format, Entities: map[string]json.RawMessage{}, Pictures: pictures}
	for id, e := range entities {
		var value any // numbers as everywhere in documents: 1.0 is 1
		if err := json.Unmarshal(e, &value); err != nil {
			return nil, fmt.Errorf("write %s: %w", id, err)
		}
		var text bytes.Buffer
		out := json.NewEncoder(&text)
		out.SetEscapeHTML(false)
		if err := out.Encode(value); err != nil {
			return nil, fmt.Errorf("write %s: %w", id, err)
		}
		f.Entities[id] = text.Bytes()
	}
	var text bytes.Buffer
	out := json.NewEncoder(&text)
	out.SetEscapeHTML(false)
	out.SetIndent("", " ")
	if err := out.Encode(f); err != nil {
		return nil, fmt.Errorf("write the application: %w", err)
	}
	return text.Bytes(), nil
}

// FileError says why a file cannot be read, and what to do.
type FileError struct{ What, Then string }

// Error says both.
func (e *FileError) Error() string { return e.What + " " + e.Then }

// ReadFile reads an application that was written by WriteFile, with its document decoded. Errors: *FileError,
// *StructureError.
func ReadFile(text []byte) (*File, *Project, error) {
	var f File
	if err := json.Unmarshal(text, &f); err != nil {
		var syntax *json.SyntaxError
		if errors.As(err, &syntax) {
			return nil, nil, &FileError{fmt.Sprintf("This is no JSON: line %d cannot be read.", 1+bytes.Count(text[:min(int(syntax.Offset), len(text))], []byte("\n"))), "Choose a file that was exported here."}
		}
		return nil, nil, &FileError{"This is no application: " + strings.TrimPrefix(err.Error(), "json: ") + ".", "Choose a file that was exported here."}
	}
	switch {
	case f.Format > Format:
		return nil, nil, &FileError{fmt.Sprintf("This file has format %d, made by a newer program; this one reads up to %d.", f.Format, Format), "Bring this program up to date first."}
	case f.Format < 1 || len(f.Entities) == 0:
		return nil, nil, &FileError{"This is no application: it has no format or no entities.", "Choose a file that was exported here."}
	}
	p, err := Decode(f.Entities)
	if err != nil {
		return nil, nil, err
	}
	for _, digest := range slices.Sorted(maps.Keys(f.Pictures)) {
		data, err := f.Pictures[digest].Bytes()
		if err != nil {
			return nil, nil, &FileError{"The picture " + digest[:min(len(digest), 12)] + " is damaged.", "Export the application again."}
		}
		if sum := sha256.Sum256(data); hex.EncodeToString(sum[:]) != digest {
			return nil, nil, &FileError{"The picture " + digest[:min(len(digest), 12)] + " is not the one it is said to be.", "Export the application again."}
		}
	}
	for kind, one := range p.AllKept() {
		if _, there := f.Pictures[one.Digest]; !there {
			return nil, nil, &FileError{"The " + kind + " “" + one.Name + "” is missing in the file.", "Export the application again."}
		}
	}
	return &f, p, nil
}

// Bytes gives the picture itself.
func (p FilePicture) Bytes() ([]byte, error) { return base64.StdEncoding.DecodeString(p.Data) }

// Needs gives the connections that a project is over, each with its type, by name.
func (p *Project) Needs() map[string]string {
	out := map[string]string{}
	for _, s := range p.Sources {
		out[s.Connection] = s.Type
	}
	return out
}
