package main

import (
	"context"
	"errors"
	"fmt"
	"net"
	"net/http"
	"os"
	"os/exec"
	"path/filepath"
	"sync"
	"syscall"
	"time"

	"ambergate/demo/balance"
	"ambergate/demo/stage"
)

// serversReady is how long the servers of the demo may take to be ready.
const serversReady = 30 * time.Second

// runServers runs several servers over the demo’s database and plant, each a program of its own, behind a balancer that
// takes the demo’s address, until the context ends.
func runServers(ctx context.Context, up *stage.Stage, dir string, l net.Listener, n int) error {
	binary, err := os.Executable()
	if err != nil {
		return fmt.Errorf("find the program: %w", err)
	}
	up.Plant.Close() // one of the servers talks to the plant now, and nobody else
	running, stop := context.WithCancel(context.WithoutCancel(ctx))
	defer stop()
	var ended sync.WaitGroup
	defer ended.Wait()
	addresses := make([]string, n)
	for i := range addresses {
		if addresses[i], err = freeAddress(); err != nil {
			return err
		}
		home := filepath.Join(dir, "servers", fmt.Sprint(i+1))
		if err := os.MkdirAll(home, 0o711); err != nil {
			return fmt.Errorf("make the folder of a server: %w", err)
		}
		if err := keepKey(home, up.Key); err != nil {
			return err
		}
		args := []string{"serve", "--address", addresses[i], "--dir", home}
		ended.Go(func() { keepServer(running, binary, args, up.Served()) })
	}
	b := balance.New(addresses)
	go b.Keep(running)
	waiting, cancel := context.WithTimeout(ctx, serversReady)
	defer cancel()
	if err := b.Ready(waiting, n); err != nil {
		return fmt.Errorf("start %d servers: %w", n, err)
	}
	fmt.Printf("  %d servers are behind it:", n)
	for _, a := range addresses {
		fmt.Printf(" http://%s", a)
	}
	fmt.Printf("\n  End one of them and see: it is started again.\n\n")
	srv := &http.Server{Handler: b, ReadHeaderTimeout: 5 * time.Second}
	failed := make(chan error, 1)
	go func() { failed <- srv.Serve(l) }()
	select {
	case err := <-failed:
		return fmt.Errorf("serve: %w", err)
	case <-ctx.Done():
	}
	stop()
	ended.Wait() // what they have begun is done
	_ = srv.Close()
	return nil
}

// keepServer runs a server, and runs it again when it ends, until the context does.
func keepServer(ctx context.Context, binary string, args, more []string) {
	for ctx.Err() == nil {
		cmd := exec.CommandContext(ctx, binary, args...)
		cmd.Stderr, cmd.Env = os.Stderr, append(os.Environ(), more...)
		cmd.Cancel = func() error { return cmd.Process.Signal(syscall.SIGTERM) }
		cmd.WaitDelay = finishWithin + 5*time.Second
		cmd.SysProcAttr = &syscall.SysProcAttr{Pdeathsig: syscall.SIGTERM}
		if err := cmd.Run(); err != nil && ctx.Err() == nil {
			var exit *exec.ExitError
			if !errors.As(err, &exit) {
				fmt.Fprintln(os.Stderr, "a server cannot be started:", err)
			}
		}
		select {
		case <-ctx.Done():
		case <-time.After(time.Second):
		}
	}
}

func freeAddress() (string, error) {
	l, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		return "", fmt.Errorf("find a free address: %w", err)
	}
	defer l.Close()
	return l.Addr().String(), nil
}
