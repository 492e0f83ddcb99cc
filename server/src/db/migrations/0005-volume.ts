/**
 * For shops with thousands of jobs: what lists over many jobs show is kept beside the version it was made from; the shop stands
 * first in every key, so that each question goes to the rows of one shop and tables can be parted by it; indexes for what screens ask.
 */
export const up = `
create table job_version (shop_id uuid not null references shop, job_id uuid not null, version bigint not null default 1, primary key (shop_id, job_id));
create table job_digest (
  shop_id uuid not null references shop, job_id uuid not null, version bigint not null, basis text not null, digest jsonb not null, primary key (shop_id, job_id)
);
insert into job_version (shop_id, job_id) select shop_id, id from job;

-- Counts up the version of every job that a changed row has to do with: its own, or those that its unit serves.
create function touch_jobs(shop uuid, thing uuid) returns void language sql as $$
  insert into job_version (shop_id, job_id)
    select shop, thing where exists (select 1 from job where shop_id = shop and id = thing)
    union select shop, job_id from job_unit where shop_id = shop and unit_id = thing and left_at is null
    order by 2
  on conflict (shop_id, job_id) do update set version = job_version.version + 1 $$;
create function touch_by_bearer() returns trigger language plpgsql as $$
  begin perform touch_jobs(coalesce(new.shop_id, old.shop_id), coalesce(new.bearer_id, old.bearer_id)); return null; end $$;
create function touch_by_id() returns trigger language plpgsql as $$
  begin perform touch_jobs(coalesce(new.shop_id, old.shop_id), coalesce(new.id, old.id)); return null; end $$;
create function touch_by_job() returns trigger language plpgsql as $$
  begin perform touch_jobs(coalesce(new.shop_id, old.shop_id), coalesce(new.job_id, old.job_id)); return null; end $$;
create trigger touch after insert or update or delete on record for each row execute function touch_by_bearer();
create trigger touch after insert or update or delete on fact for each row execute function touch_by_bearer();
create trigger touch after insert or update or delete on job for each row execute function touch_by_id();
create trigger touch after update on unit for each row execute function touch_by_id();
create trigger touch after insert or update or delete on job_unit for each row execute function touch_by_job();

-- The shop in every key. Each foreign key inside a shop becomes one of two columns, so that a row cannot even point into another shop.
do $$
declare
  t record; f record; cols text;
  fks jsonb := '[]';
begin
  for f in
    select c.conname, c.conrelid::regclass::text as child, c.confrelid::regclass::text as parent,
      (select attname from pg_attribute where attrelid = c.conrelid and attnum = c.conkey[1]) as col
    from pg_constraint c
    where c.contype = 'f' and c.connamespace = 'public'::regnamespace and array_length(c.conkey, 1) = 1 and c.confrelid <> 'shop'::regclass
      and exists (select 1 from pg_attribute a where a.attrelid = c.confrelid and a.attname = 'shop_id')
  loop
    fks := fks || jsonb_build_object('child', f.child, 'parent', f.parent, 'col', f.col);
    execute format('alter table %s drop constraint %I', f.child, f.conname);
  end loop;
  for t in
    select c.conname, c.conrelid::regclass::text as name,
      (select string_agg(quote_ident(a.attname), ', ' order by k.i) from unnest(c.conkey) with ordinality k(n, i) join pg_attribute a on a.attrelid = c.conrelid and a.attnum = k.n) as cols
    from pg_constraint c
    where c.contype = 'p' and c.connamespace = 'public'::regnamespace and c.conrelid <> 'shop'::regclass
      and exists (select 1 from pg_attribute a where a.attrelid = c.conrelid and a.attname = 'shop_id')
      and not exists (select 1 from pg_attribute a where a.attrelid = c.conrelid and a.attname = 'shop_id' and a.attnum = any(c.conkey))
  loop
    execute format('alter table %s drop constraint %I', t.name, t.conname);
    execute format('alter table %s add primary key (shop_id, %s)', t.name, t.cols);
  end loop;
  for f in select x->>'child' as child, x->>'parent' as parent, x->>'col' as col from jsonb_array_elements(fks) x loop
    execute format('alter table %s add foreign key (shop_id, %I) references %s', f.child, f.col, f.parent);
  end loop;
end $$;
alter table job_version add foreign key (shop_id, job_id) references job;
alter table job_digest add foreign key (shop_id, job_id) references job;

-- Asked once a statement, not once a row.
do $$
declare t text;
begin
  for t in select relname from pg_class c where relkind = 'r' and relnamespace = 'public'::regnamespace and exists (select 1 from pg_policy p where p.polrelid = c.oid) loop
    execute format('drop policy own_shop on %I', t);
    execute format('create policy own_shop on %I using (%I = (select current_shop())) with check (%I = (select current_shop()))', t, case when t = 'shop' then 'id' else 'shop_id' end, case when t = 'shop' then 'id' else 'shop_id' end);
  end loop;
  foreach t in array array['job_version', 'job_digest'] loop
    execute format('alter table %I enable row level security', t);
    execute format('create policy own_shop on %I using (shop_id = (select current_shop())) with check (shop_id = (select current_shop()))', t);
    execute format('grant select, insert, update, delete on %I to bay_app', t);
  end loop;
end $$;

drop index person_of_shop, customer_of_shop, unit_of_shop, job_unit_of_unit, fact_version_of_fact, record_parts, log_of_job, log_of_thing, log_of_command, log_of_shop, mark_of_entry,
  change_of_command, clock_of_job, link_of_job, record_open_asks, record_of_job, job_unit_once, job_unit_one_in_role, clock_running;
create unique index job_unit_once on job_unit (shop_id, job_id, unit_id, role) where left_at is null;
create unique index job_unit_one_in_role on job_unit (shop_id, job_id, role) where left_at is null and role <> 'candidate';
create index job_unit_of_unit on job_unit (shop_id, unit_id);
create index job_unit_of_job on job_unit (shop_id, job_id);
create index job_open on job (shop_id, bay, number) where closed_at is null and withdrawn_at is null;
create index job_in_yard on job (shop_id, number) where closed_at is null and withdrawn_at is null and bay is null;
create index job_closed on job (shop_id, closed_at desc) where closed_at is not null and withdrawn_at is null;
create index job_of_customer on job (shop_id, customer_id);
create index unit_by_name on unit (shop_id, kind, name, id);
create index fact_version_of_fact on fact_version (shop_id, bearer_id, fact_id, id desc);
-- What has an address of its own, outside of its job.
create index record_named on record (shop_id, key) where kind in ('part', 'photo');
create index record_of_job on record (shop_id, job_id, kind);
create index record_open_asks on record (shop_id, (data->>'to')) where kind = 'ask' and not data ? 'answer';
create index record_handed on record (shop_id, (data->>'handedToId')) where kind = 'task' and data ? 'handedToId' and data->>'status' in ('open', 'on-it');
create index record_half_signed on record (shop_id) where half_signed;
create index log_of_job on log_entry (shop_id, job_id, id desc);
create index log_of_writer on log_entry (shop_id, job_id, by_id, id desc);
create index log_of_thing on log_entry (shop_id, job_id, about, id desc) where about is not null;
create index log_of_command on log_entry (shop_id, command_id) where command_id is not null;
create index log_of_shop on log_entry (shop_id, id desc);
create index mark_of_entry on log_mark (shop_id, entry_id, id);
create index change_of_command on row_change (shop_id, command_id, id desc);
create unique index clock_running on clock (shop_id, person_id) where ended_at is null;
create index clock_of_job on clock (shop_id, job_id, started_at);
create index link_of_job on customer_link (shop_id, job_id);
create index command_age on command (at);
create index session_of_person on session ((sess->>'shopId'), (sess->>'personId'));

-- A common word stands in most lines: the newest that hold it are found by walking back from the end, a rare one by the index of words.
drop function log_with_words(tsquery, uuid, integer);
create function log_with_words(wanted tsquery, of_job uuid, most integer) returns setof bigint
  language plpgsql stable security definer rows 40 set search_path = public as $$
declare
  shop uuid := current_shop();
  looked_at constant integer := 4000;
  found bigint[];
begin
  -- The newest lines first, as far as a person would wait for.
  select array_agg(id) into found from (
    select id from (
      select id, words from log_entry where shop_id = shop and (of_job is null or job_id = of_job) order by id desc limit looked_at
    ) newest where words @@ wanted limit most) hits;
  if coalesce(array_length(found, 1), 0) < most then
    select array_agg(id) into found from (
      select id from log_entry where shop_id = shop and words @@ wanted and (of_job is null or job_id = of_job) order by id desc limit most) hits;
  end if;
  return query select h from (
    select unnest(found) as h
    union
    select m.entry_id from log_mark m join log_entry e on e.shop_id = m.shop_id and e.id = m.entry_id
      where m.shop_id = shop and m.words @@ wanted and (of_job is null or e.job_id = of_job)
  ) hits where h is not null order by h desc limit most;
end $$;
revoke all on function log_with_words(tsquery, uuid, integer) from public;
grant execute on function log_with_words(tsquery, uuid, integer) to bay_app;

-- Finding by words anywhere in a name: an index of three-letter pieces, which row-level security forbids to such operators, so each
-- function asks for the shop itself. Every word must be somewhere; the longest is looked up, the rest is compared.
create extension if not exists pg_trgm;
create function plain(words text) returns text language sql immutable parallel safe as $$ select lower(words) $$;
create index unit_words on unit using gin (plain(name || ' ' || coalesce(identity, '') || ' ' || place) gin_trgm_ops);
create index customer_words on customer using gin (plain(name) gin_trgm_ops);
create index part_words on record using gin (plain((data->>'title') || ' ' || coalesce(data->>'label', '')) gin_trgm_ops) where kind = 'part';
create function patterns(typed text) returns text[] language sql immutable as $$
  select array_agg('%' || replace(replace(replace(w, '\\', '\\\\'), '%', '\\%'), '_', '\\_') || '%' order by length(w) desc) from regexp_split_to_table(lower(trim(typed)), '\\s+') w where w <> '' $$;

-- The patterns are made once, and the longest of them asks the index: "like all" by itself asks none.
create function units_with_words(typed text, most integer) returns setof uuid language plpgsql stable security definer set search_path = public as $$
declare
  shop uuid := current_shop();
  wanted text[] := patterns(typed);
begin
  if wanted is null then return; end if;
  return query
    select id from unit where shop_id = shop and plain(name || ' ' || coalesce(identity, '') || ' ' || place) like wanted[1]
      and plain(name || ' ' || coalesce(identity, '') || ' ' || place) like all (wanted) order by kind, name, id limit most;
end $$;
create function parts_with_words(typed text, most integer) returns setof text language plpgsql stable security definer set search_path = public as $$
declare
  shop uuid := current_shop();
  wanted text[] := patterns(typed);
begin
  if wanted is null then return; end if;
  return query
    select key from record where shop_id = shop and kind = 'part' and plain((data->>'title') || ' ' || coalesce(data->>'label', '')) like wanted[1]
      and plain((data->>'title') || ' ' || coalesce(data->>'label', '')) like all (wanted) limit most;
end $$;
create function jobs_with_words(typed text, most integer) returns setof uuid language plpgsql stable security definer set search_path = public as $$
declare
  shop uuid := current_shop();
  wanted text[] := patterns(typed);
begin
  if wanted is null then return; end if;
  return query
    select job.id from (
      select ju.job_id as id from unit join job_unit ju on ju.shop_id = unit.shop_id and ju.unit_id = unit.id and ju.role = 'car' and ju.left_at is null
        where unit.shop_id = shop and plain(unit.name || ' ' || coalesce(unit.identity, '') || ' ' || unit.place) like wanted[1]
      union select job.id from customer join job on job.shop_id = customer.shop_id and job.customer_id = customer.id where customer.shop_id = shop and plain(customer.name) like wanted[1]
      union select job.id from job where shop_id = shop and number like wanted[1]
    ) near
    join job on job.shop_id = shop and job.id = near.id and job.withdrawn_at is null
    join customer on customer.shop_id = shop and customer.id = job.customer_id
    left join job_unit ju on ju.shop_id = shop and ju.job_id = job.id and ju.role = 'car' and ju.left_at is null
    left join unit on unit.shop_id = shop and unit.id = ju.unit_id
    where lower(job.number || ' ' || customer.name || ' ' || coalesce(unit.name, '') || ' ' || coalesce(unit.identity, '') || ' ' || coalesce(unit.place, '')) like all (wanted)
    order by job.closed_at is not null, job.number desc limit most;
end $$;
revoke all on function units_with_words(text, integer), parts_with_words(text, integer), jobs_with_words(text, integer) from public;
grant execute on function units_with_words(text, integer), parts_with_words(text, integer), jobs_with_words(text, integer), patterns(text), plain(text) to bay_app;

-- Replies of commands are kept as long as a device may send one again.
create function forget_replies(older_than interval) returns void language sql security definer set search_path = public as $$
  delete from command_reply using command where command.shop_id = command_reply.shop_id and command.id = command_reply.command_id and command.at < now() - older_than $$;
create or replace function forget_changes(older_than interval) returns void language sql security definer set search_path = public as $$
  delete from row_change using command where command.shop_id = row_change.shop_id and command.id = row_change.command_id and command.at < now() - older_than $$;
revoke all on function forget_replies(interval) from public;
grant execute on function forget_replies(interval), touch_jobs(uuid, uuid) to bay_app;
`;
