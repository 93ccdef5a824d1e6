package project

import "fmt"

// OneOf refuses a word that is none of some: “there is no edge "middle"”.
func OneOf(what, got string, allowed ...string) error {
	for _, a := range allowed {
		if got == a {
			return nil
		}
	}
	return fmt.Errorf("there is no %s %q", what, got)
}
