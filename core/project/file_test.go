package project_test

import (
	"bytes"
	"encoding/base64"
	"encoding/json"
	"errors"
	"strings"
	"testing"

	"ambergate/core/project"
)

var onePixel = base64.StdEncoding.EncodeToString([]byte("a picture"))

// sha256 of “a picture”.
const pixelDigest = "e23fde06ab0c7d0a3de8b4c57f5c1d1f6e9b0d3a"

func TestAFileIsTheSameBytesHoweverItWasKept(t *testing.T) {
	write := func(screen string) string {
		text, err := project.WriteFile(map[string]json.RawMessage{"s_a": json.RawMessage(screen), "project": json.RawMessage(`{"kind":"project","title":"A < B","slug":"a","zone":"UTC"}`)}, nil)
		if err != nil {
			t.Fatal(err)
		}
		return string(text)
	}
	a, b := write(`{"kind":"screen","type":"menu","title":"A","slug":"a"}`), write("{ \"slug\": \"a\",\n\"title\":\"A\",\"type\":\"menu\",\"kind\":\"screen\"}")
	if a != b || !strings.Contains(a, "A < B") || !strings.HasSuffix(a, "}\n") {
		t.Errorf("%s\n%s", a, b)
	}
	f, p, err := project.ReadFile([]byte(a))
	if err != nil || p.Settings.Title != "A < B" {
		t.Fatal(err)
	}
	again, err := project.WriteFile(f.Entities, f.Pictures)
	if err != nil || !bytes.Equal(again, []byte(a)) {
		t.Errorf("%s, %v", again, err)
	}
}

func TestWhatIsNoApplicationIsSaidPlainly(t *testing.T) {
	settings := `"project":{"kind":"project","title":"A","slug":"a","zone":"UTC"}`
	for name, c := range map[string]struct{ text, says string }{
		"no JSON":            {"{\n\"format\": 1,\n oops", "line 3"},
		"another file":       {`[1,2]`, "no application"},
		"nothing":            {`{}`, "no format"},
		"newer":              {`{"format":2,"entities":{` + settings + `}}`, "newer program"},
		"no entities":        {`{"format":1,"entities":{}}`, "no entities"},
		"hostile id":         {`{"format":1,"entities":{` + settings + `,"../../etc":{"kind":"screen"}}}`, "../../etc"},
		"null":               {`{"format":1,"entities":{` + settings + `,"s_a":null}}`, "s_a"},
		"a damaged picture":  {`{"format":1,"entities":{` + settings + `},"pictures":{"` + pixelDigest + `":{"media":"image/png","data":"%%%"}}}`, "damaged"},
		"another picture":    {`{"format":1,"entities":{` + settings + `},"pictures":{"` + pixelDigest + `":{"media":"image/png","data":"` + onePixel + `"}}}`, "not the one"},
		"a missing picture":  {`{"format":1,"entities":{` + settings + `,"pi_a":{"kind":"picture","name":"Pump","digest":"` + strings.Repeat("a", 64) + `"}}}`, "“Pump” is missing"},
		"a slug of a script": {`{"format":1,"entities":{"project":{"kind":"project","title":"A","slug":"<script>","zone":"UTC"}}}`, "<script>"},
	} {
		_, _, err := project.ReadFile([]byte(c.text))
		var file *project.FileError
		var structure *project.StructureError
		if err == nil || !errors.As(err, &file) && !errors.As(err, &structure) || !strings.Contains(err.Error(), c.says) {
			t.Errorf("%s: %v", name, err)
		}
	}
}
