package server_test

import "testing"

// A screen that is looked at again is not drawn again, unless anything that it shows has changed. (That what is kept is as
// it would be drawn is looked at in all tests of this package: see stagetest.)
func TestAScreenIsDrawnAgainWhereWhatItShowsHasChanged(t *testing.T) {
	p := as(t, "mira")
	const address = "/defect?defect=107"
	p.open(address)
	before, _ := up.Server.Drawn.Kept()
	was := fieldWords(p.open(address), "f_what")
	if found, _ := up.Server.Drawn.Kept(); found == before {
		t.Error("the same is drawn again")
	}
	now := was + ", seen again"
	form := p.open(address + "&~mode=edit")
	p.pressed(form, "e_save", map[string]any{"values": map[string]string{"f_what": now}, "base": map[string]string{"f_what": was}, "version": form.View.Record.Version})
	if shown := p.open(address); fieldWords(shown, "f_what") != now {
		t.Errorf("it shows %q and not %q", fieldWords(shown, "f_what"), now)
	}
	for _, e := range as(t, "priya").open(address).View.Elements {
		if e.ID == "e_edit" {
			t.Error("who only looks is shown what others may do")
		}
	}
}
