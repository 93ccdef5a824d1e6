package plan

// Keeping splits what a press set: what the tab keeps, and what the place does.
func (a *App) Keeping(set map[string]string) (tab, place map[string]string) {
	tab, place = map[string]string{}, map[string]string{}
	for id, wire := range set {
		if v := a.Project.Variables[id]; v != nil && v.Screen != "" {
			place[id] = wire
		} else {
			tab[id] = wire
		}
	}
	return tab, place
}
