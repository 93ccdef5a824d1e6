package demo

import (
	"context"
	"fmt"
	"math"
	"math/rand/v2"
	"time"

	"github.com/jackc/pgx/v5"
)

// seed makes the same ropeway each time.
const seed = 2107

// generator makes the data of the ropeway around a day, so that due dates and shifts look alive.
type generator struct {
	tx    pgx.Tx
	rand  *rand.Rand
	today time.Time
	err   error
}

// LoadData fills the schemas tarnhorn and stores, which must exist and be empty.
func LoadData(ctx context.Context, tx pgx.Tx, today time.Time) error {
	g := &generator{tx: tx, rand: rand.New(rand.NewPCG(seed, seed)), today: today.UTC().Truncate(24 * time.Hour)}
	for _, part := range []struct {
		name string
		load func(context.Context)
	}{
		{"people", g.people}, {"lifts", g.lifts}, {"cabins", g.cabins}, {"inspections", g.inspections}, {"parts", g.parts},
		{"defects", g.defects}, {"shifts", g.shifts}, {"stops", g.stops}, {"ridership", g.ridership}, {"wind", g.wind}, {"orders", g.orders},
	} {
		part.load(ctx)
		if g.err != nil {
			return fmt.Errorf("make the demo's %s: %w", part.name, g.err)
		}
	}
	return nil
}

// copy adds rows to a table, in the schema tarnhorn unless named.
func (g *generator) copy(ctx context.Context, schema, table string, columns []string, rows [][]any) {
	if g.err != nil {
		return
	}
	_, g.err = g.tx.CopyFrom(ctx, pgx.Identifier{schema, table}, columns, pgx.CopyFromRows(rows))
}

func (g *generator) day(back int) time.Time { return g.today.AddDate(0, 0, -back) }

func (g *generator) pick(words []string) string { return words[g.rand.IntN(len(words))] }

func (g *generator) people(ctx context.Context) {
	people := []struct{ login, name, trade string }{
		{"mira", "Mira Holt", "technician"}, {"jon", "Jon Abeke", "operator"}, {"sela", "Sela Brandt", "shift lead"}, {"priya", "Priya Oduya", "office"},
		{"", "Tomas Lind", "technician"}, {"", "Elif Kaya", "technician"}, {"", "Ruben Moss", "technician"}, {"", "Noor Haddad", "operator"},
		{"ilse", "Ilse Frey", "operator"}, {"", "Pavel Orlik", "shift lead"}, {"", "Greta Sund", "office"}, {"", "Hamid Reza", "technician"},
	}
	var rows [][]any
	for i, p := range people {
		var login any
		if p.login != "" {
			login = p.login
		}
		rows = append(rows, []any{login, p.name, p.trade, fmt.Sprintf("ext. %d", 210+i*3), g.day(400 + g.rand.IntN(4000))})
	}
	g.copy(ctx, "tarnhorn", "staff", []string{"login", "name", "trade", "phone", "since"}, rows)
}

func (g *generator) lifts(ctx context.Context) {
	g.copy(ctx, "tarnhorn", "lifts", []string{"code", "name", "length_m", "rise_m", "max_speed", "capacity", "opened_on"}, [][]any{
		{"UT", "Upper Tarn", 2140, 612, 6.0, 2400, time.Date(2009, 12, 5, 0, 0, 0, 0, time.UTC)},
		{"LT", "Lower Tarn", 1760, 438, 5.0, 2000, time.Date(2001, 6, 16, 0, 0, 0, 0, time.UTC)},
		{"HS", "Horn Saddle", 980, 301, 5.0, 1500, time.Date(2016, 12, 10, 0, 0, 0, 0, time.UTC)},
	})
	g.copy(ctx, "tarnhorn", "stations", []string{"lift_id", "name", "role", "altitude"}, [][]any{
		{1, "Tarn Lake", "drive", 1612}, {1, "Tarn Summit", "return", 2224}, {2, "Tarn Village", "drive", 1174}, {2, "Tarn Lake West", "return", 1612},
		{3, "Saddle Hut", "drive", 2102}, {3, "Horn Ridge", "return", 2403},
	})
	var rows [][]any
	for _, c := range components {
		rows = append(rows, []any{c.code, c.name, c.area})
	}
	g.copy(ctx, "tarnhorn", "components", []string{"code", "name", "area"}, rows)
}

