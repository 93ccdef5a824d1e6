-- +goose Up
-- How often each way was pressed in a week: counts alone, nobody is named.
create table way_used (
  project text not null references project on delete cascade,
  week    date not null,
  screen  text not null,
  element text not null,
  trigger text not null,
  n       bigint not null,
  primary key (project, week, screen, element, trigger)
);
