package sim

import (
	"math"
	"testing"
)

// run lets a lift work for some seconds and calls look after each step.
func run(l *lift, seconds float64, look func()) {
	for t := 0.0; t < seconds; t += 0.1 {
		l.step(0.1)
		if look != nil {
			look()
		}
	}
}

func TestSpeedRampsAndStops(t *testing.T) {
	l := newLift("UT", 1)
	if v := l.values(); v["UT.drive.running"] != true || v["UT.drive.brake"] != false {
		t.Fatalf("it begins as %v", v)
	}
	before := l.speed
	l.command("drive.stop")
	run(l, 20, func() {
		if l.speed > before+1e-9 || before-l.speed > 0.8*0.1+1e-9 {
			t.Fatalf("the speed went from %v to %v in a tenth of a second", before, l.speed)
		}
		before = l.speed
	})
	if v := l.values(); l.speed != 0 || v["UT.drive.running"] != false || v["UT.drive.brake"] != true || v["UT.drive.torque"] != 0.0 {
		t.Errorf("after stopping: %v", v)
	}
	l.command("drive.start")
	run(l, 3, nil)
	if l.speed < 0.9 || l.speed > 1.2 {
		t.Errorf("three seconds after the start it runs at %v", l.speed)
	}
	run(l, 30, nil)
	if math.Abs(l.speed-l.set) > 0.01 {
		t.Errorf("it came to %v instead of %v", l.speed, l.set)
	}
	l.command("drive.creep")
	run(l, 20, nil)
	if math.Abs(l.speed-0.8) > 0.01 {
		t.Errorf("it creeps at %v", l.speed)
	}
}

func TestEmergencyStopHoldsUntilReset(t *testing.T) {
	l := newLift("LT", 2)
	l.command("scenario.estop")
	run(l, 10, nil)
	l.command("drive.start")
	run(l, 5, nil)
	if l.speed != 0 {
		t.Errorf("it started with the emergency stop pressed: %v", l.speed)
	}
	l.command("drive.reset")
	l.command("drive.start")
	run(l, 5, nil)
	if l.speed == 0 {
		t.Error("it does not start after the reset")
	}
}

func TestAGustMakesAnAlarmAndGoesAgain(t *testing.T) {
	l := newLift("HS", 3)
	run(l, 600, func() {
		if l.alarm {
			t.Fatalf("an alarm without a gust, at %v m/s", l.gust)
		}
	})
	l.command("scenario.gust")
	alarmed := false
	run(l, 20, func() { alarmed = alarmed || l.alarm })
	if !alarmed || l.gust < gustLimit {
		t.Errorf("twenty seconds into the gust: %v m/s, alarm %v", l.gust, alarmed)
	}
	run(l, 60, nil)
	if l.alarm {
		t.Errorf("the alarm stays at %v m/s", l.gust)
	}
	l.command("scenario.gust")
	run(l, 5, nil)
	l.command("scenario.calm")
	run(l, 20, nil)
	if l.alarm || l.gust > gustClear {
		t.Errorf("it does not calm down: %v m/s", l.gust)
	}
}

func TestTheMotorWarmsWithinReason(t *testing.T) {
	l := newLift("UT", 4)
	run(l, 3600, func() {
		if l.motor < 20 || l.motor > 100 || l.load < 0.1 || l.load > 1 || math.IsNaN(l.gust) {
			t.Fatalf("motor %v, load %v, gust %v", l.motor, l.load, l.gust)
		}
	})
	hot := l.motor
	l.command("drive.stop")
	run(l, 1800, nil)
	if l.motor > hot-10 {
		t.Errorf("half an hour after stopping the motor has %v, it had %v", l.motor, hot)
	}
}

func TestOnlyCommandsAndTheSetSpeedCanBeWritten(t *testing.T) {
	for key, want := range map[string]bool{
		"UT.drive.start": true, "UT.drive.set_speed": true, "UT.scenario.gust": true, "UT.drive.speed": false, "UT.drive.running": false, "UT.wind.alarm": false, "": false,
	} {
		if writable(key) != want {
			t.Errorf("%q: %v", key, !want)
		}
	}
}
