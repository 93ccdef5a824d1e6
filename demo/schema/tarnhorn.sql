-- Tarnhorn Ropeway: a made-up mountain ropeway. All people, places and figures are invented.
create schema tarnhorn;
set search_path = tarnhorn;

create table lifts (
  id          integer generated always as identity primary key,
  code        text not null unique,
  name        text not null unique,
  length_m    integer not null check (length_m > 0),
  rise_m      integer not null,
  max_speed   numeric(3,1) not null,
  capacity    integer not null,
  opened_on   date not null
);

create table stations (
  id       integer generated always as identity primary key,
  lift_id  integer not null references lifts,
  name     text not null,
  role     text not null check (role in ('drive', 'return', 'middle')),
  altitude integer not null,
  unique (lift_id, role)
);

create table staff (
  id      integer generated always as identity primary key,
  login   text unique,
  name    text not null,
  trade   text not null check (trade in ('technician', 'operator', 'shift lead', 'office')),
  phone   text,
  since   date not null
);

create table shifts (
  id        integer generated always as identity primary key,
  staff_id  integer not null references staff,
  lift_id   integer references lifts,
  starts_at timestamptz not null,
  ends_at   timestamptz not null,
  check (ends_at > starts_at)
);

create table components (
  id    integer generated always as identity primary key,
  code  text not null unique,
  name  text not null,
  area  text not null check (area in ('cabin', 'grip', 'drive', 'line', 'station'))
);

create table cabins (
  id            integer generated always as identity primary key,
  number        text not null unique check (number ~ '^[0-9]{3}$'),
  lift_id       integer references lifts,
  state         text not null default 'in service' check (state in ('in service', 'on hold', 'in store', 'scrapped')),
  grip_type     text not null,
  grip_wear_mm  numeric(4,2) not null check (grip_wear_mm >= 0),
  distance_km   integer not null check (distance_km >= 0),
  built_on      date not null,
  note          text
);
create index on cabins (lift_id);

create table inspections (
  id           integer generated always as identity primary key,
  cabin_id     integer not null references cabins,
  inspector_id integer references staff,
  done_on      date not null,
  result       text not null check (result in ('passed', 'passed with remarks', 'failed')),
  remarks      text
);
create index on inspections (cabin_id, done_on);

create table inspection_points (
  inspection_id integer not null references inspections on delete cascade,
  pos           integer not null,
  what          text not null,
  outcome       text not null check (outcome in ('good', 'watch', 'bad')),
  measured      numeric(6,2),
  primary key (inspection_id, pos)
);

create table defects (
  id           integer generated always as identity primary key,
  code         text not null unique default '',
  cabin_id     integer references cabins,
  lift_id      integer references lifts,
  component_id integer not null references components,
  what         text not null check (what <> ''),
  detail       text,
  severity     text not null check (severity in ('low', 'medium', 'high')),
  state        text not null default 'open' check (state in ('open', 'assigned', 'waiting for parts', 'closed')),
  assigned_id  integer references staff,
  reported_by  text,
  reported_on  date not null default current_date,
  due_on       date,
  hours        numeric(5,1) check (hours >= 0),
  photo        bytea
);
create index on defects (cabin_id);
create index on defects (assigned_id);
create index on defects (component_id);
create index on defects (state, severity);

create function number_defect() returns trigger language plpgsql as $$
begin
  if new.code = '' then new.code := 'D-' || (2000 + new.id); end if;
  return new;
end $$;
create trigger number_defect before insert on defects for each row execute function number_defect();

create table parts (
  id       integer generated always as identity primary key,
  code     text not null unique,
  name     text not null,
  stock    integer not null check (stock >= 0),
  minimum  integer not null,
  price    numeric(8,2) not null
);

create table defect_parts (
  defect_id integer not null references defects on delete cascade,
  part_id   integer not null references parts,
  quantity  integer not null check (quantity > 0),
  primary key (defect_id, part_id)
);

create table stops (
  id         integer generated always as identity primary key,
  lift_id    integer not null references lifts,
  began_at   timestamptz not null,
  ended_at   timestamptz,
  cause      text not null check (cause in ('wind', 'technical', 'operator', 'guest', 'power')),
  report     text,
  written_by integer references staff
);
create index on stops (lift_id, began_at);

create table ridership (
  lift_id integer not null references lifts,
  hour    timestamptz not null,
  riders  integer not null check (riders >= 0),
  primary key (lift_id, hour)
);

create table wind (
  lift_id integer not null references lifts,
  at      timestamptz not null,
  mean    numeric(4,1) not null,
  gust    numeric(4,1) not null,
  primary key (lift_id, at)
);
