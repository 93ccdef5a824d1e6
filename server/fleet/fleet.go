package fleet

import (
	"context"
	"crypto/ed25519"
	"errors"
	"log/slog"
	"net/http"
	"sync"
	"time"

	"ambergate/plant"
	"ambergate/store"
)

// How often a server says that it lives, how long that may take, how long it then believes that it leads (less than the
// store does, by a margin for clocks that do not go alike), for how long it tries to be heard at first, and how often the
// servers that are gone are forgotten.
const (
	beatEvery   = 300 * time.Millisecond
	beatWithin  = time.Second
	joinWithin  = 30 * time.Second
	believed    = store.Lead - 300*time.Millisecond
	forgetEvery = 20 // beats
	lostAfter   = 2  // words without an answer
)

// aloneFor is how long a server believes that it is the only one after it was told so. One that begins beside others waits
// as long before it serves: by then they know of it.
const aloneFor = time.Second

// Fleet is this server among those over the same store. A nil one is alone, and leads always.
type Fleet struct {
	store   *store.Store
	log     *slog.Logger
	beat    store.Beat
	key     ed25519.PrivateKey
	client  *http.Client
	settle  func(ctx context.Context) (leading func(), err error) // what is to be done before anything else when this server begins to lead
	beating sync.Mutex                                            // one word at a time

	mu      sync.Mutex
	number  int64     // by which it leads; 0 for not
	until   time.Time // by its own clock
	direct  bool
	leader  string // where the leading server is reached
	turn    chan struct{}
	others  int // servers that were heard of lately
	alone   struct{ since, until time.Time }
	settled int64           // the number that it has settled for
	missed  int             // words that the store did not answer, one after the other
	heard   context.Context // ends when the store is lost from sight
	lose    context.CancelFunc
}

// Options says what a server is among the others.
type Options struct {
	Store   *store.Store
	Log     *slog.Logger
	Name    string // of this server alone: the address that it serves on, with the machine
	Address string // where the other servers reach it
	Version string
	Key     []byte // which all of them have
}

// New makes a server that does not lead yet.
func New(o Options) *Fleet {
	f := &Fleet{store: o.Store, log: o.Log, beat: store.Beat{Name: o.Name, Address: o.Address, Version: o.Version, Fresh: true}, key: identity(o.Key), turn: make(chan struct{})}
	f.client = f.peerClient()
	f.heard, f.lose = context.WithCancel(context.Background())
	return f
}

// Name is what the server is called among the others; "" for one that is alone.
func (f *Fleet) Name() string {
	if f == nil {
		return ""
	}
	return f.beat.Name
}

// Lead is what plants ask; nil for a server that is alone.
func (f *Fleet) Lead() plant.Lead {
	if f == nil {
		return nil
	}
	return f
}

// OnLead lets something be done whenever this server begins to lead, before it acts as the one that does; what that
// gives is done then.
func (f *Fleet) OnLead(settle func(ctx context.Context) (leading func(), err error)) {
	f.settle = settle
}

// Leads says whether this server leads at this very moment, by its own clock.
func (f *Fleet) Leads() bool { return f == nil || f.Number() > 0 }

// Number is that by which this server leads now; 0 where it does not, or is alone.
func (f *Fleet) Number() int64 {
	if f == nil {
		return 0
	}
	f.mu.Lock()
	defer f.mu.Unlock()
	if f.settled != f.number || !time.Now().Before(f.until) {
		return 0
	}
	return f.number
}

// Fenced lets what is written to the store by a context be written only as long as this server leads.
func (f *Fleet) Fenced(ctx context.Context) context.Context {
	if f == nil {
		return ctx
	}
	number := f.Number()
	if number == 0 {
		number = -1 // nobody’s
	}
	return store.Fenced(ctx, number)
}

// Direct says whether this server talks to the plants itself. One that has led and has lost the store from sight goes on
// reading, though it does not write any more.
func (f *Fleet) Direct() bool {
	if f == nil {
		return true
	}
	f.mu.Lock()
	defer f.mu.Unlock()
	return f.direct
}

// Heard gives a context that ends when the store is lost from sight: what waits for it would wait for nothing, while other
// servers may see it. It is another one when the store is back.
func (f *Fleet) Heard() context.Context {
	f.mu.Lock()
	defer f.mu.Unlock()
	return f.heard
}

// Turn gives a channel that is closed when it may be another one that leads.
func (f *Fleet) Turn() <-chan struct{} {
	f.mu.Lock()
	defer f.mu.Unlock()
	return f.turn
}

