-- +goose Up
-- The release that the screen at a place was drawn in last; 0 where it was drawn before this was noted.
alter table place add column release integer not null default 0;

-- +goose Down
alter table place drop column release;
