package whole

import (
	"encoding/csv"
	"fmt"
	"io"

	"ambergate/core/check/reach"
)

// CSV writes the table as lines of comma separated values (RFC 4180): a screen each, and a column for each who.
func (t Table) CSV(to io.Writer) error {
	w := csv.NewWriter(to)
	w.UseCRLF = true
	head := []string{"screen", "area", "kind"}
	for _, who := range t.Who {
		head = append(head, who.Name)
	}
	if err := w.Write(head); err != nil {
		return err
	}
	for _, l := range t.Lines {
		row := []string{l.Title, l.Area, l.Type}
		for _, c := range l.Cells {
			row = append(row, c.Words())
		}
		if err := w.Write(row); err != nil {
			return err
		}
	}
	w.Flush()
	return w.Error()
}

// Words says a cell in a word or two: 2, 2 if there, 3 maybe, address only.
func (c Cell) Words() string {
	if c.Trapped && c.Presses > 0 {
		return fmt.Sprint(c.Presses, " trap")
	}
	switch c.Kind {
	case reach.IsSure:
		return fmt.Sprint(c.Presses)
	case reach.IsGiven:
		return fmt.Sprint(c.Presses, " if there")
	case reach.IsMaybe:
		return fmt.Sprint(c.Presses, " maybe")
	case reach.ByAddress:
		return "address only"
	}
	return string(c.Kind)
}
