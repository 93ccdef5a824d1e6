-- The one small table that the program keeps in a record source, so that a press changes records exactly once.
create schema if not exists ambergate;
create table if not exists ambergate.press (
  id      text primary key,
  user_id text not null,
  content text not null,
  outcome jsonb,
  at      timestamptz not null default now()
);
create index if not exists press_at on ambergate.press (at);
