package main

// breaks are the promises of the program, each broken once: what is promised, where, how it is broken, and which
// tests have to see it.
var breaks = []oneBreak{
	// Presses: exactly once, by who made them, as the newest release says.
	{"a press is done once", "records/press.go", "if tag.RowsAffected() == 0 {\n\t\toutcome, err := stored", "if false && tag.RowsAffected() == 0 {\n\t\toutcome, err := stored", "./records ./server", "Once|Again|Twice"},
	{"a press id belongs to one person and one content", "records/press.go", `if user != press.User || content != press.Content {`, `if false && user+content != "" {`, "./records ./server", "Press"},
	{"a press that fails changes nothing", "records/press.go", "\tresult, err := run(&Press{Reader: Reader{db: tx, project: p, within: true}, tx: tx})\n\tif err != nil {\n\t\treturn nil, false, err\n\t}", "\tresult, err := run(&Press{Reader: Reader{db: tx, project: p, within: true}, tx: tx})\n\tif err != nil {\n\t\t_ = tx.Commit(ctx)\n\t\treturn nil, false, err\n\t}", "./records ./server", "Press|Conflict|Question|Several"},
	{"a clash of presses is tried again", "records/press.go", `if err == nil || try == Tries || !isOneOf(err, triedAgain) {`, `if err == nil || try > 0 {`, "./records", "Press"},
	{"a press that writes from a screen that was left is refused", "server/use/press.go", `if at.At != at.N && !v.App.OnLeaving(place.Screen, req.Element) {`, `if at.At < 0 {`, "./server", "Left|Trail|Press"},
	{"what is wired otherwise by now does nothing", "server/use/press.go", `if drawn == 0 || drawn >= v.release {`, `if drawn >= 0 {`, "./server", "OlderRelease"},
	{"the tab's word never makes a screen younger", "server/use/press.go", `drawn := at.Release // the tab's word can only make it older`, `drawn := req.Release`, "./server", "OlderRelease"},
	{"only fields that are shown to be changed are taken", "core/press/typed.go", `		if f == nil {
			return nil, ask.Refuse("no-grant"`, `		if f == nil {
			f = r.Table().Fields[field]
		}
		if f == nil {
			return nil, ask.Refuse("no-grant"`, "./core/... ./server", "."},
	{"the same field changed by two people is put to the user", "core/press/typed.go", `if row == nil || row.Version == r.press.Version {`, `if true {`, "./core/... ./server", "."},
	{"nobody changes a record into one that is not theirs", "core/press/keep.go", "\tif rule == nil {\n\t\treturn nil\n\t}", "\tif rule != nil || also == nil {\n\t\treturn nil\n\t}", "./core/... ./server", "."},
	{"nobody refers to a record they do not see", "core/press/keep.go", `if len(wrong) > 0 {`, `if len(wrong) > 100 {`, "./core/... ./server", "."},
	{"a question that was never put is not answered", "core/press/question.go", `return p.Answered == nil || p.Answered[q.Digest()]`, `return true || p.Answered[q.Digest()]`, "./core/... ./server", "."},
	// The trail: the server's, each place once, nobody else's.
	{"a press puts one place on the trail", "store/trails.go", `known as (select n from place where trail = $1 and press = nullif($6::text, '')),`, `known as (select n from place where false and $6 = ''),`, "./store ./server", "Append|Once|Again"},
	{"a trail is its person's", "store/visit.go", `where t.id = ` + "` + trail + `" + ` and t.account = ` + "` + account + `", `where t.id = ` + "` + trail + `" + ` and ` + "` + account + `" + ` is not null`, "./store ./server", "Trail|Visit|Else|Place"},
	{"what is gone or shut is passed over", "server/use/along.go", `passed = append(passed, at.Title)`, `if len(passed) == 0 {
			return nil, err
		}`, "./server", "."},
	// Commands: at most once, never late, told.
	{"a command is not sent late", "store/commands.go", `sentWithin    = "2 seconds"`, `sentWithin    = "2 hours"`, "./store", "."},
	{"a command that was sent before a crash is told as unknown", "store/commands.go", `case state when 'sent' then 'unknown' else 'expired' end`, `'expired'`, "./store ./demo/stage", "Command|Killed"},
	{"a press that was done before sends nothing", "store/commands.go", "\t\tif late {\n\t\t\tstate = \"expired\"\n\t\t}", "", "./store", "."},
	{"one press has a tag", "store/commands.go", `where k.press = excluded.press or k.until < now()`, `where true`, "./store", "."},
	{"a tag is given back", "server/use/commands.go", "if err := st.GiveBack(ctx, press); err != nil {", "if err := error(nil); err != nil {", "./server", "."},
	{"a command is marked before it is sent", "store/commands.go", `and state = 'intended' returning state`, `returning state`, "./store ./server", "Command|Plant|Sent"},
	// Drafts.
	{"a draft that another tab took over is not written over", "store/forms_and_lists.go", `where not exists (select from draft where account = $2 and id = $11 and tab <> $4)`, `where $11 is not null`, "./store ./server", "Draft|Taken|Typed"},
	{"a draft is its person's", "store/forms_and_lists.go", "delete from draft where id = $1 and account = $2", "delete from draft where id = $1 and $2 <> ''", "./store ./server", "Draft|Forg"},
	{"what is secret is never kept", "server/use/drafts.go", `f == nil || f.Secret {`, `f == nil {`, "./server", "."},
	// Rights.
	{"hidden fields are hidden everywhere", "core/rights/rights.go", `if !grant.View || grant.Hidden[part] {`, `if !grant.View {`, "./core/... ./server", "."},
	{"row rules hold in every query", "records/match.go", `for _, rule := range []*cond.Pred{q.Rights.Visible(q.Table.ID), q.Also} {`, `for _, rule := range []*cond.Pred{q.Also} {`, "./records ./server", "."},
	{"guards protect screens", "core/use/open.go", `	v := o.Plan.Guard.Root.Eval(o.World)
	if v.Known() && v.True() {`, `	v := o.Plan.Guard.Root.Eval(o.World)
	if !v.Known() || v.True() {`, "./core/use ./server", "."},
	{"only who administers gives roles", "server/build/rights.go", `err = b.administers()`, `err = nil`, "./server", "RightOfItsOwn"},
	{"only who builds an application changes it", "server/build/side.go", `if !account.Builds {`, `if !account.Builds && account.ID == "" {`, "./server", "TestUsersDoNotBuild|TestGiving"},
	{"another application's screens are reached only where it offers them", "core/kinds/move/project.go", `if s == nil || !s.Offered {`, `if s == nil {`, "./core/...", "."},
	// Signing in.
	{"guesses are counted before they are made", "store/passwords.go", `where g.blocked_until is null or g.blocked_until <= $2`, `where true`, "./store", "."},
	{"an idle session ends", "store/sessions.go", `sessionIdle   = 4 * time.Hour`, `sessionIdle   = 40 * time.Hour`, "./store", "."},
	{"a new sign-in ends the old session of the browser", "store/issued.go", "{`delete from session where token_hash = $1`, []any{tokenHash(e.Session)}},", "", "./store", "."},
	// Streams.
	{"a stream ends with its release", "server/use/events.go", `if release != v.release {`, `if release < 0 {`, "./server", "Stream"},
	{"a stream ends when its place is shut", "server/use/events.go", `answer.IsRefusal(err) {`, `err == nil && answer.IsRefusal(err) {`, "./server", "Stream"},
	{"a build stream ends with its session", "server/build/events.go", `if _, err := s.Building(c, slug); err != nil {`, `if _, err := s.Building(c, slug); err != nil && slug == "" {`, "./server", "Stream"},
	// What is asked and brought.
	{"null stands nowhere in a document", "core/project/legal/legal.go", `case 'n':`, `case 0:`, "./core/project ./core/check", "."},
	{"an address asks for no more than anybody needs", "core/place/limits.go", `len(strings.Fields(p.Find)) > MaxWords`, `false`, "./core/place", "."},
	{"a person has a share", "server/bounds/shares.go", `own = &share{places: make(chan struct{}, s.most)}`, `own = &share{places: make(chan struct{}, 1000)}`, "./server/bounds", "."},
	{"drawings only show", "server/build/svg.go", `case strings.HasPrefix(name, "on"):`, `case false:`, "./server/build", "."},
}
