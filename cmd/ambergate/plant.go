package main

import (
	"fmt"

	"github.com/spf13/cobra"

	"ambergate/demo/stage"
	"ambergate/plant/sim"
)

func plantCommand() *cobra.Command {
	var port int
	c := &cobra.Command{
		Use:   "plant",
		Short: "Run the simulated ropeway alone, as an OPC UA server on loopback",
		Args:  cobra.NoArgs,
		RunE: func(cmd *cobra.Command, _ []string) error {
			p, err := sim.Start(port, stage.Lifts, 7)
			if err != nil {
				return err
			}
			defer p.Close()
			fmt.Printf("The simulated plant is up: %s, namespace %s\n", p.Endpoint(), sim.Namespace)
			<-cmd.Context().Done()
			return nil
		},
	}
	c.Flags().IntVar(&port, "port", 4840, "port on loopback")
	return c
}
