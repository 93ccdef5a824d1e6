package use

import (
	"crypto/hmac"
	"crypto/rand"
	"crypto/sha256"
	"encoding/hex"
	"strings"

	"ambergate/api"
	"ambergate/core/press"
	"ambergate/server/answer"
	"ambergate/server/base"
)

// askKey signs the tokens of questions. It is made of the key that all servers have; without one anew with each start: a
// question that was put before is put again then.
type askKey []byte

func newAskKey(of []byte) askKey {
	if of != nil {
		mac := hmac.New(sha256.New, of)
		mac.Write([]byte("amber gate questions"))
		return mac.Sum(nil)
	}
	key := make([]byte, 32)
	if _, err := rand.Read(key); err != nil {
		panic("no randomness: " + err.Error()) // the system cannot make any key then
	}
	return key
}

// sign binds a question to the press and the user that it is put to.
func (k askKey) sign(press, user, digest string) string {
	mac := hmac.New(sha256.New, k)
	mac.Write([]byte(press + "|" + user + "|" + digest))
	return digest + "." + hex.EncodeToString(mac.Sum(nil)[:16])
}

// answered gives the digests of the questions of a press that its user was really asked.
func (k askKey) answered(req api.PressRequest, user string) map[string]bool {
	out := map[string]bool{}
	for _, token := range answer.Value(req.Tokens) {
		digest, _, ok := strings.Cut(token, ".")
		if ok && hmac.Equal([]byte(token), []byte(k.sign(req.Press, user, digest))) {
			out[digest] = true
		}
	}
	return out
}

// put gives a question with its token.
func (v *Visit) put(req api.PressRequest, q *press.Question) *press.Question {
	asked := *q
	asked.Token = v.server.asks.sign(req.Press, v.account.ID, q.Digest())
	return &asked
}

// pressOf gives a press with the answers that are believed: those to questions that were put.
func (v *Visit) pressOf(req api.PressRequest) press.Press {
	p := base.PressOf(req)
	p.Answered = v.server.asks.answered(req, v.account.ID)
	return p
}
