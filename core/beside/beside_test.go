package beside_test

import (
	"sync/atomic"
	"testing"

	"ambergate/core/beside"
)

func TestEachIsDoneOnce(t *testing.T) {
	for _, n := range []int{0, 1, 2, 1000} {
		done := make([]atomic.Int64, n)
		beside.Each(n, func(i int) { done[i].Add(1) })
		for i := range done {
			if times := done[i].Load(); times != 1 {
				t.Errorf("%d of %d: %d times", i, n, times)
			}
		}
	}
}

func TestAPanicIsTheCallers(t *testing.T) {
	defer func() {
		if why := recover(); why != "this one" {
			t.Errorf("it fell with %v", why)
		}
	}()
	beside.Each(100, func(i int) {
		if i == 50 {
			panic("this one")
		}
	})
	t.Error("nothing is told of the panic")
}
