// Package stage puts the demo up: a private cluster, the ropeway's data, the simulated plant,
// and a server over them. The demo command and the tests use it.
package stage

import (
	"context"
	"crypto/sha256"
	"fmt"
	"log/slog"
	"net"
	"sync"
	"time"

	"github.com/jackc/pgx/v5"
	"github.com/jackc/pgx/v5/pgxpool"

	"ambergate/cluster"
	"ambergate/demo"
	"ambergate/plant"
	"ambergate/plant/certificate"
	"ambergate/plant/sim"
	"ambergate/records"
	"ambergate/server"
	"ambergate/server/base"
	"ambergate/store"
	"ambergate/store/hashing"
)

// Options says where and when.
type Options struct {
	Dir       string    // folder of the cluster
	PlantPort int       // 0: any free one
	Today     time.Time // the data is made around this day
	Log       *slog.Logger
	Told      pgx.QueryTracer // of every statement of the program, in its store and in the records; nil: nobody
}

// Stage is the demo, up.
type Stage struct {
	Dir     string // folder of the cluster
	Cluster *cluster.Cluster
	Store   *store.Store
	Records *records.Source
	Sim     *sim.Plant
	Plant   *plant.Client
	Server  *server.Server
	Key     []byte     // of the program: it is made of the cluster’s password
	Fresh   bool       // the data was made just now
	mu      sync.Mutex // of the following
	admin   map[string]*pgxpool.Pool
	closers []func()
}

// Names that the demo's project has for its connections.
const (
	recordsConnection = "tarnhorn"
	plantConnection   = "ropeway"
)

// Up puts the demo up. What it has started by the time of an error is stopped again.
func Up(ctx context.Context, o Options) (up *Stage, err error) {
	s := &Stage{Dir: o.Dir, admin: map[string]*pgxpool.Pool{}}
	defer func() {
		if err != nil {
			s.Down()
		}
	}()
	if s.Cluster, err = cluster.Start(ctx, o.Dir); err != nil {
		return nil, err
	}
	s.closers = append(s.closers, s.Cluster.Stop)
	if err := s.databases(ctx, o.Today); err != nil {
		return nil, err
	}
	if s.Store, err = store.Open(ctx, s.Cluster.DSN("ambergate", s.Cluster.Password, "ambergate"), hashing.Light, o.Told); err != nil { // each name is its own password
		return nil, err
	}
	s.closers = append(s.closers, s.Store.Close)
	key := sha256.Sum256([]byte(s.Cluster.Password)) // the demo has no file for it: it is thrown away with its folder
	s.Key = key[:]
	if err := s.Store.UseKey(s.Key); err != nil {
		return nil, err
	}
	if s.Records, err = records.Open(ctx, s.Cluster.DSN(demo.AppRole, s.Cluster.Password, demo.Database), o.Told); err != nil {
		return nil, err
	}
	s.closers = append(s.closers, s.Records.Close)
	if err := s.startPlant(o); err != nil {
		return nil, err
	}
	shown, err := certificate.Kept(o.Dir)
	if err != nil {
		return nil, err
	}
	s.Server, err = server.New(base.Config{
		Store: s.Store, Key: s.Key, Certificate: shown, Records: map[string]*records.Source{recordsConnection: s.Records},
		Plants: map[string]*plant.Client{plantConnection: s.Plant}, Log: o.Log,
	})
	if err != nil {
		return nil, err
	}
	if err := s.make(ctx); err != nil {
		return nil, fmt.Errorf("make the demo: %w", err)
	}
	return s, s.Server.Prepare(ctx)
}

// Served is how the program is told to serve the stage’s databases and plant: by variables of the environment, since
// everybody on the machine can read the words that a program is started with.
func (s *Stage) Served() []string {
	c := s.Cluster
	return []string{
		"AMBERGATE_STORE=" + c.DSN("ambergate", c.Password, "ambergate"),
		"AMBERGATE_RECORDS=" + recordsConnection + "=" + c.DSN(demo.AppRole, c.Password, demo.Database),
		"AMBERGATE_PLANT=" + plantConnection + "=" + s.Sim.Endpoint() + "," + sim.Namespace,
	}
}

// Down stops everything, the newest first.
func (s *Stage) Down() {
	for i := len(s.closers) - 1; i >= 0; i-- {
		s.closers[i]()
	}
	s.closers = nil
}