// Leader is where the leading server is reached; "" where none is, or this one is it.
func (f *Fleet) Leader() string {
	f.mu.Lock()
	defer f.mu.Unlock()
	return f.leader
}

// Alone says whether this is the only server over the store, and since when without a break.
func (f *Fleet) Alone() (since time.Time, is bool) {
	if f == nil {
		return time.Time{}, true
	}
	f.mu.Lock()
	defer f.mu.Unlock()
	return f.alone.since, time.Now().Before(f.alone.until)
}

// Join says for the first time that this server lives: again, for half a minute, where the store takes too long.
func (f *Fleet) Join(ctx context.Context) error {
	for end := time.Now().Add(joinWithin); ; {
		err := f.say(ctx)
		if !errors.Is(err, context.DeadlineExceeded) || ctx.Err() != nil || time.Now().After(end) {
			return err
		}
		f.log.Warn("the store takes long to hear that this server lives; it is told again", "error", err)
	}
}

// BeKnown waits, beside other servers, until they know of this one.
func (f *Fleet) BeKnown(ctx context.Context) {
	f.mu.Lock()
	others := f.others
	f.mu.Unlock()
	if others == 0 {
		return
	}
	select {
	case <-ctx.Done():
	case <-time.After(aloneFor):
	}
}

// Keep says it again and again until the context ends, and then that the server is gone.
func (f *Fleet) Keep(ctx context.Context) {
	tick := time.NewTicker(beatEvery)
	defer tick.Stop()
	for i := 1; ; i++ {
		select {
		case <-ctx.Done():
			f.resign()
			return
		case <-tick.C:
		}
		f.Look(ctx)
		if i%forgetEvery == 0 && f.Leads() {
			if err := f.store.ForgetServers(ctx); err != nil && ctx.Err() == nil {
				f.log.Warn("servers that are gone are not forgotten", "error", err)
			}
		}
	}
}

// Look says at once that this server lives, and who leads.
func (f *Fleet) Look(ctx context.Context) {
	if err := f.say(ctx); err != nil && ctx.Err() == nil {
		f.unheard(err)
	}
}

func (f *Fleet) say(ctx context.Context) error {
	f.beating.Lock()
	defer f.beating.Unlock()
	asking, cancel := context.WithTimeout(ctx, beatWithin)
	defer cancel()
	began := time.Now()
	led, err := f.store.Beats(asking, f.beat)
	if err != nil {
		return err
	}
	f.beat.Fresh = false
	f.mu.Lock()
	begins := led.Number != 0 && led.Number != f.settled
	changed := led.Number != f.number || (led.Number == 0 && (f.direct || f.leader != led.Address))
	if f.missed = 0; f.heard.Err() != nil {
		f.heard, f.lose = context.WithCancel(context.Background())
	}
	if f.others = led.Others; f.others > 0 {
		f.alone.until = time.Time{}
	} else {
		if began.After(f.alone.until) {
			f.alone.since = began
		}
		f.alone.until = began.Add(aloneFor)
	}
	f.number, f.until = led.Number, began.Add(believed)
	f.direct = led.Number != 0
	f.leader = led.Address
	if f.direct {
		f.leader = ""
	}
	f.mu.Unlock()
	if begins {
		f.log.Info("this server leads", "number", led.Number)
		leading := func() {}
		if f.settle != nil {
			if leading, err = f.settle(ctx); err != nil {
				return err
			}
		}
		f.mu.Lock()
		f.settled = led.Number
		f.mu.Unlock()
		leading()
	}
	if changed {
		f.turned()
	}
	return nil
}

// unheard notes that the store does not answer.
func (f *Fleet) unheard(err error) {
	f.mu.Lock()
	if f.missed++; f.missed >= lostAfter {
		f.lose()
	}
	led := f.number != 0 && !time.Now().Before(f.until)
	if led {
		f.number = 0
	}
	f.mu.Unlock()
	if led {
		f.log.Warn("this server does not lead any more: the store does not answer", "error", err)
		f.turned()
	}
}

func (f *Fleet) turned() {
	f.mu.Lock()
	close(f.turn)
	f.turn = make(chan struct{})
	f.mu.Unlock()
}

func (f *Fleet) resign() {
	f.mu.Lock()
	f.number, f.direct = 0, false
	f.mu.Unlock()
	f.turned()
	ctx, cancel := context.WithTimeout(context.Background(), beatWithin)
	defer cancel()
	f.beating.Lock()
	defer f.beating.Unlock()
	if err := f.store.Resign(ctx, f.beat.Name); err != nil {
		f.log.Warn("the other servers are not told that this one ends", "error", err)
	}
}
