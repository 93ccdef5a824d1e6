package store

import (
	"context"
	"crypto/cipher"
	"crypto/rand"
	"encoding/json"
	"errors"
	"fmt"

	"github.com/jackc/pgx/v5"
	"golang.org/x/crypto/chacha20poly1305"
)

// KeySize is the length in bytes of the key that secrets are sealed with.
const KeySize = chacha20poly1305.KeySize

// Connection is a database or a plant that was added in the program.
type Connection struct {
	Name     string
	Kind     string          // postgresql, plant
	Settings json.RawMessage // all but what is secret
	Secret   string          // opened; "" for none
	Sealed   bool            // there is a secret that this program's key does not open
}

// ErrNoKey means that nothing can be sealed: the program has no key.
var ErrNoKey = errors.New("there is no key to seal secrets with")

// UseKey gives the key that secrets are sealed with (XChaCha20-Poly1305, draft-irtf-cfrg-xchacha), KeySize bytes. It
// is not kept in the store, so that a copy of the store opens nothing.
func (s *Store) UseKey(key []byte) error {
	aead, err := chacha20poly1305.NewX(key)
	if err != nil {
		return fmt.Errorf("use the key for secrets: %w", err)
	}
	s.sealer = aead
	return nil
}

// seal closes a secret; it opens only together with the name that it belongs to.
func seal(aead cipher.AEAD, name, secret string) ([]byte, error) {
	if secret == "" {
		return []byte{}, nil
	}
	if aead == nil {
		return nil, ErrNoKey
	}
	nonce := make([]byte, aead.NonceSize())
	if _, err := rand.Read(nonce); err != nil {
		return nil, fmt.Errorf("seal a secret: %w", err)
	}
	return aead.Seal(nonce, nonce, []byte(secret), []byte(name)), nil
}

func unseal(aead cipher.AEAD, name string, sealed []byte) (secret string, ok bool) {
	if len(sealed) == 0 {
		return "", true
	}
	if aead == nil || len(sealed) < aead.NonceSize() {
		return "", false
	}
	text, err := aead.Open(nil, sealed[:aead.NonceSize()], sealed[aead.NonceSize():], []byte(name))
	return string(text), err == nil
}

// Connections lists them by name, opened.
func (s *Store) Connections(ctx context.Context) ([]Connection, error) {
	rows, err := s.pool.Query(ctx, `select name, kind, settings, secret from connection order by name`)
	if err != nil {
		return nil, fmt.Errorf("list the connections: %w", err)
	}
	var out []Connection
	var c Connection
	var sealed []byte
	_, err = pgx.ForEachRow(rows, []any{&c.Name, &c.Kind, &c.Settings, &sealed}, func() error {
		one := c
		one.Settings = append(json.RawMessage{}, c.Settings...)
		var ok bool
		one.Secret, ok = unseal(s.sealer, c.Name, sealed)
		one.Sealed = !ok
		out = append(out, one)
		return nil
	})
	if err != nil {
		return nil, fmt.Errorf("list the connections: %w", err)
	}
	return out, nil
}

// KeepConnection keeps a connection, or changes it; who did it is noted, never what is secret. Errors: ErrNoKey.
func (s *Store) KeepConnection(ctx context.Context, by string, c Connection) error {
	sealed, err := seal(s.sealer, c.Name, c.Secret)
	if err != nil {
		return err
	}
	return s.inTx(ctx, "keep a connection", func(tx pgx.Tx) error {
		if _, err := tx.Exec(ctx, `insert into connection (name, kind, settings, secret, by) values ($1, $2, $3, $4, $5)
			on conflict (name) do update set kind = excluded.kind, settings = excluded.settings, secret = excluded.secret`, c.Name, c.Kind, c.Settings, sealed, by); err != nil {
			return err
		}
		return note(ctx, tx, deed{by, "", ConnectionKept, c.Name})
	})
}

// RemoveConnection forgets a connection; who did it is noted. Error: ErrNone.
func (s *Store) RemoveConnection(ctx context.Context, by, name string) error {
	return s.inTx(ctx, "remove a connection", func(tx pgx.Tx) error {
		tag, err := tx.Exec(ctx, `delete from connection where name = $1`, name)
		if err != nil {
			return err
		}
		if tag.RowsAffected() == 0 {
			return ErrNone
		}
		return note(ctx, tx, deed{by, "", ConnectionRemoved, name})
	})
}

// ConnectionUses gives the titles of the projects that are built or released over a connection.
func (s *Store) ConnectionUses(ctx context.Context) (map[string][]string, error) {
	rows, err := s.pool.Query(ctx, `select distinct e.body->>'connection', coalesce(nullif(t.body->>'title', ''), p.slug) from project p join entity e on e.project = p.id and e.kind = 'source' join entity t on t.project = p.id and t.id = 'project' order by 1, 2`)
	if err != nil {
		return nil, fmt.Errorf("look what connections are used for: %w", err)
	}
	out := map[string][]string{}
	var name, title string
	_, err = pgx.ForEachRow(rows, []any{&name, &title}, func() error {
		out[name] = append(out[name], title)
		return nil
	})
	if err != nil {
		return nil, fmt.Errorf("look what connections are used for: %w", err)
	}
	return out, nil
}
