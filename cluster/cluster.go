// Package cluster runs a private PostgreSQL cluster in a folder, on loopback: for the demo
// and for tests. It never touches a cluster that it did not make.
package cluster

import (
	"context"
	"crypto/rand"
	"encoding/hex"
	"errors"
	"fmt"
	"net"
	"os"
	"os/exec"
	"os/user"
	"path/filepath"
	"sort"
	"strconv"
	"strings"
	"syscall"
	"time"

	"github.com/jackc/pgx/v5"
)

// Cluster is a running PostgreSQL server that belongs to this process.
type Cluster struct {
	Port     int
	Password string // of the superuser postgres
	dir      string
	process  *exec.Cmd
	ended    chan struct{}
	logPath  string
}

// Start makes the cluster in dir if there is none and starts it. The server ends with Stop.
func Start(ctx context.Context, dir string) (*Cluster, error) {
	bin, err := binaries()
	if err != nil {
		return nil, err
	}
	dir, err = filepath.Abs(dir)
	if err != nil {
		return nil, fmt.Errorf("find the cluster's folder: %w", err)
	}
	if err := os.MkdirAll(dir, 0o711); err != nil {
		return nil, fmt.Errorf("make the cluster's folder: %w", err)
	}
	c := &Cluster{dir: dir, logPath: filepath.Join(dir, "postgres.log"), ended: make(chan struct{})}
	if err := c.init(ctx, bin); err != nil {
		return nil, err
	}
	if err := c.run(ctx, bin); err != nil {
		return nil, err
	}
	return c, nil
}

// DSN gives the connection string for a user of a database.
func (c *Cluster) DSN(user, password, database string) string {
	return fmt.Sprintf("postgres://%s:%s@127.0.0.1:%d/%s?sslmode=disable", user, password, c.Port, database)
}

// Address gives where the cluster is reached, HOST:PORT.
func (c *Cluster) Address() string { return fmt.Sprintf("127.0.0.1:%d", c.Port) }

// AdminDSN gives the connection string of the superuser.
func (c *Cluster) AdminDSN(database string) string {
	return c.DSN("postgres", c.Password, database)
}

// PID is the server process.
func (c *Cluster) PID() int { return c.process.Process.Pid }

// Ended is closed when the server process has ended, for whatever reason.
func (c *Cluster) Ended() <-chan struct{} { return c.ended }

// Stop ends the server, fast but in order, and waits for it.
func (c *Cluster) Stop() {
	if c.process == nil || c.process.Process == nil {
		return
	}
	_ = c.process.Process.Signal(syscall.SIGINT) // it may have ended already
	select {
	case <-c.ended:
	case <-time.After(10 * time.Second):
		_ = c.process.Process.Kill()
		<-c.ended
	}
}

// Kill ends the server at once, as a crash would.
func (c *Cluster) Kill() {
	_ = c.process.Process.Signal(syscall.SIGQUIT)
	<-c.ended
}

// binaries finds the folder of the newest installed server.
func binaries() (string, error) {
	found, err := filepath.Glob("/usr/lib/postgresql/*/bin/initdb")
	if err != nil || len(found) == 0 {
		if path, err := exec.LookPath("initdb"); err == nil {
			return filepath.Dir(path), nil
		}
		return "", errors.New("PostgreSQL is not installed: run `make setup`, or install the package postgresql")
	}
	sort.Strings(found)
	return filepath.Dir(found[len(found)-1]), nil
}

func (c *Cluster) init(ctx context.Context, bin string) error {
	passwordFile := filepath.Join(c.dir, "password")
	data := filepath.Join(c.dir, "data")
	if _, err := os.Stat(filepath.Join(data, "PG_VERSION")); err == nil {
		text, err := os.ReadFile(passwordFile)
		if err != nil {
			return fmt.Errorf("the cluster in %s has lost its password: `make demo-reset` makes a new one: %w", c.dir, err)
		}
		c.Password = strings.TrimSpace(string(text))
		return nil
	}
	if entries, err := os.ReadDir(data); err == nil && len(entries) > 0 {
		return fmt.Errorf("the folder %s holds something that is no whole cluster: `make demo-reset` starts afresh", data)
	}
	secret := make([]byte, 16)
	if _, err := rand.Read(secret); err != nil {
		return fmt.Errorf("make a password: %w", err)
	}
	c.Password = hex.EncodeToString(secret)
	if err := os.WriteFile(passwordFile, []byte(c.Password+"\n"), 0o600); err != nil {
		return fmt.Errorf("keep the password: %w", err)
	}
	if err := os.MkdirAll(data, 0o700); err != nil {
		return fmt.Errorf("make the data folder: %w", err)
	}
	if err := own(data, passwordFile); err != nil {
		return err
	}
	cmd := c.command(ctx, filepath.Join(bin, "initdb"), "-D", data, "-U", "postgres", "-A", "scram-sha-256", "--pwfile="+passwordFile, "-E", "UTF8", "--locale=C.UTF-8")
	if out, err := cmd.CombinedOutput(); err != nil {
		return fmt.Errorf("make the cluster in %s: %w: %s", data, err, lastLines(string(out)))
	}
	return nil
}

func (c *Cluster) run(ctx context.Context, bin string) error {
	data := filepath.Join(c.dir, "data")
	var last error
	for try := 0; try < 4; try++ {
		port, err := freePort()
		if err != nil {
			return err
		}
		c.Port = port
		last = c.launch(ctx, bin, data)
		if last == nil {
			return nil
		}
		// After a kill the old server's lock can stay for about two seconds.
		select {
		case <-ctx.Done():
			return ctx.Err()
		case <-time.After(time.Second):
		}
	}
	return last
}

