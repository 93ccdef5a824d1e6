-- Tarnhorn Stores: parts ordering, the second project.
create schema stores;
set search_path = stores;

create table suppliers (
  id    integer generated always as identity primary key,
  name  text not null unique,
  town  text not null
);

create table orders (
  id          integer generated always as identity primary key,
  code        text not null unique,
  supplier_id integer not null references suppliers,
  ordered_on  date not null,
  state       text not null check (state in ('draft', 'sent', 'delivered')),
  note        text
);

create table order_lines (
  order_id integer not null references orders on delete cascade,
  part     text not null,
  quantity integer not null check (quantity > 0),
  price    numeric(8,2) not null,
  primary key (order_id, part)
);
