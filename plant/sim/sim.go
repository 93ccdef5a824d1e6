package sim

import (
	"context"
	"fmt"
	"sync"
	"time"

	"github.com/gopcua/opcua/server"
	"github.com/gopcua/opcua/ua"
)

// Namespace is the URI of the simulated plant's nodes.
const Namespace = "urn:ambergate:ropeway"

// Plant is the running simulator.
type Plant struct {
	srv   *server.Server
	ns    *namespace
	lifts []*lift
	stop  context.CancelFunc
	done  chan struct{}
	asked chan func() // what is done to the model from outside
	Port  int
}

// namespace guards the library's map of values, which it reads without a lock of its own.
type namespace struct {
	*server.MapNamespace
	mu     sync.RWMutex
	srv    *server.Server
	writes chan string
	taken  map[string]int // by node: how often a write was taken
	turned map[string]int // and how often it changed what was there
}

// Attribute reads under the lock.
func (n *namespace) Attribute(node *ua.NodeID, a ua.AttributeID) *ua.DataValue {
	n.mu.RLock()
	defer n.mu.RUnlock()
	if v, ok := n.told(node.StringID(), a); ok {
		return &ua.DataValue{EncodingMask: ua.DataValueValue | ua.DataValueServerTimestamp, ServerTimestamp: time.Now(), Value: ua.MustVariant(v)}
	}
	return n.MapNamespace.Attribute(node, a)
}

// SetAttribute takes a write from a client: only to what may be written, and of the right type.
func (n *namespace) SetAttribute(node *ua.NodeID, a ua.AttributeID, v *ua.DataValue) ua.StatusCode {
	key := node.StringID()
	if a != ua.AttributeIDValue || v == nil || v.Value == nil {
		return ua.StatusBadNotWritable
	}
	n.mu.Lock()
	old, ok := n.Data[key]
	if !ok {
		n.mu.Unlock()
		return ua.StatusBadNodeIDUnknown
	}
	if !writable(key) {
		n.mu.Unlock()
		return ua.StatusBadNotWritable
	}
	value := v.Value.Value()
	if fmt.Sprintf("%T", old) != fmt.Sprintf("%T", value) {
		n.mu.Unlock()
		return ua.StatusBadTypeMismatch
	}
	n.Data[key] = value
	n.taken[key]++
	if old != value {
		n.turned[key]++
	}
	n.mu.Unlock()
	n.srv.ChangeNotification(node)
	select {
	case n.writes <- key:
	default: // the model looks at all commands on each step anyway
	}
	return ua.StatusOK
}

func (n *namespace) get(key string) any {
	n.mu.RLock()
	defer n.mu.RUnlock()
	return n.Data[key]
}

// set changes values and tells subscribers, in small bursts: the library can lock up on large ones.
func (n *namespace) set(values map[string]any) {
	n.mu.Lock()
	var changed []string
	for key, v := range values {
		if n.Data[key] != v {
			n.Data[key] = v
			changed = append(changed, key)
		}
	}
	n.mu.Unlock()
	for i, key := range changed {
		n.srv.ChangeNotification(ua.NewStringNodeID(n.ID(), key))
		if i%50 == 49 {
			time.Sleep(2 * time.Millisecond)
		}
	}
}

