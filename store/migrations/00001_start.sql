-- +goose Up
create table project (
  id         text primary key,
  slug       text not null unique,
  seq        bigint not null default 0,
  released   integer,
  created_at timestamptz not null default now()
);

create table entity (
  project text not null references project,
  id      text not null,
  kind    text not null,
  body    jsonb not null,
  version bigint not null,
  primary key (project, id)
);

create table edit (
  project text not null references project,
  seq     bigint not null,
  by      text not null,
  at      timestamptz not null default now(),
  patch   jsonb not null,
  inverse jsonb not null,
  touched text[] not null,
  undoes  bigint,
  undone  bigint,
  primary key (project, seq)
);
create index edit_by on edit (project, by, seq desc);

create table release (
  project  text not null references project,
  number   integer not null,
  document jsonb not null,
  seq      bigint not null,
  by       text not null,
  at       timestamptz not null default now(),
  primary key (project, number)
);

create table account (
  id       text primary key,
  login    text not null unique,
  name     text not null,
  password text not null,
  builder  boolean not null default false,
  attempts integer not null default 0,
  blocked_until timestamptz
);

create table account_role (
  account text not null references account on delete cascade,
  project text not null references project on delete cascade,
  role    text not null,
  primary key (account, project, role)
);

create table session (
  token_hash bytea primary key,
  account    text not null references account on delete cascade,
  created_at timestamptz not null default now(),
  seen_at    timestamptz not null default now(),
  ends_at    timestamptz not null
);

create table trail (
  id      text primary key,
  account text not null references account on delete cascade,
  project text not null references project on delete cascade,
  at      integer not null default 0,
  seen_at timestamptz not null default now()
);

create table place (
  trail   text not null references trail on delete cascade,
  n       integer not null,
  place   jsonb not null,
  overlay jsonb,
  title   text not null default '',
  press   text,
  primary key (trail, n),
  unique (press)
);

create table plant_command (
  press    text not null,
  pos      integer not null,
  source   text not null,
  node     text not null,
  label    text not null,
  value    text not null,
  old      text,
  state    text not null check (state in ('intended', 'sent', 'done', 'refused', 'unknown', 'expired')),
  reason   text,
  account  text not null,
  at       timestamptz not null default now(),
  ended_at timestamptz,
  primary key (press, pos)
);

-- +goose Down
drop table plant_command, place, trail, session, account_role, account, release, edit, entity, project;
