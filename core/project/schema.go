package project

import "ambergate/core/cond"

// InputsGroup names the group of a screen's inputs in the schema of conditions.
func InputsGroup(screen string) string { return "inputs." + screen }

// Schema gives the names that the project's expressions may use: tables with their
// relations and equipment, the inputs of each screen, the user, values of the plant.
func (p *Project) Schema() *cond.Schema {
	var groups []*cond.Group
	for id, t := range p.Tables {
		g := &cond.Group{ID: id, Label: t.Label}
		for _, f := range Ordered(t.Fields) {
			g.Fields = append(g.Fields, cond.Field{ID: f.ID, Alias: f.Alias, Label: f.Label, Type: f.TypeOf()})
		}
		g.Fields = append(g.Fields, p.tallyFields(t)...)
		g.Fields = append(g.Fields, p.conditionFields(id)...)
		if e := p.EquipmentOf(id); e != nil {
			g.Fields = append(g.Fields, cond.Field{ID: EquipField, Alias: EquipField, Type: cond.Type{Kind: cond.Object, Table: e.ID}})
			groups = append(groups, equipmentGroups(e)...)
		}
		groups = append(groups, g)
	}
	for id, s := range p.Screens {
		g := &cond.Group{ID: InputsGroup(id), Label: s.Title}
		for _, in := range Ordered(s.Inputs) {
			g.Fields = append(g.Fields, cond.Field{ID: in.ID, Alias: in.Alias, Label: in.Label, Type: in.TypeOf()})
		}
		groups = append(groups, g)
	}
	for id, shared := range p.Gates {
		g := &cond.Group{ID: InputsGroup(id), Label: shared.Name}
		for _, in := range Ordered(shared.Inputs) {
			g.Fields = append(g.Fields, cond.Field{ID: in.ID, Alias: in.Alias, Label: in.Label, Type: in.TypeOf()})
		}
		groups = append(groups, g)
	}
	groups = append(append(groups, p.varsGroups()...), p.tagGroup())
	user := &cond.Group{ID: "user", Label: "user", Fields: []cond.Field{
		{ID: "name", Alias: "name", Label: "name", Type: cond.Type{Kind: cond.Text}},
		{ID: "login", Alias: "login", Label: "sign-in name", Type: cond.Type{Kind: cond.Text}},
	}}
	if t := p.Tables[p.Settings.UserTable]; t != nil {
		user.Fields = append(user.Fields, cond.Field{ID: "record", Alias: "record", Label: "record", Type: cond.Type{Kind: cond.Record, Table: t.ID, Nullable: true}})
	}
	user.Fields = append(user.Fields, p.conditionFields("user")...)
	groups = append(groups, user)
	var roles []cond.Role
	for _, r := range Ordered(p.Roles) {
		roles = append(roles, cond.Role{ID: r.ID, Name: r.Name})
	}
	schema := cond.NewSchema(groups, roles)
	schema.Named = p.named()
	return schema
}

func equipmentGroups(e *Equipment) []*cond.Group {
	whole := &cond.Group{ID: e.ID, Label: "equipment"}
	groups := []*cond.Group{whole}
	for _, part := range Ordered(e.Parts) {
		id := e.ID + "." + part.ID
		whole.Fields = append(whole.Fields, cond.Field{ID: part.ID, Alias: part.Alias, Label: part.Label, Type: cond.Type{Kind: cond.Object, Table: id}})
		g := &cond.Group{ID: id, Label: part.Label}
		for _, t := range Ordered(part.Tags) {
			g.Fields = append(g.Fields, cond.Field{ID: t.ID, Alias: t.Alias, Label: t.Label, Type: t.typeOf()})
		}
		groups = append(groups, g)
	}
	return groups
}

// CallUpScope gives the names that a call-up's condition may start with: the record it is asked of, and the plant.
func (p *Project) CallUpScope(table string) cond.Scope {
	scope := cond.Scope{}
	p.scopeTags(scope)
	if p.Tables[table] != nil {
		scope["record"] = table
	}
	return scope
}

// RowScope gives the names that a row rule, a shared condition or a figure's condition may start
// with: the record it is asked of, and the user.
func (p *Project) RowScope(table string) cond.Scope {
	if p.Tables[table] == nil {
		return cond.Scope{"user": "user"}
	}
	return cond.Scope{"record": table, "user": "user"}
}

// GateScope gives the names an expression of a shared gate may start with: its inputs, the user,
// the variables of the project and the values of the plant.
func (p *Project) GateScope(g *SharedGate) cond.Scope {
	scope := cond.Scope{"user": "user"}
	if len(g.Inputs) > 0 {
		scope["inputs"] = InputsGroup(g.ID)
	}
	p.scopeVars(scope, "")
	p.scopeTags(scope)
	return scope
}

// Scope gives the names an expression on a screen may start with. rowTable is the table of
// the list it belongs to, or "".
func (p *Project) Scope(s *Screen, rowTable string) cond.Scope {
	scope := cond.Scope{"user": "user"}
	if len(s.Inputs) > 0 {
		scope["inputs"] = InputsGroup(s.ID)
	}
	p.scopeVars(scope, s.ID)
	p.scopeTags(scope)
	if t := s.RecordTable(); p.Tables[t] != nil {
		scope["record"] = t
	}
	if p.Tables[rowTable] != nil {
		scope["row"] = rowTable
	}
	return scope
}
