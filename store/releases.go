package store

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"slices"
	"strconv"
	"time"

	"github.com/jackc/pgx/v5"
)

// Some are those who use a release before all do.
type Some struct {
	Roles  []string `json:"roles"`
	People []string `json:"people"` // accounts
}

// Has says whether an account is among them, with the roles that it has in the project.
func (s *Some) Has(a Account) bool {
	return s != nil && (slices.Contains(s.People, a.ID) || slices.ContainsFunc(s.Roles, func(r string) bool { return a.Roles[r] }))
}

// Trial is a release that some use first.
type Trial struct {
	Number int
	For    Some
}

func trialOf(number *int, some *Some) *Trial {
	if number == nil || some == nil {
		return nil
	}
	return &Trial{*number, *some}
}

// Lived is something that was broken when a release was made, and why it was made all the same.
type Lived struct {
	Key     string `json:"key"`
	Words   string `json:"words"`
	Because string `json:"because"`
}

// NewRelease is what a release is made with.
type NewRelease struct {
	Project, By string
	Request     string // made by who sends it: the same sent again is found; "" for none
	Note        string
	Accepted    []Lived
	First       *Some // who use it before all do; nil: all use it
	CopyOf      int   // the release whose content it brings back; 0: it is the draft
	Seq         int64 // the draft is to be at; 0: wherever it is
}

// ErrMoved means that somebody has edited the draft since it was looked at.
var ErrMoved = errors.New("the draft was edited meanwhile")

// Release is a numbered, unchangeable copy of a project.
type Release struct {
	ReleaseInfo
	Entities map[string]json.RawMessage
}

// ReleaseInfo is what is told of a release.
type ReleaseInfo struct {
	Number   int
	Seq      int64 // the last edit that is in it
	By       string
	At       time.Time
	Note     string
	Accepted []Lived
	CopyOf   int        // the release that it brought back; 0 for none
	For      *Some      // whom it was made for first; nil for all
	ForAllAt *time.Time // nil for one that only some have used
	Changes  int        // edits that came with it, since the release before
}

// PutIntoUse makes a release and gives its number. The same request sent again gives the number that it got. Errors:
// ErrMoved, ErrNone where there is no such project, or no release to bring back.
func (s *Store) PutIntoUse(ctx context.Context, r NewRelease) (int, error) {
	var number int
	err := s.inTx(ctx, "release the project", func(tx pgx.Tx) error {
		var seq int64
		if err := tx.QueryRow(ctx, `select seq from project where id = $1 for no key update`, r.Project).Scan(&seq); err != nil {
			return none(err)
		}
		err := tx.QueryRow(ctx, `select number from release where project = $1 and by = $2 and request = nullif($3, '')`, r.Project, r.By, r.Request).Scan(&number)
		if !errors.Is(err, pgx.ErrNoRows) {
			return err
		}
		if r.Seq != 0 && r.Seq != seq {
			return ErrMoved
		}
		// What is brought back is the very document, and ends with the same edit: the draft is not touched.
		content := `select jsonb_object_agg(id, body) as document, $2::bigint as seq from entity where project = $1 and $4 = 0`
		if r.CopyOf != 0 {
			content = `select document, seq from release where project = $1 and number = $4 and $2::bigint >= 0`
		}
		if r.Accepted == nil {
			r.Accepted = []Lived{}
		}
		err = tx.QueryRow(ctx, `insert into release (project, number, document, seq, by, request, note, accepted, copy_of, made_for, for_all_at)
			select $1, coalesce((select max(number) from release where project = $1), 0) + 1, c.document, c.seq, $3, nullif($5, ''), $6, $7, nullif($4, 0), $8, case when $8::jsonb is null then now() end from (`+content+`) c
			returning number`, r.Project, seq, r.By, r.CopyOf, r.Request, r.Note, r.Accepted, r.First).Scan(&number)
		if err != nil {
			return none(err)
		}
		if r.First != nil {
			_, err = tx.Exec(ctx, `update project set trial = $2, trial_for = $3 where id = $1`, r.Project, number, r.First)
		} else {
			_, err = tx.Exec(ctx, `update project set released = $2, trial = null, trial_for = null where id = $1`, r.Project, number)
		}
		if err != nil {
			return err
		}
		detail := strconv.Itoa(number)
		if r.CopyOf != 0 {
			detail += ", which is " + strconv.Itoa(r.CopyOf) + " again"
		}
		if r.First != nil {
			detail += " for some first"
		}
		return note(ctx, tx, deed{r.By, r.Project, Released, detail})
	})
	return number, err
}

