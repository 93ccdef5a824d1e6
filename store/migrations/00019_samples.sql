-- +goose Up
-- What trends show, of the last hour: a stretch of samples of one node in each row.
create table plant_samples (
  plant  text not null, -- the connection, by name
  node   text not null,
  until  bigint not null, -- of the last of them, Unix milliseconds
  at     bigint[] not null,
  value  double precision[] not null,
  primary key (plant, node, until)
);

-- +goose Down
drop table plant_samples;
