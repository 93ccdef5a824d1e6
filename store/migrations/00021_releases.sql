-- +goose Up
-- A release says what it is for, what was accepted when it was made, and which older one it brings back.
alter table release add column note text not null default '';
alter table release add column accepted jsonb not null default '[]';
alter table release add column copy_of integer;
-- Whom it was made for: {"roles": […], "people": […]}; null for all.
alter table release add column made_for jsonb;
-- When all got it; null for one that only some have used.
alter table release add column for_all_at timestamptz;
update release set for_all_at = at;
-- The release that some use first, while the others stay with the one before.
alter table project add column trial integer;
alter table project add column trial_for jsonb;

-- +goose Down
alter table project drop column trial, drop column trial_for;
alter table release drop column note, drop column accepted, drop column copy_of, drop column made_for, drop column for_all_at;
