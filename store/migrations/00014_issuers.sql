-- +goose Up
-- Who somebody is at an issuer of OpenID Connect, and attempts to come in by one that are under way.
create table issued (
  issuer  text not null,
  subject text not null,
  account text not null references account on delete cascade,
  primary key (issuer, subject)
);
create table coming_in (
  state_hash bytea primary key,
  nonce      text not null,
  verifier   text not null,
  ends_at    timestamptz not null
);

-- +goose Down
drop table coming_in, issued;
