/** Tables, row-level security between shops, and the two questions that must be asked before a shop is known. */
export const up = `
create table shop (
  id uuid primary key, name text not null, bays jsonb not null, next_job integer not null default 401, created_at timestamptz not null default now()
);
create table person (
  id uuid primary key, shop_id uuid not null references shop, name text not null, initials text not null, role text not null check (role in ('manager', 'technician', 'onlooker')),
  email text unique, password_hash text, pin_hash text, active boolean not null default true, created_at timestamptz not null default now()
);
create index person_of_shop on person (shop_id);
create table customer (id uuid primary key, shop_id uuid not null references shop, name text not null, phone text);
create index customer_of_shop on customer (shop_id);
create table unit (
  id uuid primary key, shop_id uuid not null references shop, kind text not null, name text not null, identity text, place text not null, created_at timestamptz not null default now()
);
create index unit_of_shop on unit (shop_id);
create table job (
  id uuid primary key, shop_id uuid not null references shop, number text not null, customer_id uuid not null references customer, wish text not null, faults text not null,
  bay text, promised date, station text not null, signed jsonb not null default '[]', revision integer not null default 1, opened_at timestamptz not null default now(), closed_at timestamptz,
  unique (shop_id, number)
);
create table job_unit (
  shop_id uuid not null references shop, job_id uuid not null references job, unit_id uuid not null references unit, role text not null, left_at timestamptz
);
create unique index job_unit_once on job_unit (job_id, unit_id, role) where left_at is null;
create unique index job_unit_one_in_role on job_unit (job_id, role) where left_at is null and role <> 'candidate';
create index job_unit_of_unit on job_unit (unit_id);
create table fact (
  shop_id uuid not null references shop, bearer_id uuid not null, fact_id text not null, parts jsonb not null, typed jsonb not null, source text not null, note text,
  by_id uuid not null references person, at timestamptz not null default now(), revision integer not null, primary key (bearer_id, fact_id)
);
create table fact_version (
  id bigserial primary key, shop_id uuid not null references shop, bearer_id uuid not null, fact_id text not null, parts jsonb not null, typed jsonb not null, source text not null, note text,
  by_id uuid not null references person, at timestamptz not null default now(), revision integer not null
);
create index fact_version_of_fact on fact_version (bearer_id, fact_id, id desc);
create table record (
  shop_id uuid not null references shop, job_id uuid not null references job, kind text not null, key text not null, data jsonb not null, revision integer not null,
  by_id uuid not null references person, at timestamptz not null default now(), primary key (job_id, kind, key)
);
create index record_parts on record (shop_id, key) where kind = 'part';
create table log_entry (
  id bigserial primary key, shop_id uuid not null references shop, job_id uuid not null references job, kind text not null, station text, text text not null, about text,
  data jsonb not null default '{}', by_id uuid not null references person, at timestamptz not null default now()
);
create index log_of_job on log_entry (job_id, id desc);
create table command (id uuid primary key, shop_id uuid not null references shop, by_id uuid not null references person, name text not null, at timestamptz not null default now());
create table command_reply (command_id uuid primary key references command, shop_id uuid not null references shop, reply jsonb not null);
create table shop_school (shop_id uuid not null references shop, question text not null, side text not null, by_id uuid not null references person, at timestamptz not null default now(), primary key (shop_id, question));
create unlogged table rate (key text primary key, hits integer not null, resets_at timestamptz not null);
create table session (sid varchar primary key, sess json not null, expire timestamp(6) not null);
create index session_expire on session (expire);

create function current_shop() returns uuid language sql stable as $$ select nullif(current_setting('bay.shop_id', true), '')::uuid $$;
do $$
declare t text;
begin
  foreach t in array array['person', 'customer', 'unit', 'job', 'job_unit', 'fact', 'fact_version', 'record', 'log_entry', 'command', 'command_reply', 'shop_school'] loop
    execute format('alter table %I enable row level security', t);
    execute format('create policy own_shop on %I using (shop_id = current_shop()) with check (shop_id = current_shop())', t);
    execute format('grant select, insert, update, delete on %I to bay_app', t);
  end loop;
end $$;
revoke update, delete on log_entry, fact_version, command, command_reply from bay_app;
alter table shop enable row level security;
create policy own_shop on shop using (id = current_shop()) with check (id = current_shop());
grant select, insert, update on shop to bay_app;
grant select, insert, update, delete on rate, session to bay_app;
grant usage on all sequences in schema public to bay_app;

create function any_shop() returns boolean language sql security definer set search_path = public stable as $$ select exists (select 1 from shop) $$;
create function sign_in_candidate(wanted text) returns table (person_id uuid, shop_id uuid, password_hash text)
  language sql security definer set search_path = public stable
  as $$ select id, person.shop_id, person.password_hash from person where lower(email) = lower(wanted) and active and person.password_hash is not null $$;
revoke all on function any_shop(), sign_in_candidate(text) from public;
grant execute on function any_shop(), sign_in_candidate(text), current_shop() to bay_app;
`;
