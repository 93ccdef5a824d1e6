-- The database of somebody who looks after pumps; all invented.
create schema works;
create table works.sites (id integer generated always as identity primary key, name text not null, town text not null, opened date);
create table works.fitters (id integer generated always as identity primary key, full_name text not null, e_mail text not null unique, since date);
create table works.pumps (id integer generated always as identity primary key, code text not null unique check (code ~ '^P-[0-9]{3}$'), site_id integer not null references works.sites, state text not null default 'running' check (state in ('running', 'standing', 'in repair')), power_kw numeric(6,1) check (power_kw > 0), built integer check (built >= 1950 and built <= 2100), remarks text, location point);
create table works.parts (id integer generated always as identity primary key, name text not null, price_eur numeric(8,2) not null default 0, stock integer not null default 0 check (stock >= 0));
create table works.repairs (id integer generated always as identity primary key, pump_id integer not null references works.pumps, done_on date not null default current_date, fitter_id integer references works.fitters, what text not null, hours numeric(4,1) check (hours >= 0));
create table works.repair_parts (repair_id integer references works.repairs on delete cascade, part_id integer references works.parts, primary key (repair_id, part_id));
create table works.import_log (at timestamptz not null default now(), line text);
comment on column works.pumps.power_kw is 'Power (kW)';
insert into works.sites (name, town, opened) select n, t, date '1990-05-01' + i::integer * 400 from unnest(array['Lower weir', 'Mill lane', 'North basin', 'Old harbour', 'Upper weir'], array['Ansted', 'Ansted', 'Corve', 'Lyde', 'Corve']) with ordinality u(n, t, i);
insert into works.fitters (full_name, e_mail, since) values ('Bo Lund', 'bo', '2019-02-01'), ('Cy Moss', 'cy@works.example', '2021-06-15'), ('Dana Orr', 'dana@works.example', '2015-11-03');
insert into works.pumps (code, site_id, state, power_kw, built, remarks) select 'P-' || lpad(i::text, 3, '0'), 1 + i % 5, (array['running', 'running', 'running', 'standing', 'in repair'])[1 + i % 5], 5.5 + i % 9 * 2.5, 1975 + i * 7 % 48, case when i % 6 = 0 then 'Seal changed with the last repair.' end from generate_series(1, 42) i;
insert into works.parts (name, price_eur, stock) values ('Shaft seal', 84.5, 12), ('Bearing 6206', 9.8, 40), ('Impeller', 412, 3), ('Coupling', 58, 7), ('Gasket set', 21.4, 25);
insert into works.repairs (pump_id, done_on, fitter_id, what, hours) select 1 + i * 11 % 42, date '2026-01-10' + i * 2, 1 + i % 3, (array['Seal changed', 'Bearings changed', 'Impeller cleaned', 'Coupling set'])[1 + i % 4], 1.5 + i % 5 from generate_series(1, 130) i;
insert into works.repair_parts select i, 1 + i % 5 from generate_series(1, 130) i;
insert into works.import_log (line) select 'row ' || i || ' read' from generate_series(1, 300) i;
analyze;
