package element

import (
	"fmt"
	"regexp"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// TextView is a text as it is drawn.
type TextView struct {
	Words  string              `json:"words"`
	Style  string              `json:"style"`
	Size   string              `json:"size,omitempty"`
	Weight string              `json:"weight,omitempty"`
	Rich   bool                `json:"rich,omitempty"` // it is Markdown; what was put into its braces is escaped
	Links  map[string]LinkView `json:"links,omitempty"`
}

// LinkView is a link of a text that is a way.
type LinkView struct {
	Open   bool   `json:"open,omitempty"`
	Reason string `json:"reason,omitempty"`
	Href   string `json:"href,omitempty"`
}

// TextLink is a way that starts at words of a text: [words](id).
type TextLink struct {
	project.Item
	Gate *project.Gate `json:"gate"`
}

// LinkTrigger names the trigger of a link.
func LinkTrigger(id string) string { return "link." + id }

// Text is a text on a screen: plain words, or some Markdown (CommonMark): headings, emphasis, lists, links that are ways.
type Text struct {
	project.ElementHead
	use.NothingToFetch
	Words  string               `json:"words"`                                                          // template
	Style  string               `json:"style,omitempty" jsonschema:"enum=plain,enum=heading,enum=note"` // plain (default), heading, note
	Size   string               `json:"size,omitempty" jsonschema:"enum=small,enum=large,enum=huge"`    // as its style has it, if none is said
	Weight string               `json:"weight,omitempty" jsonschema:"enum=light,enum=bold"`
	Links  map[string]*TextLink `json:"links,omitempty"`
}

// Validate refuses styles that do not exist, and links that lead nowhere.
func (spec *Text) Validate() error {
	for id, l := range spec.Links {
		if l == nil || l.Gate == nil {
			return fmt.Errorf("link %s needs a gate", id)
		}
		l.ID = id
	}
	if err := project.OneOf("size", spec.Size, "", "small", "large", "huge"); err != nil {
		return err
	}
	if err := project.OneOf("weight", spec.Weight, "", "light", "bold"); err != nil {
		return err
	}
	return project.OneOf("style", spec.Style, "", "plain", "heading", "note")
}

// Gates gives those of its links.
func (spec *Text) Gates() map[string]*project.Gate {
	var all map[string]*project.Gate
	for id, l := range spec.Links {
		if all == nil {
			all = map[string]*project.Gate{}
		}
		all[LinkTrigger(id)] = l.Gate
	}
	return all
}

// LinkWords gives the words of a link; "" where the text has it no more.
func (spec *Text) LinkWords(id string) string {
	if m := regexp.MustCompile(`\[([^\]]*)\]\(` + regexp.QuoteMeta(id) + `\)`).FindStringSubmatch(spec.Words); m != nil {
		return m[1]
	}
	return ""
}

// FitsRails says that it can stand on rails.
func (*Text) FitsRails() {}

// Called names it.
func (*Text) Called(plan.Scene, *plan.Element) string { return "text" }

func (spec *Text) Plan(b *plan.Planner) {
	b.Element.Texts["words"] = b.Template("words", spec.Words)
}

// NewView gives an empty view of it.
func (*Text) NewView() any { return &TextView{} }

// markup is what makes a text Markdown, outside of its braces.
var (
	markup  = regexp.MustCompile(`(?m)\*\S|_\S|^#{1,4} |^[-*] |^\d+\. |\]\(|\n`)
	inside  = regexp.MustCompile(`\{[^{}]*\}`)
	escaped = strings.NewReplacer(`\`, `\\`, "*", `\*`, "_", `\_`, "[", `\[`, "]", `\]`, "#", `\#`, "<", `\<`, "`", "\\`", "-", `\-`, "+", `\+`, "|", `\|`, "~", `\~`)
)

func (spec *Text) View(o *use.Opening, e *plan.Element, into *use.ElementView) {
	tv := &TextView{Style: spec.Style, Size: spec.Size, Weight: spec.Weight, Rich: spec.Style != "heading" && markup.MatchString(inside.ReplaceAllString(spec.Words, ""))}
	into.View = tv
	switch t := e.Texts["words"]; {
	case t != nil && tv.Rich:
		tv.Words = t.Say(o.World, func(v cond.Value, of cond.Type) string { return escaped.Replace(o.World.Say(v, of)) })
	default:
		tv.Words = o.Text(e, "words")
	}
	if tv.Style == "" {
		tv.Style = "plain"
	}
	for _, l := range project.Ordered(spec.Links) {
		gate := e.Gates[LinkTrigger(l.ID)]
		if gate == nil {
			continue
		}
		v := o.Judge(gate, use.Aim{})
		link := LinkView{Open: v.Open(), Reason: v.Reason}
		if p := v.PlainLink(gate); p != nil {
			link.Href = p.Address(o.App.Project)
		}
		if tv.Links == nil {
			tv.Links = map[string]LinkView{}
		}
		tv.Links[l.ID] = link
	}
}
