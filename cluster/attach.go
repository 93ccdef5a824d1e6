package cluster

import (
	"context"
	"errors"
	"fmt"
	"io/fs"
	"os"
	"path/filepath"
	"strconv"
	"strings"
)

// ErrNoCluster means that there is no cluster in a folder.
var ErrNoCluster = errors.New("there is no cluster")

// Attach gives the cluster in dir as it runs already for another process, else it starts it; done lets it be as it
// was. Error: ErrNoCluster.
func Attach(ctx context.Context, dir string) (c *Cluster, done func(), err error) {
	password, err := os.ReadFile(filepath.Join(dir, "password"))
	if errors.Is(err, fs.ErrNotExist) {
		return nil, nil, fmt.Errorf("%w in %s", ErrNoCluster, dir)
	}
	if err != nil {
		return nil, nil, fmt.Errorf("read the cluster's password: %w", err)
	}
	c = &Cluster{Password: strings.TrimSpace(string(password)), dir: dir}
	if text, err := os.ReadFile(filepath.Join(dir, "data", "postmaster.pid")); err == nil {
		lines := strings.Split(string(text), "\n")
		if len(lines) > 3 {
			c.Port, _ = strconv.Atoi(strings.TrimSpace(lines[3])) // 0 where it is starting: it does not answer then
		}
		if c.Port > 0 && c.answers(ctx) {
			return c, func() {}, nil
		}
	}
	if c, err = Start(ctx, dir); err != nil {
		return nil, nil, err
	}
	return c, c.Stop, nil
}
