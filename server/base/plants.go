package base

import "ambergate/plant"

// PlantSettings is where a plant is, how the way there is kept safe, and who signs in to it: all but the password.
type PlantSettings struct {
	Endpoint  string `json:"endpoint"`
	Namespace string `json:"namespace"`
	Security  string `json:"security"` // off, signed, encrypted
	Policy    string `json:"policy"`
	Login     string `json:"login"`
	Trusted   string `json:"trusted"` // fingerprint of its certificate
}

// PlantOf gives what a client is opened with.
func (b *Base) PlantOf(s PlantSettings, password string) plant.Settings {
	return plantOf(b.Config, s, password)
}

func plantOf(c Config, s PlantSettings, password string) plant.Settings {
	return plant.Settings{Endpoint: s.Endpoint, Namespace: s.Namespace, Security: s.Security, Policy: s.Policy, Login: s.Login, Password: password, Trusted: s.Trusted, Own: c.Certificate}
}
