package store

import (
	"context"
	"crypto/sha256"
	"encoding/hex"
	"errors"
	"fmt"

	"github.com/jackc/pgx/v5"
)

// AddPicture keeps a picture of a project once, whoever else has it, and gives the digest of its
// bytes: SHA-256 in hexadecimal.
func (s *Store) AddPicture(ctx context.Context, media string, data []byte) (string, error) {
	sum := sha256.Sum256(data)
	digest := hex.EncodeToString(sum[:])
	if _, err := s.pool.Exec(ctx, `insert into picture (digest, media, data) values ($1, $2, $3) on conflict do nothing`, digest, media, data); err != nil {
		return "", fmt.Errorf("keep a picture: %w", err)
	}
	return digest, nil
}

// Picture gives a picture's bytes and media type. ErrNone when there is none of that digest.
func (s *Store) Picture(ctx context.Context, digest string) (media string, data []byte, err error) {
	err = s.pool.QueryRow(ctx, `select media, data from picture where digest = $1`, digest).Scan(&media, &data)
	if errors.Is(err, pgx.ErrNoRows) {
		return "", nil, ErrNone
	}
	if err != nil {
		return "", nil, fmt.Errorf("read a picture: %w", err)
	}
	return media, data, nil
}
