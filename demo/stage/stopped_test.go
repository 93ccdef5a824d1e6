package stage_test

import (
	"context"
	"fmt"
	"net/http"
	"strings"
	"syscall"
	"testing"
	"time"

	"ambergate/api"
	"ambergate/demo"
	"ambergate/demo/stage"
)

// Hardening, medium: told to stop, the program broke off the presses that were under way. They are finished, and open
// streams do not hold it up.
func TestToldToStopItFinishesWhatIsUnderWay(t *testing.T) {
	p := built(t)
	p.start("")
	b := p.browser("sela")
	assign := func() error { return up.Exec(`update tarnhorn.defects set state = 'assigned' where id = 95`) }
	if err := assign(); err != nil {
		t.Fatal(err)
	}
	shown, err := b.openDefect("95")
	if err != nil {
		t.Fatal(err)
	}
	var room api.Shown
	if err := b.call("POST", usePath+"/open", map[string]any{"address": "/drive-room?lift=1"}, &room); err != nil {
		t.Fatal(err)
	}
	stream, err := b.client.Get(fmt.Sprintf("http://%s%s/events?at=%s.%d.0", p.address, usePath, room.Trail, room.N))
	if err != nil || stream.StatusCode != http.StatusOK {
		t.Fatalf("open a stream: %v", err)
	}
	defer stream.Body.Close()
	// Somebody else has the record for a moment: the press waits for it.
	lock, err := connect(demo.Database)
	if err != nil {
		t.Fatal(err)
	}
	defer lock.Close(context.Background())
	if _, err := lock.Exec(t.Context(), `begin; select 1 from tarnhorn.defects where id = 95 for update`); err != nil {
		t.Fatal(err)
	}
	pressed := make(chan error, 1)
	go func() { pressed <- b.call("POST", usePath+"/press", change(shown, "stopped-press-1"), nil) }()
	time.Sleep(150 * time.Millisecond)
	if err := p.run.Process.Signal(syscall.SIGTERM); err != nil {
		t.Fatal(err)
	}
	time.Sleep(100 * time.Millisecond)
	if _, err := lock.Exec(t.Context(), `rollback`); err != nil {
		t.Fatal(err)
	}
	if err := <-pressed; err != nil {
		t.Errorf("the press that was under way: %v", err)
	}
	if !p.died() {
		t.Error("an open stream holds it up")
	}
	if n := counted(t, demo.Database, `select count(*) from tarnhorn.defects where state = 'closed' and id = 95`); n != 1 {
		t.Error("what was pressed is not done")
	}
}

// Hardening, medium: a start that failed was a panic that hid its reason.
func TestAStartThatFailsSaysWhy(t *testing.T) {
	dir := t.TempDir()
	var port int
	if _, err := fmt.Sscanf(up.Sim.Endpoint()[strings.LastIndex(up.Sim.Endpoint(), ":")+1:], "%d", &port); err != nil {
		t.Fatal(err)
	}
	if s, err := stage.Up(t.Context(), stage.Options{Dir: dir + "/cluster", PlantPort: port, Today: time.Now(), Log: nil}); err == nil || !strings.Contains(err.Error(), "in use") {
		t.Errorf("on a port that is taken: %v", err)
		if err == nil {
			s.Down()
		}
	}
}
