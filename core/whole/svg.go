package whole

import (
	"fmt"
	"html"
	"strings"
)

// SVG gives the map as a picture (SVG 1.1), in the colours of paper.
func (m Map) SVG(title string) string {
	var b strings.Builder
	fmt.Fprintf(&b, `<svg xmlns="http://www.w3.org/2000/svg" width="%.0f" height="%.0f" viewBox="0 0 %.0f %.0f" font-family="Overpass, sans-serif">`+"\n", m.Width, m.Height, m.Width, m.Height)
	fmt.Fprintf(&b, "<title>%s</title>\n<rect width=\"100%%\" height=\"100%%\" fill=\"#FAF8F3\"/>\n", html.EscapeString(title))
	for i, c := range m.Columns {
		if i > 0 {
			fmt.Fprintf(&b, `<path d="M%.1f,0V%.1f" stroke="#DDD6C9" stroke-dasharray="3 4"/>`+"\n", c.X-gutter/2, m.Height)
		}
		fmt.Fprintf(&b, `<text x="%.1f" y="26" font-size="13" fill="#5C6370"><tspan font-size="18" font-weight="800" fill="#20262E">%s</tspan> %s</text>`+"\n", c.X, html.EscapeString(c.Head), html.EscapeString(c.Note))
	}
	for _, a := range m.Areas {
		name := a.Name
		if name == "" {
			name = "No area"
		}
		fmt.Fprintf(&b, `<text x="%.1f" y="%.1f" font-size="12" font-weight="700" fill="#5C6370">%s</text>`+"\n", margin, a.Y-8, html.EscapeString(strings.ToUpper(name)))
	}
	for _, w := range m.Wires {
		if len(w.Points) > 0 {
			b.WriteString(wireSVG(w))
		}
	}
	for _, p := range m.Plates {
		b.WriteString(m.plateSVG(p))
	}
	b.WriteString("</svg>\n")
	return b.String()
}

func wireSVG(w Wire) string {
	dash := map[string]string{"maybe": ` stroke-dasharray="6 5"`, "never": ` stroke-dasharray="2 5"`}[w.Hold]
	var d strings.Builder
	for i, p := range w.Points {
		switch {
		case i == 0:
			fmt.Fprintf(&d, "M%.1f,%.1f", p[0], p[1])
		case w.Points[i-1][1] == p[1]:
			fmt.Fprintf(&d, "H%.1f", p[0])
		default:
			mid := (w.Points[i-1][0] + p[0]) / 2
			fmt.Fprintf(&d, "C%.1f,%.1f %.1f,%.1f %.1f,%.1f", mid, w.Points[i-1][1], mid, p[1], p[0], p[1])
		}
	}
	return fmt.Sprintf(`<path d="%s" fill="none" stroke="#B79A6A" stroke-width="1.2"%s/>`+"\n", d.String(), dash)
}

func (m Map) plateSVG(p Plate) string {
	fill, ink, edge := "#FFFFFF", "#20262E", "#DDD6C9"
	switch {
	case p.Trapped:
		fill, edge = "#F9E3DF", "#AE3A2C"
	case p.Rail:
		fill = "#F1EDE4"
	case p.Kind == "start":
		fill, ink = "#20262E", "#FAF8F3"
	case ranks[p.Kind] > 0:
		fill = "#E4E0D7"
	}
	w, h := m.Plate.W, m.Plate.H
	note := p.Type
	if p.Trapped {
		note += ", no way back"
	}
	title := []rune(p.Title)
	if len(title) > 24 {
		title = append(title[:23], '…')
	}
	return fmt.Sprintf(`<path d="M%.1f,%.1fh%.1fl14,%.1fl-14,%.1fh-%.1fz" fill="%s" stroke="%s"/><text x="%.1f" y="%.1f" font-size="13" font-weight="700" fill="%s">%s</text><text x="%.1f" y="%.1f" font-size="11" fill="%s">%s</text>`+"\n",
		p.X, p.Y, w-14, h/2, h/2, w-14, fill, edge, p.X+12, p.Y+20, ink, html.EscapeString(string(title)), p.X+12, p.Y+36, ink, html.EscapeString(note))
}
