-- +goose Up
-- Unattended displays: accounts without a person, each with one role in one application.
create table device (
  account     text primary key references account on delete cascade,
  project     text not null references project on delete cascade,
  start       text not null, -- screen
  allows      text[] not null default '{}',
  enrolled_at timestamptz, -- none: its code was not typed yet
  seen_at     timestamptz
);

-- +goose Down
delete from account where id in (select account from device);
drop table device;
