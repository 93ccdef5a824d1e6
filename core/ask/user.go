package ask

// User is who asks, with the roles that count.
type User struct {
	ID     string
	Name   string
	Login  string
	Roles  map[string]bool
	Record string // key of the user's own record, or ""
	Within *User  // who walks as this user, and sees no further than their own rights go; nil in use
}