var components = []struct {
	code, name, area string
	faults           []string
}{
	{"C-DOOR", "Door and edge sensor", "cabin", []string{"Door edge sensor slow", "Door closes late", "Door rubs at the sill", "Edge sensor reports twice"}},
	{"C-WIN", "Windows", "cabin", []string{"Window seal worn", "Window scratched", "Vent flap stuck"}},
	{"C-SEAT", "Seats and floor", "cabin", []string{"Seat bolt loose", "Floor mat torn"}},
	{"C-SUSP", "Suspension", "cabin", []string{"Damper leaks oil", "Hanger bush worn"}},
	{"G-GRIP", "Grip", "grip", []string{"Grip force below nominal", "Grip spring slow to open", "Roller on the grip worn"}},
	{"G-JAW", "Grip jaw", "grip", []string{"Jaw wear near the limit", "Jaw marked by the rope"}},
	{"D-MOTOR", "Drive motor", "drive", []string{"Motor runs warm", "Fan bearing noisy"}},
	{"D-BRAKE", "Service brake", "drive", []string{"Brake lining thin", "Brake opens late"}},
	{"L-SHEAVE", "Sheave train", "line", []string{"Sheave liner worn at tower 9", "Sheave squeals at tower 4"}},
	{"L-ROPE", "Rope", "line", []string{"Broken wire seen near the splice"}},
	{"S-GATE", "Station gate", "station", []string{"Gate opens slowly", "Gate switch sticks"}},
	{"S-CONV", "Conveyor tyres", "station", []string{"Tyre pressure low", "Tyre worn at the exit"}},
}

const cabinCount = 130

func (g *generator) cabins(ctx context.Context) {
	var rows [][]any
	for i := 1; i <= cabinCount; i++ {
		lift := any(1)
		if i > 60 && i <= 80 {
			lift = 3
		} else if i > 88 {
			lift = 2
		}
		state := "in service"
		note := any(nil)
		switch {
		case i == 87:
			lift = 1
		case i%29 == 0:
			state, lift, note = "in store", nil, "Kept as a spare on the upper rail."
		case i%23 == 0:
			state, note = "on hold", "Waits for the grip to be measured again."
		case i == 13:
			state, lift, note = "scrapped", nil, "Frame bent in the storm of March."
		}
		wear := math.Round((0.4+g.rand.Float64()*2.4)*100) / 100
		rows = append(rows, []any{fmt.Sprintf("%03d", i), lift, state, g.pick([]string{"Type C", "Type C", "Type D"}), wear, 8_000 + g.rand.IntN(52_000), g.day(1500 + g.rand.IntN(4500)), note})
	}
	g.copy(ctx, "tarnhorn", "cabins", []string{"number", "lift_id", "state", "grip_type", "grip_wear_mm", "distance_km", "built_on", "note"}, rows)
}

func (g *generator) inspections(ctx context.Context) {
	var rows, points [][]any
	whats := []string{"Grip force, kN", "Jaw wear, mm", "Door closing time, s", "Damper stroke, mm", "Hanger play, mm"}
	n := 0
	for cabin := 1; cabin <= cabinCount; cabin++ {
		if cabin%29 == 0 && cabin != 87 {
			continue // a spare that was never inspected
		}
		for back := 20 + g.rand.IntN(40); back < 700; back += 150 + g.rand.IntN(80) {
			result, remarks := "passed", any(nil)
			switch r := g.rand.IntN(100); {
			case r < 4:
				result, remarks = "failed", "Taken out until the grip was changed."
			case r < 18:
				result, remarks = "passed with remarks", "Look again at the next round."
			}
			inspector := any(1 + []int{0, 4, 5, 6, 11}[g.rand.IntN(5)])
			if g.rand.IntN(30) == 0 {
				inspector = nil
			}
			rows = append(rows, []any{cabin, inspector, g.day(back), result, remarks})
			n++
			for pos, what := range whats {
				outcome := "good"
				if g.rand.IntN(12) == 0 {
					outcome = "watch"
				}
				points = append(points, []any{n, pos + 1, what, outcome, math.Round(g.rand.Float64()*2400) / 100})
			}
		}
	}
	g.copy(ctx, "tarnhorn", "inspections", []string{"cabin_id", "inspector_id", "done_on", "result", "remarks"}, rows)
	g.copy(ctx, "tarnhorn", "inspection_points", []string{"inspection_id", "pos", "what", "outcome", "measured"}, points)
}

