package build

import (
	"strings"
	"testing"

	"ambergate/demo"
)

func TestOnlyDrawingsThatShowAreKept(t *testing.T) {
	const head = `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="2" height="2">`
	for body, kept := range map[string]bool{
		head + `<path d="M0 0h2v2z" fill="url(#g)"/><use xlink:href="#g"/></svg>`:                    true,
		`<?xml version="1.0"?>` + head + `<style>.a{fill:red}</style><text>on the line</text></svg>`: true,
		head + `<image href="data:image/png;base64,AA=="/></svg>`:                                    true,
		head + `<script>alert(1)</script></svg>`:                                                     false,
		head + `<g onload="alert(1)"/></svg>`:                                                        false,
		head + `<a href="javascript:alert(1)"/></svg>`:                                               false,
		head + `<image href="https://elsewhere.example/x.png"/></svg>`:                               false,
		head + `<style>@import "https://elsewhere.example/x.css";</style></svg>`:                     false,
		head + `<rect style="fill: url( https://elsewhere.example/x )"/></svg>`:                      false,
		head + `<foreignObject><p xmlns="http://www.w3.org/1999/xhtml">x</p></foreignObject></svg>`:  false,
		`<!DOCTYPE svg [<!ENTITY a "aaaa">]>` + head + `&a;</svg>`:                                   false,
		`<?xml-stylesheet href="x.xsl"?>` + head + `</svg>`:                                          false,
		`<html xmlns="http://www.w3.org/1999/xhtml"><svg/></html>`:                                   false,
		`<svg><path/></svg>`:              false, // no drawing by its namespace
		head:                              false,
		head + `</svg>` + head + `</svg>`: false,
	} {
		if got := MediaOfPicture([]byte(body)) == "image/svg+xml"; got != kept {
			t.Errorf("kept %v: %s", got, body)
		}
	}
	for _, name := range demo.Pictures {
		data, err := demo.Picture(name)
		if err != nil {
			t.Fatal(err)
		}
		if strings.HasSuffix(name, ".svg") && MediaOfPicture(data) == "" {
			t.Errorf("%s of the demo is refused", name)
		}
	}
}
