package main

import (
	"context"
	"errors"
	"fmt"
	"net/http"
	"strings"
	"time"

	"github.com/spf13/cobra"

	"ambergate/issuer"
)

func issuerCommand() *cobra.Command {
	var address, client, secret string
	var people []string
	c := &cobra.Command{Use: "issuer", Short: "Run a small issuer of OpenID Connect, for trying and for tests: whoever opens it chooses who they are", Args: cobra.NoArgs}
	c.Flags().StringVar(&address, "address", "127.0.0.1:8090", "where to serve")
	c.Flags().StringVar(&client, "client", "ambergate", "the client that it answers")
	c.Flags().StringVar(&secret, "secret", "", "the client's secret")
	c.Flags().StringArrayVar(&people, "person", []string{"dee=Dee Orr"}, "LOGIN=NAME or LOGIN=NAME=GROUP,GROUP; may be repeated")
	_ = c.MarkFlagRequired("secret")
	c.RunE = func(cmd *cobra.Command, _ []string) error {
		var known []issuer.Person
		for _, p := range people {
			parts := strings.SplitN(p, "=", 3)
			if len(parts) < 2 {
				return fmt.Errorf("--person %s: write LOGIN=NAME", p)
			}
			one := issuer.Person{Login: parts[0], Name: parts[1]}
			if len(parts) == 3 {
				one.Groups = strings.Split(parts[2], ",")
			}
			known = append(known, one)
		}
		listener, err := listen(address)
		if err != nil {
			return err
		}
		i, err := issuer.New("http://"+listener.Addr().String(), client, secret, known)
		if err != nil {
			return err
		}
		fmt.Fprintf(cmd.OutOrStdout(), "The issuer answers at %s\n", i.URL)
		srv := &http.Server{Handler: i.Handler(), ReadHeaderTimeout: 5 * time.Second}
		go func() {
			<-cmd.Context().Done()
			_ = srv.Shutdown(context.WithoutCancel(cmd.Context())) // it ends anyway
		}()
		if err := srv.Serve(listener); !errors.Is(err, http.ErrServerClosed) {
			return fmt.Errorf("serve: %w", err)
		}
		return nil
	}
	return c
}
