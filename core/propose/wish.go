package propose

// Wish is what somebody chose of the structure of a database, and what they would have otherwise than proposed.
type Wish struct {
	Title      string      `json:"title"`               // of the application
	Slug       string      `json:"slug,omitempty"`      // its address; made of the title when absent
	Zone       string      `json:"zone,omitempty"`      // IANA name; UTC when absent
	Connection string      `json:"connection"`          // name
	Tables     []TableWish `json:"tables"`              // those that are taken in
	People     *Login      `json:"people,omitempty"`    // the table in which users have a record
	LeaveOut   []string    `json:"leaveOut,omitempty"`  // ids of screens and ways that are not made
	NoRail     bool        `json:"noRail,omitempty"`    // no rail with the lists
	NoEditors  bool        `json:"noEditors,omitempty"` // nobody changes records
}

// Login names the column that holds what users sign in by.
type Login struct {
	Schema string `json:"schema"`
	Table  string `json:"table"`
	Column string `json:"column"`
}

// TableWish is one table that is taken in; what is absent is as proposed.
type TableWish struct {
	Schema string      `json:"schema"`
	Name   string      `json:"name"`
	Label  string      `json:"label,omitempty"`
	One    string      `json:"one,omitempty"`
	Title  string      `json:"title,omitempty"` // the column that tells what a record is called
	Order  string      `json:"order,omitempty"` // the column that lists are in order of
	Fields []FieldWish `json:"fields,omitempty"`
}

// FieldWish is what somebody would have otherwise of a field.
type FieldWish struct {
	Column string  `json:"column"`
	Label  string  `json:"label,omitempty"`
	Unit   *string `json:"unit,omitempty"`
	Out    bool    `json:"out,omitempty"` // it is not taken in
	InList *bool   `json:"inList,omitempty"`
}

func (w *TableWish) field(column string) FieldWish {
	for _, f := range w.Fields {
		if f.Column == column {
			return f
		}
	}
	return FieldWish{Column: column}
}
