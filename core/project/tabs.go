package project

// Tab is one tab of a block.
type Tab struct {
	ID    string  `json:"-"`
	Pos   float64 `json:"pos"`
	Label string  `json:"label"`
}

// Position gives the place among others.
func (t *Tab) Position() float64 { return t.Pos }

// TabsOf gives the tabs of an element that is a block of them; nil when it is none.
func TabsOf(e *Element) map[string]*Tab {
	if b, ok := e.Spec.(interface{ TabList() map[string]*Tab }); ok {
		return b.TabList()
	}
	return nil
}
