package main

import (
	"strings"
	"testing"
)

const printed = `BenchmarkOwnTree-2   	  100	   5000 ns/op	  10 B/op
BenchmarkLibrary-2   	  100	  10000 ns/op	  10 B/op
new cluster, demo data, server ready: 3.1 s
view: a record, 50 buttons                       1283      20.61      95.21          22%
press p99 is 12.1 times that of the bare handler
a day with ties                                      0.9       1.0       1.8      0.5      0.1       0.2
map of 1000 screens: until it is drawn (budget 2 s)           1.20 s
all                               396.0      13.7     172.0     327.1     464.8        0
`

func TestTheTableSaysWhatIsReachedAndWhatIsNot(t *testing.T) {
	want := map[string]string{
		"CEL library": "0.5 of it", "50 buttons, of": "22 %", "press that moves": "12.1 times", "million rows": "2 of it", "until it is drawn": "1.2 s", "people who think": "327.1 ms", "first load": "not measured", "server ready": "3.1 s",
	}
	misses := map[string]bool{"50 buttons, of": true, "press that moves": true, "million rows": true, "people who think": true}
	for _, r := range rows() {
		line := r.line(printed)
		for of, figure := range want {
			if !strings.Contains(r.what, of) {
				continue
			}
			if !strings.Contains(line, figure) || strings.Contains(line, "not reached") != misses[of] {
				t.Errorf("%s: %s", of, line)
			}
			delete(want, of)
		}
	}
	if len(want) > 0 {
		t.Errorf("no row is of %v", want)
	}
}
