package cond

// Calling gives a tree whose phrase calls records that are written by their keys, like key("12"),
// by what a function of table and key says; "" leaves the key. The tree itself stays as it is, and
// is given back where it names no record.
func (n *Node) Calling(name func(table, key string) string) *Node {
	if n == nil || len(n.Args) == 0 || n.Op == OpNamed {
		return n
	}
	var args []*Node
	put := func(i int, a *Node) {
		if a == n.Args[i] {
			return
		}
		if args == nil {
			args = append(args, n.Args...)
		}
		args[i] = a
	}
	table := n.comparedTable()
	for i, a := range n.Args {
		switch {
		case table == "":
			put(i, a.Calling(name))
		case a.Op == OpList:
			list := *a
			list.Args = make([]*Node, len(a.Args))
			for k, item := range a.Args {
				list.Args[k] = item.calledIn(table, name)
			}
			put(i, &list)
		default:
			put(i, a.calledIn(table, name))
		}
	}
	if args == nil {
		return n
	}
	other := *n
	other.Args = args
	return &other
}

// comparedTable gives the table whose records a comparison is about; "" when it is about something else.
func (n *Node) comparedTable() string {
	if n.Op != OpEq && n.Op != OpNe && n.Op != OpIn {
		return ""
	}
	for _, a := range n.Args {
		if a.Op == OpPath && a.Type.Kind == Record {
			return a.Type.Table
		}
	}
	return ""
}

// calledIn gives a constant that is a record of the table the name it is to be called by.
func (n *Node) calledIn(table string, name func(table, key string) string) *Node {
	if n.Op != OpConst || n.Const.IsNull() {
		return n
	}
	title := name(table, n.Const.KeyOf())
	if title == "" {
		return n
	}
	other := *n
	other.Source = title
	return &other
}
