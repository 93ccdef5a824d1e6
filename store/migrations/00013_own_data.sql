-- +goose Up
-- The two rights for all applications at once: who makes applications, and who runs the program: people, connections.
create table right_for_all (
  account text not null references account on delete cascade,
  can     text not null check (can in ('builds', 'administers')),
  primary key (account, can)
);

alter table account add column disabled_at timestamptz;
alter table account add column seen_at timestamptz;
update account a set seen_at = (select max(at) from attempt t where t.account = a.id and t.ok);

-- Links that can be used once: the first one of all, and those by which people set a password.
create table link (
  token_hash bytea primary key,
  account    text references account on delete cascade, -- none: the first person of all
  ends_at    timestamptz not null
);

-- Databases and plants that were added in the program. What is secret is sealed with a key that is not kept here.
create table connection (
  name     text primary key,
  kind     text not null check (kind in ('postgresql', 'plant')),
  settings jsonb not null,
  secret   bytea not null default '',
  by       text not null,
  at       timestamptz not null default now()
);

-- +goose Down
drop table connection, link, right_for_all;
alter table account drop column disabled_at, drop column seen_at;
