package server_test

import (
	"net/http"
	"slices"
	"strings"
	"testing"
	"time"

	"ambergate/api"
	"ambergate/core/patch"
	"ambergate/core/propose"
	"ambergate/demo/stage"
	"ambergate/plant/sim"
)

func atPlant(more map[string]any) map[string]any {
	at := map[string]any{"endpoint": up.Sim.Endpoint(), "namespace": sim.Namespace, "security": "off", "policy": "", "login": "", "trusted": ""}
	for k, v := range more {
		at[k] = v
	}
	return map[string]any{"name": "Ropeway controllers", "plant": at}
}

func TestAPlantIsAddedTriedAndBrowsed(t *testing.T) {
	p := keyed(t)
	for what, c := range map[string]struct {
		more map[string]any
		code string
	}{
		"nobody there": {map[string]any{"endpoint": "opc.tcp://127.0.0.1:1"}, "no-plant"}, "no such namespace": {map[string]any{"namespace": "urn:none"}, "no-namespace"},
		"a safety that it does not offer": {map[string]any{"security": "encrypted"}, "plant-offers-not"},
	} {
		var tried api.Tried
		p.must("POST", "/api/connections/try", atPlant(c.more), &tried)
		if tried.No == nil || tried.No.Code != c.code || tried.No.Then == nil {
			t.Errorf("%s: %+v", what, tried.No)
		}
	}
	for part, more := range map[string]map[string]any{"endpoint": {"endpoint": "http://127.0.0.1"}, "security": {"security": "perhaps"}, "policy": {"policy": "Basic128Rsa15"}, "login": {"login": "operator"}} {
		status, body := p.call("POST", "/api/connections/try", atPlant(more))
		if status != http.StatusUnprocessableEntity || !strings.Contains(string(body), `"`+part+`"`) {
			t.Errorf("a wrong %s: %d %s", part, status, body)
		}
	}
	var tried api.Tried
	p.must("PUT", "/api/connections/Ropeway%20controllers", atPlant(nil), &tried)
	if tried.No != nil || !slices.Contains(tried.Plant.Namespaces, sim.Namespace) {
		t.Fatalf("%+v %+v", tried.No, tried.Plant)
	}
	t.Cleanup(func() { p.must("DELETE", "/api/connections/Ropeway%20controllers", nil, nil) })
	reached := func() bool {
		var all []api.ConnectionInfo
		p.must("GET", "/api/connections", nil, &all)
		i := slices.IndexFunc(all, func(c api.ConnectionInfo) bool { return c.Name == "Ropeway controllers" })
		return i >= 0 && all[i].Good && all[i].Kind == "plant" && all[i].Where == up.Sim.Endpoint()
	}
	for end := time.Now().Add(30 * time.Second); !reached(); time.Sleep(50 * time.Millisecond) {
		if time.Now().After(end) {
			t.Fatal("a plant that was added is not reached")
		}
	}
	var nodes api.PlantNodes
	p.must("GET", "/api/connections/Ropeway%20controllers/nodes?below=/Ropeway/UT/drive", nil, &nodes)
	i := slices.IndexFunc(nodes.Nodes, func(n api.PlantNode) bool { return n.Name == "set_speed" })
	if i < 0 || nodes.Nodes[i].Path != "/Ropeway/UT/drive/set_speed" || !nodes.Nodes[i].Writable || *nodes.Nodes[i].Unit != "m/s" || *nodes.Nodes[i].High != 6 {
		t.Errorf("%+v", nodes)
	}
	p.must("GET", "/api/connections/Ropeway%20controllers/nodes?words=gust+ut", nil, &nodes)
	if len(nodes.Nodes) == 0 || nodes.Nodes[len(nodes.Nodes)-1].Path != "/Ropeway/UT/wind/gust" && nodes.Nodes[0].Path != "/Ropeway/UT/scenario/gust" {
		t.Errorf("searched: %+v", nodes)
	}
	if status, body := p.call("GET", "/api/connections/none/nodes", nil); status != http.StatusForbidden || !strings.Contains(string(body), "no-source") {
		t.Errorf("no such plant: %d %s", status, body)
	}
	var shown api.ShownCertificate
	p.must("GET", "/api/plants/certificate", nil, &shown)
	if shown.Pem == nil || strings.Contains(*shown.Pem, "PRIVATE") || shown.Fingerprint == "" {
		t.Errorf("%+v", shown)
	}
	if status, body := p.call("PUT", "/api/connections/Ropeway%20controllers", at5432(nil)); status != http.StatusConflict {
		t.Errorf("a database by the name of a plant: %d %s", status, body)
	}
}

