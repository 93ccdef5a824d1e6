-- +goose Up
-- The two rights beside roles, for each application: who builds it, and who gives roles and these rights in it.
create table project_right (
  account text not null references account on delete cascade,
  project text not null references project on delete cascade,
  can     text not null check (can in ('builds', 'administers')),
  primary key (account, project, can)
);
insert into project_right select a.id, p.id, c from account a, project p, unnest('{builds,administers}'::text[]) c where a.builder;
alter table account drop column builder;

-- Who did what to rights, releases and accounts, and from where. It outlives those it tells of.
create table audit (
  id      bigint generated always as identity primary key,
  at      timestamptz not null default now(),
  account text not null,
  project text,
  what    text not null,
  detail  text not null default '',
  origin  text not null default ''
);
create index audit_by_project on audit (project, id desc);

-- +goose Down
drop table audit;
alter table account add column builder boolean not null default false;
update account set builder = exists (select from project_right r where r.account = account.id and r.can = 'builds');
drop table project_right;
