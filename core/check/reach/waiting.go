package reach

// waiting is states to be looked at, by presses: the nearest first.
type waiting struct {
	done   reached
	layers [][]state
	at     int // layer
	n      int // in it
}

// put notes how a state is reached, unless it is by fewer presses already.
func (w *waiting) put(s state, by *step) {
	if was := w.done[s]; was != nil && was.presses <= by.presses {
		return
	}
	w.done[s] = by
	for len(w.layers) <= by.presses {
		w.layers = append(w.layers, nil)
	}
	w.layers[by.presses] = append(w.layers[by.presses], s)
}

// next gives the next one.
func (w *waiting) next() (state, bool) {
	for ; w.at < len(w.layers); w.at, w.n = w.at+1, 0 {
		for w.n < len(w.layers[w.at]) {
			s := w.layers[w.at][w.n]
			w.n++
			if w.done[s].presses == w.at {
				return s, true
			}
		}
	}
	return 0, false
}
