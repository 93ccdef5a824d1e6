-- +goose Up
-- The servers that run over this store, each noted a few times a second.
create table server (
  name    text primary key,
  address text not null, -- where the other servers reach it
  version text not null,
  began   timestamptz not null default now(),
  seen    timestamptz not null default now()
);
-- Which of them talks to the plants and watches call-ups, until when, and by which number: each time that it is
-- another one, or the same one anew, the number is higher, and what comes with a lower one is refused.
create table lead (
  of     text primary key,
  server text not null,
  number bigint not null,
  until  timestamptz not null
);
insert into lead values ('plants', '', 0, '-infinity');
-- Which builder is where, in which tab. It is of this moment only: a crash may forget it.
create unlogged table presence (
  tab     text primary key,
  project text not null,
  account text not null,
  name    text not null,
  view    text not null default '',
  screen  text not null default '',
  element text not null default '',
  server  text not null
);
create index presence_project on presence (project);

-- What a builder’s tab practised, and nothing of it done.
create unlogged table practice (
  id      text primary key,
  account text not null,
  presses jsonb not null,
  at      timestamptz not null default now()
);

-- One occurrence of a call-up at a time, whichever server notes it.
update callup o set ended = now() where ended is null and exists (select from callup n where n.project = o.project and n.callup = o.callup and n.record = o.record and n.ended is null and n.id > o.id);
create unique index callup_open on callup (project, callup, record) where ended is null;

-- What changes is told to all servers by the tables themselves, so that nobody who writes can forget it.
-- +goose StatementBegin
create function tell_servers() returns trigger language plpgsql as $$
declare
  row jsonb := to_jsonb(case when tg_op = 'DELETE' then old else new end);
begin
  perform pg_notify('ambergate', tg_argv[0] || ' ' || coalesce(row ->> tg_argv[1], ''));
  return null;
end $$;
-- +goose StatementEnd
create trigger told after update of seq, released, trial, trial_for, slug on project for each row execute function tell_servers('project', 'id');
create trigger told_of after insert or delete on project for each row execute function tell_servers('project', 'id');
create trigger told after delete on session for each row when (old.ends_at > now()) execute function tell_servers('account', 'account');
create trigger told after insert or update or delete on account_role for each row execute function tell_servers('account', 'account');
create trigger told after insert or update or delete on project_right for each row execute function tell_servers('account', 'account');
create trigger told after insert or update or delete on right_for_all for each row execute function tell_servers('account', 'account');
create trigger told after update of name, login, disabled_at on account for each row execute function tell_servers('account', 'id');
create trigger told after insert or update or delete on connection for each row execute function tell_servers('connections', 'name');
create trigger told after insert or update on callup for each row execute function tell_servers('callup', 'project');
create trigger told after insert or update or delete on presence for each row execute function tell_servers('presence', 'project');
create trigger told after update on lead for each row when (old.number <> new.number or new.until <= now()) execute function tell_servers('lead', 'server');

-- +goose Down
drop trigger told on project;
drop trigger told_of on project;
drop trigger told on session;
drop trigger told on account_role;
drop trigger told on project_right;
drop trigger told on right_for_all;
drop trigger told on account;
drop trigger told on connection;
drop trigger told on callup;
drop index callup_open;
drop table presence, lead, server, practice;
drop function tell_servers;
