-- +goose NO TRANSACTION
-- +goose Up
-- What is forgotten by age is found by it, and a person's trails by whom they are of. The indexes are made while others
-- go on writing.
create index concurrently if not exists trail_by_account on trail (account, seen_at desc);
create index concurrently if not exists trail_by_age on trail (seen_at);
create index concurrently if not exists draft_by_age on draft (at);
create index concurrently if not exists attempt_by_age on attempt (at);
create index concurrently if not exists plant_command_by_age on plant_command (at);
create index concurrently if not exists callup_by_age on callup (ended);
create index concurrently if not exists audit_by_age on audit (at);

-- +goose Down
drop index trail_by_account, trail_by_age, draft_by_age, attempt_by_age, plant_command_by_age, callup_by_age, audit_by_age;