func (g *generator) parts(ctx context.Context) {
	names := []string{"Door edge sensor", "Window seal", "Grip spring", "Grip roller", "Jaw, left", "Jaw, right", "Damper", "Hanger bush", "Sheave liner", "Brake lining", "Fan bearing", "Gate switch", "Conveyor tyre", "Seat bolt set", "Vent flap"}
	var rows [][]any
	for i, name := range names {
		rows = append(rows, []any{fmt.Sprintf("P-%03d", 100+i*7), name, g.rand.IntN(40), 4 + g.rand.IntN(8), math.Round(g.rand.Float64()*40000)/100 + 3})
	}
	g.copy(ctx, "tarnhorn", "parts", []string{"code", "name", "stock", "minimum", "price"}, rows)
}

// firstMira is the defect that the demo's first story begins with: high, hers, on cabin 087.
const firstMira = 107

func (g *generator) defects(ctx context.Context) {
	var rows, used [][]any
	technicians := []any{1, 5, 6, 7, 12}
	for id := 1; id <= 260; id++ {
		if id%17 == 0 {
			continue // a number that was given and taken back
		}
		c := 1 + g.rand.IntN(len(components))
		if g.rand.IntN(3) == 0 {
			c = 1 + g.rand.IntN(6)
		}
		part := components[c-1]
		cabin, lift := any(nil), any(nil)
		if part.area == "cabin" || part.area == "grip" {
			n := 1 + g.rand.IntN(cabinCount)
			cabin = n
			if n <= 60 || n == 87 {
				lift = 1
			} else if n > 88 {
				lift = 2
			}
		} else {
			lift = 1 + g.rand.IntN(3)
		}
		reported := 2 + g.rand.IntN(330)
		state, assigned, due, hours := "closed", technicians[g.rand.IntN(5)], any(g.day(reported-14)), any(math.Round(g.rand.Float64()*80)/10)
		if reported < 70 && g.rand.IntN(3) > 0 {
			hours = nil
			due = g.today.AddDate(0, 0, g.rand.IntN(30)-8)
			switch r := g.rand.IntN(10); {
			case r < 4:
				state, assigned = "open", nil
			case r < 8:
				state = "assigned"
			default:
				state = "waiting for parts"
			}
		}
		severity := []string{"low", "low", "medium", "medium", "high"}[g.rand.IntN(5)]
		what := part.faults[g.rand.IntN(len(part.faults))]
		reportedBy := g.pick([]string{"Mira Holt", "Tomas Lind", "Jon Abeke", "Noor Haddad", "Sela Brandt", "Elif Kaya"})
		if id == firstMira {
			c, what, cabin, lift, state, assigned, severity = 1, "Door edge sensor slow", 87, 1, "assigned", 1, "high"
			reported, due, hours = 9, g.today.AddDate(0, 0, -1), nil
		}
		if id == firstMira-14 {
			c, what, cabin, lift, state, assigned, severity = 2, "Window seal worn", 87, 1, "waiting for parts", 1, "low"
			reported, due, hours = 20, g.today.AddDate(0, 0, 15), nil
		}
		detail := any(nil)
		if g.rand.IntN(3) == 0 || id == firstMira {
			detail = "Seen at the morning round; comes back when it is cold."
		}
		picture := []byte(nil)
		if part.code == "DOR" || id == firstMira {
			if picture, g.err = photo(id); g.err != nil {
				return
			}
		}
		rows = append(rows, []any{id, fmt.Sprintf("D-%d", 2000+id), cabin, lift, c, what, detail, severity, state, assigned, reportedBy, g.day(reported), due, hours, picture})
		if state == "waiting for parts" {
			used = append(used, []any{id, 1 + g.rand.IntN(15), 1 + g.rand.IntN(3)})
		}
	}
	g.copy(ctx, "tarnhorn", "defects", []string{"id", "code", "cabin_id", "lift_id", "component_id", "what", "detail", "severity", "state", "assigned_id", "reported_by", "reported_on", "due_on", "hours", "photo"}, rows)
	g.copy(ctx, "tarnhorn", "defect_parts", []string{"defect_id", "part_id", "quantity"}, used)
	if g.err == nil {
		_, g.err = g.tx.Exec(ctx, `alter table tarnhorn.defects alter column id restart with 261`)
	}
}

