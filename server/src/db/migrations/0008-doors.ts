/** What keeps the doors: counting of wrong tries by the thing that is tried, one e-mail for one person, and sessions that end at once. */
export const up = `
-- A job is found by any part of its number.
create index job_number_words on job using gin (number gin_trgm_ops);

drop table rate;
create table try_count (key text primary key, failed integer not null, until timestamptz, at timestamptz not null);
create index try_count_age on try_count (at);
grant select, insert, update, delete on try_count to bay_app;

-- Counts a try before it is judged, so that many at once are many. Nothing comes back while the thing has to wait.
create function count_try(wanted text, free integer, first_wait interval, longest_wait interval) returns boolean language sql as $$
  with counted as (
    insert into try_count as t (key, failed, until, at) values (wanted, 1, case when free < 1 then now() + first_wait end, now())
    on conflict (key) do update set
      failed = case when t.at < now() - interval '1 day' then 1 else t.failed + 1 end,
      until = case when t.at < now() - interval '1 day' or t.failed + 1 <= free then null
        else now() + least(first_wait * power(2, least(t.failed - free, 20)), longest_wait) end,
      at = now()
    where t.until is null or t.until <= now()
    returning 1)
  select exists (select 1 from counted) $$;
grant execute on function count_try(text, integer, interval, interval) to bay_app;

-- What was sent with a command id, in short: the same id with anything else is not the same command.
alter table command add column digest text;

-- One address is one person, however it is written.
update person set email = lower(trim(email)) where email is not null and email <> lower(trim(email))
  and not exists (select 1 from person other where other.id <> person.id and lower(trim(other.email)) = lower(trim(person.email)));
-- Who left signs in nowhere; the address is free for whoever has it now.
update person set email = null, password_hash = null, pin_hash = null where not active;
create unique index person_by_email on person (lower(email)) where email is not null;
`;