// EndTrial lets all use the release that some use first, or nobody any more. Error: ErrNone where nobody does, or the
// release that is named is not the one.
func (s *Store) EndTrial(ctx context.Context, project, by string, number int, forAll bool) error {
	return s.inTx(ctx, "end using a release first", func(tx pgx.Tx) error {
		var is int
		if err := tx.QueryRow(ctx, `select trial from project where id = $1 and trial = $2 for no key update`, project, number).Scan(&is); err != nil {
			return none(err)
		}
		detail := strconv.Itoa(number) + " taken back"
		if forAll {
			detail = strconv.Itoa(number) + " for all"
			if _, err := tx.Exec(ctx, `update project set released = trial where id = $1`, project); err != nil {
				return err
			}
			if _, err := tx.Exec(ctx, `update release set for_all_at = now() where project = $1 and number = $2`, project, number); err != nil {
				return err
			}
		}
		if _, err := tx.Exec(ctx, `update project set trial = null, trial_for = null where id = $1`, project); err != nil {
			return err
		}
		return note(ctx, tx, deed{by, project, Released, detail})
	})
}

// releaseInfo is what is told of a release, as columns.
const releaseInfo = `r.number, r.seq, coalesce(a.name, r.by), r.at, r.note, r.accepted, coalesce(r.copy_of, 0), r.made_for, r.for_all_at,
	(select count(*) from edit e where e.project = r.project and e.seq <= r.seq and e.seq > coalesce((select b.seq from release b where b.project = r.project and b.number < r.number order by b.number desc limit 1), 0) and e.undoes is null and (e.undone is null or e.undone > r.seq))`

func (r *ReleaseInfo) into() []any {
	return []any{&r.Number, &r.Seq, &r.By, &r.At, &r.Note, &r.Accepted, &r.CopyOf, &r.For, &r.ForAllAt, &r.Changes}
}

// mostReleases is how many are listed at once.
const mostReleases = 50

// Releases lists those of a project older than one (0: the newest), newest first, and says whether there are more.
func (s *Store) Releases(ctx context.Context, project string, before int) (list []ReleaseInfo, more bool, err error) {
	rows, err := s.pool.Query(ctx, `select `+releaseInfo+` from release r left join account a on a.id = r.by where r.project = $1 and ($2 = 0 or r.number < $2) order by r.number desc limit $3`, project, before, mostReleases+1)
	if err != nil {
		return nil, false, fmt.Errorf("list the releases: %w", err)
	}
	list, err = pgx.CollectRows(rows, func(row pgx.CollectableRow) (r ReleaseInfo, err error) { return r, row.Scan(r.into()...) })
	if err != nil {
		return nil, false, fmt.Errorf("list the releases: %w", err)
	}
	if len(list) > mostReleases {
		return list[:mostReleases], true, nil
	}
	return list, false, nil
}

// Release reads a release; ErrNone if there is no such one.
func (s *Store) Release(ctx context.Context, id string, number int) (*Release, error) {
	r := &Release{}
	var document json.RawMessage
	err := s.pool.QueryRow(ctx, `select `+releaseInfo+`, r.document from release r left join account a on a.id = r.by where r.project = $1 and r.number = $2`, id, number).Scan(append(r.into(), &document)...)
	if err != nil {
		return nil, fmt.Errorf("read release %d: %w", number, none(err))
	}
	if err := json.Unmarshal(document, &r.Entities); err != nil {
		return nil, fmt.Errorf("read release %d: %w", number, err)
	}
	return r, nil
}
