package demo

import (
	"bytes"
	"fmt"
	"image"
	"image/color"
	"image/png"
)

// photo draws what a defect's photo shows: a door with its edge sensor, and a mark where it sticks.
// All invented, as everything here.
func photo(id int) ([]byte, error) {
	const w, h = 480, 300
	img := image.NewRGBA(image.Rect(0, 0, w, h))
	fill := func(x0, y0, x1, y1 int, c color.RGBA) {
		for y := max(0, y0); y < min(h, y1); y++ {
			for x := max(0, x0); x < min(w, x1); x++ {
				img.SetRGBA(x, y, c)
			}
		}
	}
	fill(0, 0, w, h, color.RGBA{0xC9, 0xCE, 0xD2, 0xFF})
	fill(0, 230, w, h, color.RGBA{0x8A, 0x90, 0x96, 0xFF})
	for _, x := range []int{60, 250} { // two leaves, each with a window
		fill(x, 30, x+170, 250, color.RGBA{0xB2, 0x3A, 0x2E, 0xFF})
		fill(x+18, 48, x+152, 150, color.RGBA{0x9D, 0xC4, 0xD6, 0xFF})
	}
	fill(230, 30, 250, 250, color.RGBA{0x2B, 0x32, 0x3B, 0xFF}) // the edge
	y := 90 + id%90
	for r := 22; r < 27; r++ { // a ring around the place
		for dy := -r; dy <= r; dy++ {
			for dx := -r; dx <= r; dx++ {
				if d := dx*dx + dy*dy; d <= r*r && d > (r-2)*(r-2) {
					fill(240+dx, y+dy, 241+dx, y+dy+1, color.RGBA{0xFF, 0xC4, 0x2E, 0xFF})
				}
			}
		}
	}
	var out bytes.Buffer
	if err := png.Encode(&out, img); err != nil {
		return nil, fmt.Errorf("draw a photo: %w", err)
	}
	return out.Bytes(), nil
}