// databases makes the program's own database and the ropeway's, each with a role of its own.
func (s *Stage) databases(ctx context.Context, today time.Time) error {
	if _, err := s.Cluster.Database(ctx, "ambergate", true); err != nil {
		return err
	}
	if _, err := s.Cluster.Database(ctx, demo.Database, false); err != nil {
		return err
	}
	return s.load(ctx, today)
}

func (s *Stage) load(ctx context.Context, today time.Time) error {
	dsn := s.Cluster.AdminDSN(demo.Database)
	conn, err := pgx.Connect(ctx, dsn)
	if err != nil {
		return fmt.Errorf("connect to the ropeway's database: %w", err)
	}
	defer conn.Close(ctx)
	var loaded bool
	if err := conn.QueryRow(ctx, `select to_regclass('tarnhorn.defects') is not null`).Scan(&loaded); err != nil {
		return fmt.Errorf("look for the ropeway's data: %w", err)
	}
	if loaded {
		return nil
	}
	s.Fresh = true
	return demo.Load(ctx, dsn, s.Cluster.Password, today)
}

// Administered lets somebody run the program: people, connections, new applications.
func (s *Stage) Administered(ctx context.Context) error {
	return s.Store.SetForAll(ctx, demo.Runs.ID, demo.Runs.ID, store.Rights{Builds: true, Administers: true})
}

// nobodyRuns lets nobody administer the program, which no call would do: for tests that count on it.
func (s *Stage) nobodyRuns(ctx context.Context) error {
	conn, err := pgx.Connect(ctx, s.Cluster.AdminDSN("ambergate"))
	if err != nil {
		return fmt.Errorf("connect to the store: %w", err)
	}
	defer conn.Close(ctx)
	if _, err := conn.Exec(ctx, `delete from right_for_all`); err != nil {
		return fmt.Errorf("take the rights for all: %w", err)
	}
	return nil
}

func (s *Stage) startPlant(o Options) error {
	port := o.PlantPort
	if port == 0 {
		l, err := net.Listen("tcp", "127.0.0.1:0")
		if err != nil {
			return fmt.Errorf("find a port for the plant: %w", err)
		}
		port = l.Addr().(*net.TCPAddr).Port
		_ = l.Close() // it was only asked for its number
	}
	var err error
	if s.Sim, err = sim.Start(port, Lifts, 7); err != nil {
		return err
	}
	s.closers = append(s.closers, func() { s.Sim.Close() })
	s.Plant = plant.Open(plant.Settings{Endpoint: s.Sim.Endpoint(), Namespace: sim.Namespace}, plantConnection, o.Log, nil)
	s.closers = append(s.closers, s.Plant.Close)
	// Trends show what was before one looked: these are watched from the start.
	var names []string
	for _, code := range Lifts {
		names = append(names, code+".drive.speed", code+".wind.gust")
	}
	s.Plant.Watch(context.Background(), names, 0)
	return nil
}

// Lifts are the codes of the ropeway's lifts, as the plant names them.
var Lifts = []string{"UT", "LT", "HS"}

// Exec runs statements in the ropeway's database as its administrator: for tests that change
// records behind the program's back, as other programs do.
func (s *Stage) Exec(sql string) error {
	pool, err := s.Admin(demo.Database)
	if err != nil {
		return err
	}
	if _, err := pool.Exec(context.Background(), sql, pgx.QueryExecModeSimpleProtocol); err != nil {
		return fmt.Errorf("run a statement: %w", err)
	}
	return nil
}

// Admin gives connections to a database as the cluster’s administrator, which are kept: to connect takes longer than
// most of what tests ask. They end with the stage.
func (s *Stage) Admin(database string) (*pgxpool.Pool, error) {
	s.mu.Lock()
	defer s.mu.Unlock()
	if pool := s.admin[database]; pool != nil {
		return pool, nil
	}
	config, err := pgxpool.ParseConfig(s.Cluster.AdminDSN(database))
	if err != nil {
		return nil, fmt.Errorf("connect to %s: %w", database, err)
	}
	// The cluster may have been killed and started again since a connection was used last, however short ago that was.
	config.ShouldPing = func(context.Context, pgxpool.ShouldPingParams) bool { return true }
	pool, err := pgxpool.NewWithConfig(context.Background(), config)
	if err != nil {
		return nil, fmt.Errorf("connect to %s: %w", database, err)
	}
	s.admin[database] = pool
	s.closers = append(s.closers, pool.Close)
	return pool, nil
}