// The folders of the demo’s plant find its lifts by their codes, and what they are now is told.
func TestEquipmentIsProposedAndReadNow(t *testing.T) {
	keyed(t)
	p := as(t, "arno")
	var out propose.Equipment
	p.must("POST", "/api/build/tarnhorn/equipment", map[string]any{"as": "role:r_lead", "wish": map[string]any{"connection": "ropeway", "path": "/Ropeway"}}, &out)
	if len(out.Folders) != len(stage.Lifts) || out.Chosen == nil || out.Chosen.Table != "t_lifts" || out.Chosen.Field != "f_code" || len(out.Chosen.Pairs) != len(stage.Lifts) {
		t.Fatalf("%v %+v", out.Folders, out.Chosen)
	}
	if i := slices.IndexFunc(out.Values, func(v propose.EquipmentValue) bool { return v.Way == "drive/set_speed" }); i < 0 || !out.Values[i].Writable || out.Values[i].Unit != "m/s" {
		t.Errorf("%+v", out.Values)
	}
	for what, body := range map[string]map[string]any{
		"no such plant":     {"as": "role:r_lead", "wish": map[string]any{"connection": "none", "path": "/Ropeway"}},
		"no such folder":    {"as": "role:r_lead", "wish": map[string]any{"connection": "ropeway", "path": "/Nowhere"}},
		"nobody to walk as": {"as": "role:r_none", "wish": map[string]any{"connection": "ropeway", "path": "/Ropeway"}},
	} {
		if status, answer := p.call("POST", "/api/build/tarnhorn/equipment", body); status == http.StatusOK || status >= 500 {
			t.Errorf("%s: %d %s", what, status, answer)
		}
	}
	read := func() map[string]api.TagNow {
		var now []api.TagNow
		p.must("GET", "/api/build/tarnhorn/equipment/t_lifts?record=1&as=role:r_lead", nil, &now)
		byTag := map[string]api.TagNow{}
		for _, n := range now {
			byTag[n.Tag] = n
		}
		return byTag
	}
	for end := time.Now().Add(30 * time.Second); ; time.Sleep(100 * time.Millisecond) {
		now := read()
		if now["g_gates"].Value != nil && *now["g_gates"].Value == "true" && now["g_gates"].Node == "UT.drive.gates" && now["g_gates"].At != nil {
			break
		}
		if time.Now().After(end) {
			t.Fatalf("%+v", now)
		}
	}
}

// Who builds one application browses the plants that it is over, and no other; who builds everywhere browses all.
func TestABuilderBrowsesThePlantsOfTheApplication(t *testing.T) {
	nora := keyed(t)
	nora.must("PUT", "/api/connections/Ropeway%20controllers", atPlant(nil), nil)
	t.Cleanup(func() { nora.must("DELETE", "/api/connections/Ropeway%20controllers", nil, nil) })
	arno := as(t, "arno")
	var names []string
	arno.must("GET", "/api/build/tarnhorn/plants", nil, &names)
	if !slices.Equal(names, []string{"ropeway"}) {
		t.Errorf("of the application: %q", names)
	}
	var nodes api.PlantNodes
	arno.must("GET", "/api/build/tarnhorn/plants/ropeway/nodes?below=/Ropeway", nil, &nodes)
	if len(nodes.Nodes) != len(stage.Lifts) {
		t.Errorf("%+v", nodes)
	}
	other := map[string]any{"as": "role:r_lead", "wish": map[string]any{"connection": "Ropeway controllers", "path": "/Ropeway"}}
	arno.refused("GET", "/api/build/tarnhorn/plants/Ropeway%20controllers/nodes", nil, http.StatusForbidden, "no-source")
	arno.refused("POST", "/api/build/tarnhorn/equipment", other, http.StatusForbidden, "no-source")
	nora.must("GET", "/api/build/tarnhorn/plants", nil, &names)
	if !slices.Equal(names, []string{"Ropeway controllers", "ropeway"}) {
		t.Errorf("of who builds everywhere: %q", names)
	}
}

// A single value is taken in by the edit that is proposed, and read on its own; who builds one application takes
// none of a plant that it is not over.
func TestASingleValueIsTakenInAndReadNow(t *testing.T) {
	keyed(t)
	p := as(t, "arno")
	at := map[string]any{"connection": "ropeway", "path": "/Ropeway/UT/wind/gust"}
	var out propose.PlantTag
	p.must("POST", "/api/build/tarnhorn/tags", at, &out)
	if out.ID == "" || len(out.Patch) != 1 || !strings.Contains(out.Words, "Gust") {
		t.Fatalf("%+v", out)
	}
	p.refused("POST", "/api/build/tarnhorn/tags", map[string]any{"connection": "none", "path": "/Ropeway/UT/wind/gust"}, http.StatusForbidden, "no-source")
	for _, path := range []string{"/Ropeway/UT/wind", "/Ropeway/UT/wind/none", "/nowhere/at/all", "", "/"} {
		if status, answer := p.call("POST", "/api/build/tarnhorn/tags", map[string]any{"connection": "ropeway", "path": path}); status == http.StatusOK || status >= 500 {
			t.Errorf("%q: %d %s", path, status, answer)
		}
	}
	p.must("POST", "/api/build/tarnhorn/edits", map[string]any{"patch": out.Patch}, nil)
	t.Cleanup(func() {
		p.must("POST", "/api/build/tarnhorn/edits", map[string]any{"patch": []patch.Op{{Op: "remove", Path: "/" + out.ID}}}, nil)
	})
	for end := time.Now().Add(30 * time.Second); ; time.Sleep(100 * time.Millisecond) {
		var now []api.TagNow
		p.must("GET", "/api/build/tarnhorn/tags", nil, &now)
		if slices.ContainsFunc(now, func(n api.TagNow) bool {
			return n.Tag == out.ID && n.Value != nil && n.Node == "/Ropeway/UT/wind/gust"
		}) {
			break
		}
		if time.Now().After(end) {
			t.Fatalf("%+v", now)
		}
	}
}
