-- +goose Up
-- Tags of the plant that are true because somebody holds a button: whatever happens, they are made false again.
create table plant_hold (
  press   text primary key,
  plant   text not null,
  node    text not null,
  account text not null,
  at      timestamptz not null default now()
);

-- +goose Down
drop table plant_hold;
