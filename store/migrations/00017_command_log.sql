-- +goose Up
-- Of which application a command to the plant is: its log is read there.
alter table plant_command add column project text;
create index plant_command_of on plant_command (project, at desc);

-- +goose Down
drop index plant_command_of;
alter table plant_command drop column project;
