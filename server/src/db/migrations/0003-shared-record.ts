/** What a record shared by many hands needs: marks on log lines, search, undo, photos, clocks, takeovers, customer links. */
export const up = `
alter table job add column withdrawn_at timestamptz;
alter table log_entry add column command_id uuid references command;
alter table log_entry add column received_at timestamptz not null default now();
alter table log_entry add column words tsvector generated always as (to_tsvector('english', text)) stored;
create index log_of_thing on log_entry (job_id, about, id desc) where about is not null;
create index log_of_command on log_entry (command_id) where command_id is not null;
create index log_words on log_entry using gin (words);
create index log_of_shop on log_entry (shop_id, id desc);

create table log_mark (
  id bigserial primary key, shop_id uuid not null references shop, entry_id bigint not null references log_entry, kind text not null check (kind in ('corrected', 'struck', 'undone')),
  text text not null, words tsvector generated always as (to_tsvector('english', text)) stored, by_id uuid not null references person, at timestamptz not null default now()
);
create index mark_of_entry on log_mark (entry_id, id);
create index mark_words on log_mark using gin (words);

-- Search by words must use the index, which row-level security forbids to operators that may leak: so the shop is asked for here.
create function log_with_words(wanted tsquery, of_job uuid, most integer) returns setof bigint
  language sql stable security definer set search_path = public as $$
  select id from (
    select id from log_entry where shop_id = current_shop() and words @@ wanted and (of_job is null or job_id = of_job)
    union
    select m.entry_id from log_mark m join log_entry e on e.id = m.entry_id
      where m.shop_id = current_shop() and m.words @@ wanted and (of_job is null or e.job_id = of_job)
  ) hits order by id desc limit most $$;

create table row_change (
  id bigserial primary key, shop_id uuid not null references shop, command_id uuid not null references command, table_name text not null, before jsonb, after jsonb
);
create index change_of_command on row_change (command_id, id desc);
create table command_undone (command_id uuid primary key references command, shop_id uuid not null references shop, by_command uuid not null references command);
create function keep_change() returns trigger language plpgsql as $$
declare running text := nullif(current_setting('bay.command', true), '');
begin
  if running is not null then
    insert into row_change (shop_id, command_id, table_name, before, after)
    values (current_shop(), running::uuid, tg_table_name, case when tg_op <> 'INSERT' then to_jsonb(old) end, case when tg_op <> 'DELETE' then to_jsonb(new) end);
  end if;
  return null;
end $$;
-- What is too old to be undone is not kept.
create function forget_changes(older_than interval) returns void language sql security definer set search_path = public as $$
  delete from row_change using command where command.id = row_change.command_id and command.at < now() - older_than $$;

create table clock (
  id uuid primary key, shop_id uuid not null references shop, job_id uuid not null references job, person_id uuid not null references person,
  about text, title text not null, station text not null, work text not null, redoes text, estimate jsonb,
  started_at timestamptz not null, ended_at timestamptz, corrections jsonb not null default '[]', revision integer not null default 1,
  check (ended_at is null or ended_at >= started_at)
);
create unique index clock_running on clock (person_id) where ended_at is null;
create index clock_of_job on clock (job_id, started_at);

create table photo_blob (
  photo_id uuid not null, shop_id uuid not null references shop, size text not null check (size in ('original', 'screen', 'thumb')), mime text not null, bytes bytea not null,
  primary key (photo_id, size)
);
alter table photo_blob alter bytes set storage external;

create table looked (
  shop_id uuid not null references shop, job_id uuid not null references job, person_id uuid not null references person, log_id bigint not null, at timestamptz not null default now(),
  primary key (job_id, person_id)
);

create table customer_link (
  id uuid primary key, shop_id uuid not null references shop, job_id uuid not null references job, token_hash text not null unique, made_by uuid not null references person,
  made_at timestamptz not null default now(), ends_at timestamptz not null, revoked_at timestamptz
);
create index link_of_job on customer_link (job_id);
create function link_candidate(hash text) returns table (link_id uuid, shop_id uuid, job_id uuid)
  language sql security definer set search_path = public stable
  as $$ select id, customer_link.shop_id, customer_link.job_id from customer_link where token_hash = hash and revoked_at is null and ends_at > now() $$;

create index record_open_asks on record ((data->>'to')) where kind = 'ask' and not data ? 'answer';
create index record_handed on record ((data->>'handedTo')) where kind = 'task' and data ? 'handedTo';
create index session_of_shop on session ((sess->>'shopId'));

do $$
declare t text;
begin
  foreach t in array array['log_mark', 'row_change', 'command_undone', 'clock', 'photo_blob', 'looked', 'customer_link'] loop
    execute format('alter table %I enable row level security', t);
    execute format('create policy own_shop on %I using (shop_id = current_shop()) with check (shop_id = current_shop())', t);
    execute format('grant select, insert, update, delete on %I to bay_app', t);
  end loop;
  foreach t in array array['person', 'customer', 'unit', 'job', 'job_unit', 'fact', 'record', 'shop_school', 'log_mark', 'clock', 'customer_link'] loop
    execute format('create trigger keep_change after insert or update or delete on %I for each row execute function keep_change()', t);
  end loop;
end $$;
revoke update, delete on row_change, command_undone from bay_app;
revoke update on log_mark, photo_blob from bay_app;
grant usage on all sequences in schema public to bay_app;
revoke all on function log_with_words(tsquery, uuid, integer), forget_changes(interval), link_candidate(text) from public;
grant execute on function log_with_words(tsquery, uuid, integer), forget_changes(interval), link_candidate(text) to bay_app;
`;
