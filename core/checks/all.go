// Package checks is every check, one line each.
package checks

import (
	"ambergate/core/check"
	"ambergate/core/check/asks"
	"ambergate/core/check/comes"
	"ambergate/core/check/gets"
	"ambergate/core/check/leads"
	"ambergate/core/check/looks"
	"ambergate/core/check/outside"
)

// All is every check, in the order in which findings of one place are told.
var All = check.Checks{
	outside.GoneFromDatabase,
	leads.BrokenTarget,
	outside.OfferedChanged,
	leads.NoWayBehind,
	leads.MissingInput,
	leads.WrongRecord,
	leads.MayBeNone,
	gets.NoWayBack,
	gets.NoWayIn,
	gets.ShutStart,
	gets.NoWayOut,
	gets.Trap,
	gets.Expectation,
	gets.OpenByAddress,
	gets.GrantedWithoutAWay,
	looks.Misfit,
	gets.DeadPress,
	asks.UnreadableRight,
	asks.NeverShown,
	asks.AlwaysShown,
	asks.EmptyEqualsEmpty,
	asks.AsksHidden,
	asks.NoSuchChoice,
	leads.ComesBack,
	leads.SaveWhileViewing,
	looks.Overlap,
	asks.ShadowedCase,
	asks.ShadowedFace,
	looks.SameWords,
	looks.CopyNotChanged,
	leads.SelfLink,
	leads.LostContext,
	comes.CalledUp,
	comes.CallUpLoop,
	comes.RoundStop,
	comes.IdleTooShort,
	comes.NoIdle,
	leads.UnconfirmedWrite,
	looks.RailNowhere,
	looks.RailCrowded,
	looks.HardToUse,
	looks.Drift,
}
