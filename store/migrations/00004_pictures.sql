-- +goose Up
-- Pictures of projects, each once by the digest of its bytes.
create table picture (
  digest text primary key,
  media  text not null,
  data   bytea not null,
  at     timestamptz not null default now()
);

-- +goose Down
drop table picture;
