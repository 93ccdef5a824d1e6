package sim

import (
	"math"
	"math/rand/v2"
	"slices"
	"strings"
)

// commands are the bits that clients may set; the model takes them back when it has acted.
// The last three make a given moment happen at will.
var commands = []string{"drive.start", "drive.stop", "drive.creep", "drive.reset", "scenario.gust", "scenario.calm", "scenario.estop"}

// kept are the values that clients may set and that stay as they were set.
var kept = []string{"drive.set_speed", "drive.lights", "drive.inch", "drive.inch_beat"}

// inchWithin is how long the drive goes on inching without the beat being counted up, in seconds.
const inchWithin = 1.0

func writable(key string) bool {
	return slices.ContainsFunc(slices.Concat(commands, kept), func(c string) bool { return strings.HasSuffix(key, "."+c) })
}

// lift is a small physical model of one ropeway drive and the wind at its towers.
type lift struct {
	code    string
	rand    *rand.Rand
	running bool
	creep   bool
	inch    bool    // it is turned slowly as long as somebody holds that
	beat    float64 // as it was last counted up
	silent  float64 // seconds since
	estop   bool
	speed   float64 // m/s
	set     float64 // m/s
	top     float64 // m/s
	load    float64 // share of seats taken
	motor   float64 // °C
	wind    float64 // m/s, mean
	gust    float64 // m/s
	storm   float64 // seconds that a called-up gust still lasts
	calm    float64 // seconds for which it is held calm
	over    float64 // seconds over the limit
	alarm   bool
}

// gustLimit is where the gust alarm comes, m/s; it goes below gustClear.
const (
	gustLimit = 15.0
	gustClear = 13.0
)

func newLift(code string, seed uint64) *lift {
	l := &lift{code: code, rand: rand.New(rand.NewPCG(seed, seed)), running: true, set: 4.8, top: 6, load: 0.5, motor: 62, wind: 6, gust: 8}
	if code != "UT" {
		l.set, l.top = 4.4, 5
	}
	l.speed = l.set
	return l
}

// command does what a bit asks for. A start needs the brake's release, which the emergency stop prevents.
func (l *lift) command(name string) {
	switch name {
	case "drive.start":
		if !l.estop {
			l.running, l.creep = true, false
		}
	case "drive.stop":
		l.running, l.creep = false, false
	case "drive.creep":
		l.creep = l.running
	case "drive.reset":
		l.estop = false
	case "scenario.gust":
		l.storm, l.calm = 40, 0
	case "scenario.calm":
		l.storm, l.calm = 0, 120
	case "scenario.estop":
		l.estop, l.running = true, false
	}
}

// held takes what clients hold. Without the beat being counted up it ends by itself: that is the controller's watchdog.
func (l *lift) held(inch bool, beat, dt float64) (ends bool) {
	if !inch || beat != l.beat || !l.inch {
		l.beat, l.silent = beat, 0
	} else {
		l.silent += dt
	}
	l.inch = inch && l.silent <= inchWithin
	return inch && !l.inch
}

// step lets dt seconds pass: speed ramps, the motor warms, the wind has gusts.
func (l *lift) step(dt float64) {
	target := 0.0
	switch {
	case l.inch && !l.running && !l.estop:
		target = 0.3
	case l.running && l.creep:
		target = 0.8
	case l.running:
		target = l.set
	}
	up, down := 0.35, 0.8 // m/s²
	if l.estop {
		down = 1.6
	}
	if l.speed < target {
		l.speed = math.Min(target, l.speed+up*dt)
	} else {
		l.speed = math.Max(target, l.speed-down*dt)
	}
	l.load = clamp(l.load+(0.55-l.load)*0.002*dt*10+l.rand.NormFloat64()*0.004, 0.1, 1)
	heat := 28 + 46*l.speed/l.top*(0.6+0.4*l.load)
	l.motor += (heat + 10 - l.motor) * dt / 180
	l.windStep(dt)
}

func (l *lift) windStep(dt float64) {
	l.wind = clamp(l.wind+(6-l.wind)*0.02*dt+l.rand.NormFloat64()*0.08, 1, 11)
	aim := l.wind * 1.35
	if l.storm > 0 {
		l.storm -= dt
		aim = 18.5 + math.Sin(l.storm)*0.8
	}
	if l.calm > 0 {
		l.calm -= dt
		aim, l.wind = 5, math.Min(l.wind, 4)
	}
	l.gust += (aim-l.gust)*dt/1.2 + l.rand.NormFloat64()*0.05
	l.gust = math.Max(l.gust, l.wind*1.05)
	if l.gust > gustLimit {
		l.over += dt
	} else {
		l.over = 0
	}
	if l.over > 1 {
		l.alarm = true
	} else if l.gust < gustClear {
		l.alarm = false
	}
}

// values gives the model's readings, rounded as a controller would.
func (l *lift) values() map[string]any {
	torque := 0.0
	if l.speed > 0.05 {
		torque = 18 + 52*l.load*(0.5+0.5*l.speed/l.top)
	}
	c := l.code + "."
	return map[string]any{
		c + "drive.running": l.speed > 0.05,
		c + "drive.speed":   round(l.speed, 2),
		c + "drive.torque":  round(torque, 1),
		c + "drive.motor":   round(l.motor, 1),
		c + "drive.brake":   l.speed < 0.05,
		c + "drive.remote":  true,
		c + "drive.estop":   l.estop,
		c + "drive.gates":   true,
		c + "drive.cabins":  int64(math.Round(24 + 20*l.load)),
		c + "wind.mean":     round(l.wind, 1),
		c + "wind.tower9":   round(l.wind*0.9, 1),
		c + "wind.gust":     round(l.gust, 1),
		c + "wind.alarm":    l.alarm,
	}
}

func round(f float64, digits int) float64 {
	p := math.Pow(10, float64(digits))
	return math.Round(f*p) / p
}

func clamp(f, low, high float64) float64 { return math.Min(high, math.Max(low, f)) }
