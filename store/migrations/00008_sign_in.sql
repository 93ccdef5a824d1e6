-- +goose Up
-- What slows guessing: failures by what they have in common (a name, an address, a browser that was known), as
-- a digest, so that nothing that was typed is kept. Names that nobody has are counted like any other.
create table guess (
  key           bytea primary key,
  failures      integer not null,
  blocked_until timestamptz,
  at            timestamptz not null
);

-- Browsers that a person signed in from: what strangers do to a name does not keep its owner out there.
create table known_browser (
  token_hash bytea primary key,
  account    text not null references account on delete cascade,
  seen_at    timestamptz not null default now()
);
create index known_browser_by_account on known_browser (account, seen_at desc);

alter table account drop column attempts, drop column blocked_until;

-- +goose Down
alter table account add column attempts integer not null default 0, add column blocked_until timestamptz;
drop table known_browser;
drop table guess;
