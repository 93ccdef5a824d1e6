package ask

// User is who asks, with the roles that count.
type User struct {
	ID     string
	Name   string
	Login  string
	Roles  map[string]bool
	Record string // key of the user's own record, or ""
	Within *User  // who walks as this user, and sees no further than their own rights go; nil in use

	Display *Display // nil for a person
}

// Display is what an unattended display may do beyond going along the ways of its screens.
type Display struct {
	Leaves bool // follows ways out of the application
	Files  bool // saves lists as files, and chooses pictures
	Prints bool
}
