-- +goose Up
-- What a tab keeps in variables of the project; as they were before the press that set them last,
-- so that the same press asked about again comes to the same.
alter table trail
  add column vars        jsonb not null default '{}',
  add column vars_press  text,
  add column vars_before jsonb;

-- +goose Down
alter table trail drop column vars, drop column vars_press, drop column vars_before;
