-- +goose Up
-- Which press has a tag of a plant, from before anything is sent until its outcome is known: another is refused
-- meanwhile, whichever server it comes to. A claim that nobody gave back ends by itself.
create table plant_claim (
  plant text not null,
  node  text not null,
  press text not null,
  until timestamptz not null,
  primary key (plant, node)
);

-- +goose Down
drop table plant_claim;