// Start runs the simulator on a port of loopback for the lifts with the given codes.
func Start(port int, codes []string, seed uint64) (*Plant, error) {
	srv := server.New(server.EndPoint("127.0.0.1", port), server.EnableSecurity("None", ua.MessageSecurityModeNone), server.EnableAuthMode(ua.UserTokenTypeAnonymous))
	m := server.NewMapNamespace(srv, Namespace)
	ns := &namespace{MapNamespace: m, srv: srv, writes: make(chan string, 64), taken: map[string]int{}, turned: map[string]int{}}
	// The library registered its own; ours answers in its place, under the same index.
	if err := replace(srv, m, ns); err != nil {
		return nil, err
	}
	ns.mount()
	p := &Plant{srv: srv, ns: ns, Port: port, done: make(chan struct{}), asked: make(chan func(), 8)}
	for i, code := range codes {
		l := newLift(code, seed+uint64(i))
		p.lifts = append(p.lifts, l)
		for key, v := range l.values() {
			ns.Data[key] = v
		}
		for _, c := range commands {
			ns.Data[code+"."+c] = false
		}
		ns.Data[code+".drive.set_speed"], ns.Data[code+".drive.lights"] = l.set, true
		ns.Data[code+".drive.inch"], ns.Data[code+".drive.inch_beat"] = false, 0.0
	}
	if err := srv.Start(context.Background()); err != nil {
		return nil, fmt.Errorf("start the simulated plant on port %d: %w", port, err)
	}
	ctx, stop := context.WithCancel(context.Background())
	p.stop = stop
	go p.run(ctx)
	return p, nil
}

func replace(srv *server.Server, old *server.MapNamespace, ours *namespace) error {
	all := srv.Namespaces()
	for i := range all {
		if all[i] == server.NameSpace(old) {
			all[i] = ours
			return nil
		}
	}
	return fmt.Errorf("start the simulated plant: the namespace %s was not registered", Namespace)
}

// Close stops the model and the server.
func (p *Plant) Close() {
	p.stop()
	<-p.done
	_ = p.srv.Close() // clients may have gone first
}

// Taken tells how often a write to a node was taken since the start: for tests of what reaches the plant.
func (p *Plant) Taken(node string) int {
	p.ns.mu.RLock()
	defer p.ns.mu.RUnlock()
	return p.ns.taken[node]
}

// Turned tells how often a write to a node changed what was there.
func (p *Plant) Turned(node string) int {
	p.ns.mu.RLock()
	defer p.ns.mu.RUnlock()
	return p.ns.turned[node]
}

// Estop presses the emergency stop of a lift, or pulls it: for tests of what happens then.
func (p *Plant) Estop(code string, pressed bool) {
	p.asked <- func() {
		for _, l := range p.lifts {
			if l.code == code {
				l.estop = pressed
			}
		}
	}
}

// PutAll sets many values at once, new ones too.
func (p *Plant) PutAll(values map[string]any) { p.ns.set(values) }

// Put gives a node that clients may set a value, as if the plant did, and tells who watches it.
func (p *Plant) Put(node string, value any) { p.ns.set(map[string]any{node: value}) }

// Now tells what a node holds.
func (p *Plant) Now(node string) any { return p.ns.get(node) }

// Endpoint gives the address that clients connect to.
func (p *Plant) Endpoint() string { return fmt.Sprintf("opc.tcp://127.0.0.1:%d", p.Port) }

const step = 100 * time.Millisecond

func (p *Plant) run(ctx context.Context) {
	defer close(p.done)
	ticker := time.NewTicker(step)
	defer ticker.Stop()
	for {
		select {
		case <-ctx.Done():
			return
		case do := <-p.asked:
			do()
		case <-p.ns.writes:
			p.commands()
		case <-ticker.C:
			p.commands()
			for _, l := range p.lifts {
				inch, _ := p.ns.get(l.code + ".drive.inch").(bool)
				beat, _ := p.ns.get(l.code + ".drive.inch_beat").(float64)
				if l.held(inch, beat, step.Seconds()) {
					p.ns.set(map[string]any{l.code + ".drive.inch": false})
				}
				l.step(step.Seconds())
				p.ns.set(l.values())
			}
		}
	}
}

// commands carries out what was written since, and takes the command bits back.
func (p *Plant) commands() {
	for _, l := range p.lifts {
		back := map[string]any{}
		for _, c := range commands {
			key := l.code + "." + c
			if on, _ := p.ns.get(key).(bool); on {
				l.command(c)
				back[key] = false
			}
		}
		if v, ok := p.ns.get(l.code + ".drive.set_speed").(float64); ok {
			l.set = min(max(v, 0), l.top)
		}
		if len(back) > 0 {
			p.ns.set(back)
			p.ns.set(l.values())
		}
	}
}
