package answer

// Ptr gives a pointer to a value: what is optional in the API is one.
func Ptr[T any](v T) *T { return &v }

// OrNil gives nil for a zero value: what is optional in the API is left out.
func OrNil[T comparable](v T) *T {
	var zero T
	if v == zero {
		return nil
	}
	return &v
}

// Value gives what a pointer of the API stands for; the zero value for nil.
func Value[T any](p *T) T {
	var zero T
	if p == nil {
		return zero
	}
	return *p
}
