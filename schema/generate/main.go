// Command generate writes the JSON Schema of the project document from the types that read it. It is
// run from the folder of the package schema, by go generate.
package main

import (
	"encoding/json"
	"fmt"
	"os"
)

func main() {
	if len(os.Args) != 2 {
		fmt.Fprintln(os.Stderr, "generate: it takes the file to write")
		os.Exit(2)
	}
	if err := write(os.Args[1]); err != nil {
		fmt.Fprintln(os.Stderr, "generate:", err)
		os.Exit(1)
	}
}

func write(file string) error {
	document, err := document()
	if err != nil {
		return err
	}
	text, err := json.MarshalIndent(document, "", "  ")
	if err != nil {
		return fmt.Errorf("write the schema: %w", err)
	}
	return os.WriteFile(file, append(text, '\n'), 0o644)
}