func (g *generator) shifts(ctx context.Context) {
	var rows [][]any
	for back := -6; back < 21; back++ {
		for lift := 1; lift <= 3; lift++ {
			start := g.day(back).Add(6 * time.Hour)
			rows = append(rows, []any{[]int{2, 8, 9}[(back+6+lift)%3], lift, start, start.Add(8 * time.Hour)})
		}
		rows = append(rows, []any{[]int{1, 5, 6, 7, 12}[(back+6)%5], nil, g.day(back).Add(7 * time.Hour), g.day(back).Add(16 * time.Hour)})
	}
	g.copy(ctx, "tarnhorn", "shifts", []string{"staff_id", "lift_id", "starts_at", "ends_at"}, rows)
}

func (g *generator) stops(ctx context.Context) {
	var rows [][]any
	causes := []string{"wind", "wind", "technical", "operator", "guest", "guest", "power"}
	for i := 0; i < 140; i++ {
		began := g.day(g.rand.IntN(330)).Add(time.Duration(8*60+g.rand.IntN(9*60)) * time.Minute)
		report, by := any(nil), any(nil)
		if g.rand.IntN(3) > 0 {
			report, by = g.pick([]string{"Line stopped and restarted in creep.", "Guest helped off, no harm.", "Gusts over the limit at the upper towers.", "Reset after the supply came back."}), any(1+[]int{1, 7, 8}[g.rand.IntN(3)])
		}
		rows = append(rows, []any{1 + g.rand.IntN(3), began, began.Add(time.Duration(1+g.rand.IntN(50)) * time.Minute), g.pick(causes), report, by})
	}
	g.copy(ctx, "tarnhorn", "stops", []string{"lift_id", "began_at", "ended_at", "cause", "report", "written_by"}, rows)
}

func (g *generator) ridership(ctx context.Context) {
	var rows [][]any
	for back := 0; back < 730; back++ {
		day := g.day(back)
		season := 0.35 + 0.65*math.Pow(math.Cos(float64(day.YearDay())/365*2*math.Pi), 2)
		if wd := day.Weekday(); wd == time.Saturday || wd == time.Sunday {
			season *= 1.5
		}
		for hour := 8; hour < 17; hour++ {
			peak := math.Exp(-math.Pow(float64(hour)-11.5, 2) / 14)
			for lift := 1; lift <= 3; lift++ {
				n := season * peak * []float64{1400, 1200, 700}[lift-1] * (0.75 + g.rand.Float64()*0.5)
				rows = append(rows, []any{lift, day.Add(time.Duration(hour) * time.Hour), int(n)})
			}
		}
	}
	g.copy(ctx, "tarnhorn", "ridership", []string{"lift_id", "hour", "riders"}, rows)
}

func (g *generator) wind(ctx context.Context) {
	var rows [][]any
	for lift := 1; lift <= 3; lift++ {
		mean := 5.0
		for at := g.day(31); at.Before(g.today); at = at.Add(10 * time.Minute) {
			mean = math.Max(0.5, mean+(5-mean)*0.03+g.rand.NormFloat64()*0.5)
			gust := mean * (1.2 + g.rand.Float64()*0.5)
			rows = append(rows, []any{lift, at, math.Round(math.Min(mean, 40)*10) / 10, math.Round(math.Min(gust, 60)*10) / 10})
		}
	}
	g.copy(ctx, "tarnhorn", "wind", []string{"lift_id", "at", "mean", "gust"}, rows)
}

func (g *generator) orders(ctx context.Context) {
	g.copy(ctx, "stores", "suppliers", []string{"name", "town"}, [][]any{{"Corrin Ropeworks", "Valden"}, {"Moss & Daughter", "Tarn Village"}, {"Hesk Bearings", "Ostrand"}})
	var orders, lines [][]any
	for i := 1; i <= 40; i++ {
		orders = append(orders, []any{fmt.Sprintf("O-%d", 500+i*3), 1 + g.rand.IntN(3), g.day(g.rand.IntN(300)), g.pick([]string{"draft", "sent", "delivered", "delivered"}), nil})
		for j, n := 0, 1+g.rand.IntN(3); j < n; j++ {
			lines = append(lines, []any{i, fmt.Sprintf("P-%03d", 100+7*((i+j*4)%15)), 1 + g.rand.IntN(12), math.Round(g.rand.Float64()*30000)/100 + 2})
		}
	}
	g.copy(ctx, "stores", "orders", []string{"code", "supplier_id", "ordered_on", "state", "note"}, orders)
	g.copy(ctx, "stores", "order_lines", []string{"order_id", "part", "quantity", "price"}, lines)
}
