package project

import "fmt"

// Gauge shows one live number as a bar, with the band it should be in.
type Gauge struct {
	Words string  `json:"words"`
	Value string  `json:"value"`         // expression
	Set   string  `json:"set,omitempty"` // expression: where it should be
	Unit  string  `json:"unit,omitempty"`
	Min   float64 `json:"min"`
	Max   float64 `json:"max"`
	Low   float64 `json:"low,omitempty"`
	High  float64 `json:"high,omitempty"`
	Digit int     `json:"digits,omitempty"`
}

// Validate asks for a value and a range.
func (g *Gauge) Validate() error {
	if g.Value == "" {
		return fmt.Errorf("a gauge needs a value")
	}
	if g.Max <= g.Min {
		return fmt.Errorf("a gauge's range ends above where it begins")
	}
	return nil
}

// Gates gives none.
func (g *Gauge) Gates() map[string]*Gate { return nil }

// Lamp shows a live yes or no.
type Lamp struct {
	Words    string `json:"words"`
	Value    string `json:"value"` // condition
	On       string `json:"on"`
	Off      string `json:"off"`
	Abnormal string `json:"abnormal,omitempty"` // on, off: the state that is to be noticed
}

// Validate asks for a value.
func (l *Lamp) Validate() error {
	if l.Value == "" {
		return fmt.Errorf("a lamp needs a condition")
	}
	return oneOf("abnormal state", l.Abnormal, "", "on", "off")
}

// Gates gives none.
func (l *Lamp) Gates() map[string]*Gate { return nil }

// Trend draws live numbers over the last minutes.
type Trend struct {
	Words   string           `json:"words"`
	Minutes int              `json:"minutes"`
	Lines   map[string]*Line `json:"lines"`
}

// Line is one line of a trend.
type Line struct {
	ID    string   `json:"-"`
	Pos   float64  `json:"pos"`
	Words string   `json:"words"`
	Value string   `json:"value"` // expression: the path of a tag
	Unit  string   `json:"unit,omitempty"`
	Limit *float64 `json:"limit,omitempty"`
	Max   float64  `json:"max"` // top of its own scale, from 0
}

// Position gives the place among others.
func (l *Line) Position() float64 { return l.Pos }

// Validate bounds the time and asks for lines.
func (t *Trend) Validate() error {
	if t.Minutes < 1 || t.Minutes > 60 {
		return fmt.Errorf("a trend shows 1 to 60 minutes")
	}
	if len(t.Lines) == 0 || len(t.Lines) > 6 {
		return fmt.Errorf("a trend has one to six lines")
	}
	for id, l := range t.Lines {
		l.ID = id
	}
	return nil
}

// Gates gives none.
func (t *Trend) Gates() map[string]*Gate { return nil }

// Figure is a picture with live words at places on it.
type Figure struct {
	Words   string           `json:"words,omitempty"`
	Picture string           `json:"picture"` // name of a picture that the project brings
	Marks   map[string]*Mark `json:"marks,omitempty"`
}

// Mark is a live text on a figure, at a place in hundredths of its width and height.
type Mark struct {
	ID       string  `json:"-"`
	Pos      float64 `json:"pos"`
	X        float64 `json:"x"`
	Y        float64 `json:"y"`
	Words    string  `json:"words"`              // template
	Abnormal string  `json:"abnormal,omitempty"` // condition
}

// Position gives the place among others.
func (m *Mark) Position() float64 { return m.Pos }

// Validate asks for a picture.
func (f *Figure) Validate() error {
	if f.Picture == "" {
		return fmt.Errorf("a figure needs a picture")
	}
	for id, m := range f.Marks {
		m.ID = id
	}
	return nil
}

// Gates gives none.
func (f *Figure) Gates() map[string]*Gate { return nil }
