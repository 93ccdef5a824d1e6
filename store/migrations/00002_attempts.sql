-- +goose Up
-- Every attempt to sign in or to change a password: for the user's own page, and to slow guessing down.
create table attempt (
  at      timestamptz not null,
  login   text not null,
  account text references account on delete cascade,
  origin  text not null,
  ok      boolean not null
);
create index attempt_by_account on attempt (account, at desc);
create index attempt_by_origin on attempt (origin, at desc) where not ok;

-- Walking as a real person needs a right of its own, and is logged.
alter table account add column walks boolean not null default false;
update account set walks = builder; -- who could do it until now keeps the right
create table walk (
  at      timestamptz not null,
  builder text not null references account on delete cascade,
  person  text not null references account on delete cascade,
  project text not null references project on delete cascade
);
create index walk_by_builder on walk (builder, person, project, at desc);