func (c *Cluster) launch(ctx context.Context, bin, data string) error {
	log, err := os.Create(c.logPath)
	if err != nil {
		return fmt.Errorf("make the server's log: %w", err)
	}
	defer log.Close()
	// Not bound to ctx: Stop ends it in order.
	c.process = c.command(context.Background(), filepath.Join(bin, "postgres"), "-D", data,
		"-c", "listen_addresses=127.0.0.1", "-c", "port="+strconv.Itoa(c.Port), "-c", "unix_socket_directories=",
		"-c", "max_connections=120", "-c", "timezone=UTC")
	c.process.Stdout, c.process.Stderr = log, log
	if err := c.process.Start(); err != nil {
		return fmt.Errorf("start PostgreSQL: %w", err)
	}
	ended := make(chan struct{})
	c.ended = ended
	go func() {
		_ = c.process.Wait() // how it ended stands in its log
		close(ended)
	}()
	deadline := time.Now().Add(20 * time.Second)
	for time.Now().Before(deadline) {
		select {
		case <-ended:
			text, _ := os.ReadFile(c.logPath)
			return fmt.Errorf("PostgreSQL in %s did not start: %s", c.dir, lastLines(string(text)))
		case <-ctx.Done():
			c.Stop()
			return ctx.Err()
		case <-time.After(30 * time.Millisecond):
		}
		if c.answers(ctx) {
			return nil
		}
	}
	c.Stop()
	return fmt.Errorf("PostgreSQL in %s does not answer; its log is %s", c.dir, c.logPath)
}

func (c *Cluster) answers(ctx context.Context) bool {
	ctx, cancel := context.WithTimeout(ctx, 2*time.Second)
	defer cancel()
	conn, err := pgx.Connect(ctx, c.AdminDSN("postgres"))
	if err != nil {
		return false
	}
	_ = conn.Close(ctx)
	return true
}

// command prepares a program of the server; as the user postgres when this is root, since
// PostgreSQL refuses to run as root.
func (c *Cluster) command(ctx context.Context, path string, args ...string) *exec.Cmd {
	cmd := exec.CommandContext(ctx, path, args...)
	cmd.Dir = "/"
	cmd.Env = append(os.Environ(), "LC_ALL=C.UTF-8")
	// Its own process group: a Ctrl+C in the terminal reaches this program first, which stops it in order.
	cmd.SysProcAttr = &syscall.SysProcAttr{Setpgid: true, Pdeathsig: syscall.SIGINT}
	if os.Geteuid() == 0 {
		if uid, gid, err := postgresUser(); err == nil {
			cmd.SysProcAttr.Credential = &syscall.Credential{Uid: uid, Gid: gid}
			// The folder may lie below one that the user postgres cannot enter.
			cmd.SysProcAttr.AmbientCaps = []uintptr{1, 2} // CAP_DAC_OVERRIDE, CAP_DAC_READ_SEARCH
		}
	}
	return cmd
}

func own(paths ...string) error {
	if os.Geteuid() != 0 {
		return nil
	}
	uid, gid, err := postgresUser()
	if err != nil {
		return err
	}
	for _, p := range paths {
		if err := os.Chown(p, int(uid), int(gid)); err != nil {
			return fmt.Errorf("give %s to the user postgres: %w", p, err)
		}
	}
	return nil
}

func postgresUser() (uid, gid uint32, err error) {
	u, err := user.Lookup("postgres")
	if err != nil {
		return 0, 0, fmt.Errorf("there is no user postgres: install the package postgresql: %w", err)
	}
	id, err := strconv.ParseUint(u.Uid, 10, 32)
	if err != nil {
		return 0, 0, fmt.Errorf("read the id of the user postgres: %w", err)
	}
	group, err := strconv.ParseUint(u.Gid, 10, 32)
	if err != nil {
		return 0, 0, fmt.Errorf("read the group of the user postgres: %w", err)
	}
	return uint32(id), uint32(group), nil
}

func freePort() (int, error) {
	l, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		return 0, fmt.Errorf("find a free port: %w", err)
	}
	defer l.Close()
	return l.Addr().(*net.TCPAddr).Port, nil
}

func lastLines(s string) string {
	lines := strings.Split(strings.TrimSpace(s), "\n")
	return strings.Join(lines[max(0, len(lines)-4):], " / ")
}

// Keep starts the server again whenever it ends, until the context does; it returns then. The
// demo's database comes back by itself like one that a service manager looks after.
func (c *Cluster) Keep(ctx context.Context, say func(what string, err error)) {
	for {
		select {
		case <-ctx.Done():
			return
		case <-c.ended:
		}
		say("the database ended and is started again", nil)
		if err := c.Restart(ctx); err != nil && ctx.Err() == nil {
			say("the database cannot be started again", err)
			select {
			case <-ctx.Done():
				return
			case <-time.After(5 * time.Second):
			}
		}
	}
}

// Restart starts the server again on the same port after it has ended.
func (c *Cluster) Restart(ctx context.Context) error {
	bin, err := binaries()
	if err != nil {
		return err
	}
	<-c.ended
	for try := 0; ; try++ {
		err := c.launch(ctx, bin, filepath.Join(c.dir, "data"))
		if err == nil || try == 3 {
			return err
		}
		time.Sleep(time.Second) // the old server's lock can stay for a moment
	}
}
