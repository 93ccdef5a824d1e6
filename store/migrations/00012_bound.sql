-- +goose Up
-- A press that only moves is known by its id within its own trail alone: nobody meets another's.
alter table place drop constraint place_press_key;
alter table place add constraint place_press_key unique (trail, press);

-- A builder walks as somebody with one role too; that is no account.
alter table walk drop constraint walk_person_fkey;

-- +goose Down
delete from walk where person not in (select id from account);
alter table walk add constraint walk_person_fkey foreign key (person) references account on delete cascade;
alter table place drop constraint place_press_key;
alter table place add constraint place_press_key unique (press);
