-- +goose Up
-- What the plant called up: each time that a condition came to hold, for how long, who has seen it, and which tabs it
-- brought elsewhere.
create table callup (
  id      bigint generated always as identity primary key,
  project text not null,
  callup  text not null,
  record  text not null default '',
  words   text not null,
  began   timestamptz not null,
  front   timestamptz,
  ended   timestamptz
);
create index callup_recent on callup (project, began desc);
create table callup_seen (
  occurrence bigint not null references callup on delete cascade,
  account    text not null references account on delete cascade,
  at         timestamptz not null default now(),
  primary key (occurrence, account)
);
create table callup_called (
  occurrence bigint not null references callup on delete cascade,
  trail      text not null,
  at         timestamptz not null default now(),
  primary key (occurrence, trail)
);

-- +goose Down
drop table callup_called, callup_seen, callup;
