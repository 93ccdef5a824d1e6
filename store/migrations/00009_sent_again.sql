-- +goose Up
-- Edits and releases carry an id that the builder's browser made: sent again after a crash, they are found.
alter table edit add column request text;
alter table release add column request text;
create unique index edit_request on edit (project, by, request) where request is not null;
create unique index release_request on release (project, by, request) where request is not null;

-- Null stands nowhere in a document any more: what is not there is left out.
update entity set body = jsonb_strip_nulls(body);
update release set document = jsonb_strip_nulls(document);

-- +goose Down
drop index edit_request, release_request;
alter table edit drop column request;
alter table release drop column request;
