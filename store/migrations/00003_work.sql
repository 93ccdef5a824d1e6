-- +goose Up
-- Dialogs and drawers lie over a place in a stack: the topmost last.
update place set overlay = jsonb_build_array(jsonb_build_object('place', overlay, 'as', 'dialog')) where overlay is not null;
alter table place rename column overlay to overlays;
-- What a place came from: a press, an address, or the kind of a change to the list (filters, sort, find).
alter table place add column made text not null default '', add column made_at timestamptz not null default now();

-- What was typed and not saved, found again after a reload, a crash or a time-out.
create table draft (
  id      text primary key,
  account text not null references account on delete cascade,
  project text not null references project on delete cascade,
  tab     text not null,                -- the trail of the tab that owns it
  work    text not null,                -- what it is work on: screen, mode and record
  screen  text not null,
  title   text not null default '',
  version text not null default '',
  base    jsonb not null,
  vals    jsonb not null,
  at      timestamptz not null default now(),
  unique (tab, work)
);
create index draft_by_work on draft (account, project, work);

-- How a user likes a list: widths of columns under the empty name, saved views under theirs.
create table list_view (
  account text not null references account on delete cascade,
  project text not null references project on delete cascade,
  screen  text not null,
  element text not null,
  name    text not null,
  body    jsonb not null,
  at      timestamptz not null default now(),
  primary key (account, project, screen, element, name)
);

-- +goose Down
drop table list_view, draft;
alter table place drop column made, drop column made_at;
alter table place rename column overlays to overlay;
update place set overlay = overlay->0->'place' where overlay is not null;
