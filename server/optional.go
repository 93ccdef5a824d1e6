package server

// ptr gives a pointer to a value: what is optional in the API is one.
func ptr[T any](v T) *T { return &v }

// orNil gives nil for a zero value: what is optional in the API is left out.
func orNil[T comparable](v T) *T {
	var zero T
	if v == zero {
		return nil
	}
	return &v
}

func value[T any](p *T) T {
	var zero T
	if p == nil {
		return zero
	}
	return *p
}
