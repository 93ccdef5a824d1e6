package store

import (
	"context"
	"crypto/rand"
	"crypto/subtle"
	"encoding/hex"
	"errors"
	"fmt"
	"strings"
	"time"

	"github.com/jackc/pgx/v5"
	"golang.org/x/crypto/argon2"
)

// How hard a password is to guess: argon2id as RFC 9106 recommends for little memory.
const (
	argonTime    = 1
	argonMemory  = 19 * 1024 // KiB
	argonThreads = 1
)

// Shortest and longest password that is taken, in characters and bytes.
const (
	shortestPassword = 8
	longestPassword  = 200
)

// ErrWeakPassword means that a new password is too short or too long.
var ErrWeakPassword = errors.New("the new password has fewer than 8 or more than 200 characters")

// ChangePassword sets a new password for who knows the old one, and ends all other sessions.
// A wrong old one counts as a failed attempt. Errors: ErrSignIn, *Blocked, ErrWeakPassword.
func (s *Store) ChangePassword(ctx context.Context, account, old, password, origin, keep string, now time.Time) error {
	if len([]rune(password)) < shortestPassword || len(password) > longestPassword {
		return ErrWeakPassword
	}
	var login, hash string
	var blocked *time.Time
	if err := s.pool.QueryRow(ctx, `select login, password, blocked_until from account where id = $1`, account).Scan(&login, &hash, &blocked); err != nil {
		return fmt.Errorf("find the account: %w", none(err))
	}
	if blocked != nil && blocked.After(now) {
		return &Blocked{Until: *blocked}
	}
	if !checkPassword(hash, old) {
		return s.failed(ctx, &account, login, origin, now)
	}
	next, err := hashPassword(password)
	if err != nil {
		return err
	}
	return s.inTx(ctx, "change the password", func(tx pgx.Tx) error {
		if _, err := tx.Exec(ctx, `update account set password = $2, attempts = 0, blocked_until = null where id = $1`, account, next); err != nil {
			return err
		}
		_, err := tx.Exec(ctx, `delete from session where account = $1 and token_hash <> $2`, account, tokenHash(keep))
		return err
	})
}

// unknownHash is compared against when there is no such name.
var unknownHash = strings.Repeat("00", 16) + "$" + strings.Repeat("00", 32)

func hashPassword(password string) (string, error) {
	salt := make([]byte, 16)
	if _, err := rand.Read(salt); err != nil {
		return "", fmt.Errorf("make a salt: %w", err)
	}
	key := argon2.IDKey([]byte(password), salt, argonTime, argonMemory, argonThreads, 32)
	return hex.EncodeToString(salt) + "$" + hex.EncodeToString(key), nil
}

func checkPassword(hash, password string) bool {
	saltText, keyText, _ := strings.Cut(hash, "$")
	salt, err := hex.DecodeString(saltText)
	if err != nil {
		return false
	}
	want, err := hex.DecodeString(keyText)
	if err != nil {
		return false
	}
	got := argon2.IDKey([]byte(password), salt, argonTime, argonMemory, argonThreads, 32)
	return subtle.ConstantTimeCompare(got, want) == 1
}
