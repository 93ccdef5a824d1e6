package main

import (
	"errors"
	"fmt"
	"strings"

	"github.com/spf13/cobra"
)

func configCommand() *cobra.Command {
	c := &cobra.Command{Use: "config", Short: "Look at the configuration"}
	check := &cobra.Command{
		Use:   "check FILE",
		Short: "Say what is wrong with a configuration, line by line",
		Args:  cobra.ExactArgs(1),
		RunE: func(cmd *cobra.Command, args []string) error {
			file, err := readSettings(args[0])
			if err != nil {
				return err
			}
			serve, o := newServeCommand()
			if err := fill(serve.Flags(), file); err != nil {
				return err
			}
			o.issuer, o.plantsAt, o.limits = file.Issuer.issuer(), plantsOf(o.plants, file.Plants), file.Limits
			if wrong := o.wrong(); len(wrong) > 0 {
				return errors.New(args[0] + ":\n  " + strings.Join(wrong, "\n  "))
			}
			fmt.Fprintln(cmd.OutOrStdout(), "All in order.")
			return nil
		},
	}
	c.AddCommand(check)
	return c
}
