-- +goose Up
-- Days counted from today are written daysAgo(7) and daysFromNow(7); a length of time is duration("168h").
-- +goose StatementBegin
create function pg_temp.in_new_words(document jsonb) returns jsonb language plpgsql as $$
declare
  text text := document::text;
  found text[];
begin
  text := regexp_replace(text, '\mtoday\(\)\s*-\s*days\(\s*(\d+)\s*\)', 'daysAgo(\1)', 'g');
  text := regexp_replace(text, '\mtoday\(\)\s*\+\s*days\(\s*(\d+)\s*\)', 'daysFromNow(\1)', 'g');
  loop
    found := regexp_match(text, '\mdays\(\s*(\d{1,6})\s*\)');
    exit when found is null;
    text := regexp_replace(text, '\mdays\(\s*' || found[1] || '\s*\)', 'duration(\\"' || found[1]::bigint * 24 || 'h\\")', 'g');
  end loop;
  return text::jsonb;
end $$;
-- +goose StatementEnd
update entity set body = pg_temp.in_new_words(body) where body::text ~ '\mdays\(';
update release set document = pg_temp.in_new_words(document) where document::text ~ '\mdays\(';
update edit set patch = pg_temp.in_new_words(patch), inverse = pg_temp.in_new_words(inverse) where patch::text ~ '\mdays\(' or inverse::text ~ '\mdays\(';

-- +goose Down
select 1;
