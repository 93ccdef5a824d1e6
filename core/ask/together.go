package ask

import "context"

// Together is answered by records that read several queries at once.
type Together interface {
	FetchAll(ctx context.Context, qs []Query) ([]Page, error)
}

// FetchAll reads several queries of one shape (the same table, paths and order), at once where the
// records can.
func FetchAll(ctx context.Context, records Records, qs []Query) ([]Page, error) {
	if many, ok := records.(Together); ok && len(qs) > 1 {
		return many.FetchAll(ctx, qs)
	}
	pages := make([]Page, len(qs))
	for i, q := range qs {
		page, err := records.Fetch(ctx, q)
		if err != nil {
			return nil, err
		}
		pages[i] = page
	}
	return pages, nil
}
