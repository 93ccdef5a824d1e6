package plan

// Stepper is answered by moves that step along a list.
type Stepper interface {
	// StepsTo gives the step along the list come from; "" for one in a list of the screen.
	StepsTo() string
}

// IsStep says whether a move steps along a list.
func IsStep(m *Move) bool {
	_, is := m.Spec.(Stepper)
	return is
}

// StepOf gives the step of a move along the list come from; "" for any other.
func StepOf(m *Move) string {
	if m == nil {
		return ""
	}
	if s, is := m.Spec.(Stepper); is {
		return s.StepsTo()
	}
	return ""
}
