-- A database with every oddity that real ones have, as somebody else made it.
create schema works;
create schema "Groß und klein";
create type works.colour as enum ('red', 'green', 'dark blue');
create domain works.grade as integer check (value between 1 and 6);
create domain works.short_code as varchar(8) check (value ~ '^[A-Z]+$');
create table works.sites (id integer generated always as identity primary key, name text not null, parent_site_id integer references works.sites, opened date, closed timestamp, at_zone timestamptz default now());
create table works.people (login text primary key, full_name text not null, boss text references works.people);
create table works.machines (id uuid primary key default gen_random_uuid(), code works.short_code not null unique, site_id integer not null references works.sites on delete restrict, built_by text references works.people, looked_after_by text references works.people,
  state text not null default 'running' check (state in ('running', 'standing', 'in repair')), colour works.colour, grade works.grade, power_kw numeric(38,12), price money, runs interval, address inet, span int4range, tags text[], more jsonb, photo bytea, raw bytea, doubled numeric generated always as (power_kw * 2) stored,
  "select" text, "Größe" real, a_name_of_sixty_letters_that_goes_on_and_on_and_on_until_it_ends text);
comment on table works.machines is 'Machines';
comment on column works.machines.power_kw is 'Power (kW)';
create index on works.machines (site_id, state);
create table works.spares (code varchar(20) primary key, name text not null, stock integer not null default 0 check (stock >= 0 and stock <= 10000));
create table works.machine_spares (machine uuid references works.machines, spare varchar(20) references works.spares, primary key (machine, spare));
create table works.readings (machine uuid not null references works.machines, at timestamptz not null, value double precision, primary key (machine, at)) partition by range (at);
create table works.readings_2026 partition of works.readings for values from ('2026-01-01') to ('2027-01-01');
create table works.read_notes (machine uuid, at timestamptz, note text, id serial primary key, foreign key (machine, at) references works.readings);
create table works.import_log (line text, at timestamptz);
create table works.chicken (id integer primary key, egg integer);
create table works.egg (id integer primary key, chicken integer references works.chicken);
alter table works.chicken add foreign key (egg) references works.egg deferrable initially deferred;
create table works.secrets (id integer primary key, what text, hidden text);
create table works.locked (id integer primary key, owner text);
alter table works.locked enable row level security;
create policy own on works.locked using (owner = current_user);
create table works.forbidden (id integer primary key);
create table "Groß und klein"."Order" (id integer primary key, "group by" text, "a.b" text unique);
create view works.open_machines as select id, code from works.machines where state <> 'standing';
create rule add_open as on insert to works.open_machines do instead insert into works.machines (code, site_id) values (new.code, 1);
create materialized view works.counts as select site_id, count(*) as machines from works.machines group by site_id;
create view works.writable as select id, name from works.sites;
do $$ begin execute 'create table works.wide (id integer primary key, ' || (select string_agg('c' || i || ' text', ', ') from generate_series(1, 199) i) || ')'; end $$;
grant usage on schema works, "Groß und klein" to tarnhorn_app;
grant select, insert, update, delete on all tables in schema works, "Groß und klein" to tarnhorn_app;
revoke all on works.forbidden, works.secrets from tarnhorn_app;
grant select (id, what), update (what) on works.secrets to tarnhorn_app;
insert into works.sites (name) values ('North'), ('South');
