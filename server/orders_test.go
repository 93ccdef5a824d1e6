package server_test

import (
	"net/http"
	"strings"
	"testing"

	"ambergate/api"
)

func TestOrdersOfATableWithTheirIndexes(t *testing.T) {
	p := as(t, "arno")
	var stops api.TableOrders
	p.must("GET", "/api/build/tarnhorn/orders/t_stops", nil, &stops)
	if len(stops.Orders) == 0 || stops.Orders[0].Words != "began, newest first" || stops.Orders[0].Index != nil ||
		stops.Orders[0].Would == nil || *stops.Orders[0].Would != `create index on "tarnhorn"."stops" ("began_at" desc, "id")` {
		t.Errorf("%+v", stops)
	}
	var inspections api.TableOrders
	p.must("GET", "/api/build/tarnhorn/orders/t_inspections", nil, &inspections)
	found := false
	for _, o := range inspections.Orders {
		if o.Of != nil && *o.Of == "cabin" {
			found = o.Index != nil && strings.HasPrefix(*o.Index, "inspections_cabin_id")
		}
	}
	if !found {
		t.Errorf("those of a cabin: %+v", inspections)
	}
	p.refused("GET", "/api/build/tarnhorn/orders/t_gone", nil, http.StatusNotFound, "no-table")
	as(t, "mira").refused("GET", "/api/build/tarnhorn/orders/t_stops", nil, http.StatusForbidden, "no-builder")
}
