package server_test

import (
	"bufio"
	"io"
	"strings"
)

// eventReader reads server-sent events.
type eventReader struct{ lines *bufio.Scanner }

func newEventReader(r io.Reader) *eventReader {
	s := bufio.NewScanner(r)
	s.Buffer(nil, 1<<20)
	return &eventReader{lines: s}
}

func (r *eventReader) next() (name string, data []byte, err error) {
	for r.lines.Scan() {
		line := r.lines.Text()
		switch {
		case strings.HasPrefix(line, "event: "):
			name = line[len("event: "):]
		case strings.HasPrefix(line, "data: "):
			data = []byte(line[len("data: "):])
		case line == "" && name != "":
			return name, data, nil
		}
	}
	return "", nil, io.EOF
}
