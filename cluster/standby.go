package cluster

import (
	"context"
	"fmt"
	"os"
	"path/filepath"
	"strings"
)

// Standby makes a streaming replica of a running cluster in a folder, and starts it: for reading, and for tests of what
// reads. It follows until it is stopped.
func (c *Cluster) Standby(ctx context.Context, dir string) (*Cluster, error) {
	bin, err := binaries()
	if err != nil {
		return nil, err
	}
	data := filepath.Join(dir, "data")
	if err := os.MkdirAll(data, 0o700); err != nil {
		return nil, fmt.Errorf("make the folder of a replica: %w", err)
	}
	for _, of := range []string{filepath.Dir(dir), dir} { // whoever PostgreSQL runs as has to get there
		if err := os.Chmod(of, 0o711); err != nil {
			return nil, fmt.Errorf("make the folder of a replica: %w", err)
		}
	}
	if err := own(data); err != nil {
		return nil, err
	}
	dsn := strings.Replace(c.AdminDSN("postgres"), "?", "?application_name=standby&", 1)
	cmd := c.command(ctx, filepath.Join(bin, "pg_basebackup"), "-D", data, "-R", "-X", "stream", "-c", "fast", "-d", dsn)
	if out, err := cmd.CombinedOutput(); err != nil {
		return nil, fmt.Errorf("copy the cluster for a replica: %w: %s", err, lastLines(string(out)))
	}
	standby := &Cluster{dir: dir, logPath: filepath.Join(dir, "log"), Password: c.Password}
	return standby, standby.run(ctx, bin)
}
