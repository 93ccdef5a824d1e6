// Package metrics counts and times what a server does, in the form that Prometheus reads. Nothing in it names a person,
// a record or a value.
package metrics

import (
	"net/http"
	"strconv"
	"time"

	"github.com/jackc/pgx/v5/pgxpool"
	"github.com/prometheus/client_golang/prometheus"
	"github.com/prometheus/client_golang/prometheus/collectors"
	"github.com/prometheus/client_golang/prometheus/promhttp"
)

// Metrics is what one server counts. Safe for use by many at once.
type Metrics struct {
	all      *prometheus.Registry
	requests *prometheus.HistogramVec
	presses  *prometheus.CounterVec
	trail    prometheus.Counter
	streams  *prometheus.GaugeVec
	commands *prometheus.HistogramVec
	findings prometheus.Histogram
}

// fine are the limits, in seconds, of what people wait for.
var fine = []float64{.001, .0025, .005, .01, .025, .05, .1, .25, .5, 1, 2.5, 5, 10}

// New begins to count.
func New() *Metrics {
	m := &Metrics{
		all:      prometheus.NewRegistry(),
		requests: prometheus.NewHistogramVec(prometheus.HistogramOpts{Name: "ambergate_request_seconds", Help: "How long calls took, by call, method and status.", Buckets: fine}, []string{"call", "method", "status"}),
		presses:  prometheus.NewCounterVec(prometheus.CounterOpts{Name: "ambergate_presses_total", Help: "Presses by what they came to: moved, stayed, question, or the code of a no."}, []string{"outcome"}),
		trail:    prometheus.NewCounter(prometheus.CounterOpts{Name: "ambergate_trail_places_total", Help: "Places that trails went on to."}),
		streams:  prometheus.NewGaugeVec(prometheus.GaugeOpts{Name: "ambergate_streams", Help: "Event streams that are open, of users and of builders."}, []string{"of"}),
		commands: prometheus.NewHistogramVec(prometheus.HistogramOpts{Name: "ambergate_plant_command_seconds", Help: "How long a plant took to answer a command, by its connection and what came of it.", Buckets: fine}, []string{"plant", "outcome"}),
		findings: prometheus.NewHistogram(prometheus.HistogramOpts{Name: "ambergate_findings_seconds", Help: "How long the checks of a draft took.", Buckets: fine}),
	}
	m.all.MustRegister(m.requests, m.presses, m.trail, m.streams, m.commands, m.findings, collectors.NewGoCollector(), collectors.NewProcessCollector(collectors.ProcessCollectorOpts{}))
	return m
}

// Request notes a call that was answered. The call is as the API document names it, “other” for none of them.
func (m *Metrics) Request(call, method string, status int, took time.Duration) {
	if call == "" {
		call = "other"
	}
	m.requests.WithLabelValues(call, method, strconv.Itoa(status)).Observe(took.Seconds())
}

// Press notes what a press came to.
func (m *Metrics) Press(outcome string) { m.presses.WithLabelValues(outcome).Inc() }

// Went notes a place that a trail went on to.
func (m *Metrics) Went() { m.trail.Inc() }

// Stream notes an event stream that opened; what is given notes that it closed.
func (m *Metrics) Stream(of string) (closed func()) {
	g := m.streams.WithLabelValues(of)
	g.Inc()
	return g.Dec
}

// Command notes what came of a command to a plant.
func (m *Metrics) Command(plant, outcome string, took time.Duration) {
	m.commands.WithLabelValues(plant, outcome).Observe(took.Seconds())
}

// Findings notes how long the checks of a draft took.
func (m *Metrics) Findings(took time.Duration) { m.findings.Observe(took.Seconds()) }

// Live lets something be asked whenever the metrics are read.
func (m *Metrics) Live(name, help string, labels map[string]string, now func() float64) {
	m.all.MustRegister(prometheus.NewGaugeFunc(prometheus.GaugeOpts{Name: "ambergate_" + name, Help: help, ConstLabels: labels}, now))
}

// Pool lets the connections of a pool be counted, by the name of what it leads to.
func (m *Metrics) Pool(name string, pool func() *pgxpool.Stat) {
	of := map[string]string{"database": name}
	m.Live("connections_used", "Connections to a database that are in use.", of, func() float64 { return float64(pool().AcquiredConns()) })
	m.Live("connections_open", "Connections to a database that are open.", of, func() float64 { return float64(pool().TotalConns()) })
	m.Live("connections_most", "Connections to a database that there may be.", of, func() float64 { return float64(pool().MaxConns()) })
	m.Live("connections_waited_seconds", "How long was waited for connections to a database, in all.", of, func() float64 { return pool().EmptyAcquireWaitTime().Seconds() })
}

// Handler answers in the form that Prometheus reads.
func (m *Metrics) Handler() http.Handler {
	return promhttp.HandlerFor(m.all, promhttp.HandlerOpts{Registry: m.all})
}
