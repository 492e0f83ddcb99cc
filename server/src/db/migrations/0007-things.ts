/**
 * What outlives a job or is counted gets tables with real columns: parts, bags, kit lines, suppliers, amounts of money. Who may
 * see an amount is decided by the database, row by row. The view `recorded` shows all records in one shape, wherever they lie.
 */
export const up = `
-- XXX is "no currency" of ISO 4217: amounts of shops that never chose one are plain numbers with two decimals.
alter table shop add column currency text not null default 'XXX' check (currency ~ '^[A-Z]{3}$');

create table supplier (
  shop_id uuid not null references shop, id uuid not null, name text not null, revision integer not null default 1, created_at timestamptz not null default now(),
  primary key (shop_id, id)
);
create unique index supplier_by_name on supplier (shop_id, lower(name));

create table part (
  shop_id uuid not null references shop, id uuid not null, job_id uuid not null, key text not null,
  take_id text not null, title text not null, condition text not null check (condition in ('good', 'worn', 'damaged', 'missing')), label text not null, place text not null, note text,
  signed_by_id uuid, signed_at timestamptz, revision integer not null, by_id uuid not null, at timestamptz not null default now(),
  primary key (shop_id, id), foreign key (shop_id, job_id) references job, foreign key (shop_id, by_id) references person, foreign key (shop_id, signed_by_id) references person
);
create unique index part_of_job on part (shop_id, job_id, key);

create table bag (
  shop_id uuid not null references shop, id uuid not null, job_id uuid not null, key text not null,
  what text not null, label text not null, place text, back_by_id uuid, back_at timestamptz,
  signed_by_id uuid, signed_at timestamptz, revision integer not null, by_id uuid not null, at timestamptz not null default now(),
  primary key (shop_id, id), foreign key (shop_id, job_id) references job, foreign key (shop_id, by_id) references person,
  foreign key (shop_id, signed_by_id) references person, foreign key (shop_id, back_by_id) references person
);
create unique index bag_of_job on bag (shop_id, job_id, key);
create index bag_by_label on bag (shop_id, label);

create table kit_line (
  shop_id uuid not null references shop, job_id uuid not null, key text not null,
  status text not null check (status in ('wanted', 'ordered', 'here', 'fitted', 'sent-back', 'not-needed')), options text, note text, supplier_id uuid,
  signed_by_id uuid, signed_at timestamptz, revision integer not null, by_id uuid not null, at timestamptz not null default now(),
  primary key (shop_id, job_id, key), foreign key (shop_id, job_id) references job, foreign key (shop_id, by_id) references person,
  foreign key (shop_id, signed_by_id) references person, foreign key (shop_id, supplier_id) references supplier
);
create index kit_line_of_supplier on kit_line (shop_id, supplier_id) where supplier_id is not null;

-- In the smallest unit of the shop's currency: paid for a kit line, asked for a candidate, asked of somebody to approve.
create table money (
  shop_id uuid not null references shop, job_id uuid not null, kind text not null check (kind in ('kit', 'candidate', 'ask')), key text not null,
  amount bigint not null check (amount >= 0), by_id uuid not null, at timestamptz not null default now(),
  primary key (shop_id, job_id, kind, key), foreign key (shop_id, job_id) references job, foreign key (shop_id, by_id) references person
);

create function sees_money() returns boolean language sql stable as $$ select coalesce(current_setting('bay.sees_money', true), '') = 'yes' $$;
do $$
declare t text;
begin
  foreach t in array array['supplier', 'part', 'bag', 'kit_line', 'money'] loop
    execute format('alter table %I enable row level security', t);
    execute format('create policy own_shop on %I using (shop_id = (select current_shop())) with check (shop_id = (select current_shop()))', t);
    execute format('grant select, insert, update, delete on %I to bay_app', t);
    execute format('create trigger keep_change after insert or update or delete on %I for each row execute function keep_change()', t);
  end loop;
  foreach t in array array['part', 'bag', 'kit_line', 'money'] loop
    execute format('create trigger touch after insert or update or delete on %I for each row execute function touch_by_job()', t);
  end loop;
end $$;
drop policy own_shop on money;
create policy own_shop_and_seen on money using (shop_id = (select current_shop()) and (select sees_money())) with check (shop_id = (select current_shop()) and (select sees_money()));
grant execute on function sees_money() to bay_app;

-- What lay among the other records moves to its table. A person who is not known by an id stays unnamed, as before.
create function person_id(words text) returns uuid language sql immutable as $$ select case when words ~ '^[0-9a-f-]{36}$' then words::uuid end $$;
create function thing_id(shop uuid, key text) returns uuid language sql stable as
  $$ select case when key ~ '^[0-9a-f]{8}-([0-9a-f]{4}-){3}[0-9a-f]{12}$' and (select count(*) from record r where r.shop_id = shop and r.kind in ('part', 'bag') and r.key = thing_id.key) = 1 then key::uuid else gen_random_uuid() end $$;
insert into part (shop_id, id, job_id, key, take_id, title, condition, label, place, note, signed_by_id, signed_at, revision, by_id, at)
  select shop_id, thing_id(shop_id, key), job_id, key, data->>'takeId', data->>'title', data->>'condition', coalesce(data->>'label', ''), coalesce(data->>'place', ''), data->>'note',
    person_id(data->>'byId'), (data->>'at')::timestamptz, revision, by_id, at from record where kind = 'part';
insert into bag (shop_id, id, job_id, key, what, label, place, back_by_id, back_at, signed_by_id, signed_at, revision, by_id, at)
  select shop_id, thing_id(shop_id, key), job_id, key, data->>'what', data->>'label', data->>'place', person_id(data->'back'->>'byId'),
    case when data ? 'back' then coalesce((data->'back'->>'at')::timestamptz, at) end,
    person_id(data->>'byId'), (data->>'at')::timestamptz, revision, by_id, at from record where kind = 'bag';
insert into kit_line (shop_id, job_id, key, status, options, note, signed_by_id, signed_at, revision, by_id, at)
  select shop_id, job_id, key, data->>'status', data->>'options', data->>'note', person_id(data->>'byId'), (data->>'at')::timestamptz, revision, by_id, at from record where kind = 'kit';
insert into money (shop_id, job_id, kind, key, amount, by_id, at)
  select shop_id, job_id, kind, key, round(coalesce(data->>'price', data->>'cost', data->>'amount')::numeric * 100), by_id, at
  from record where kind in ('kit', 'candidate', 'ask') and coalesce(data->>'price', data->>'cost', data->>'amount') is not null;
delete from record where kind in ('part', 'bag', 'kit');
update record set data = data - 'cost' - 'amount' where kind in ('candidate', 'ask') and (data ? 'cost' or data ? 'amount');
update log_entry set data = data #- '{before,price}' #- '{before,cost}' #- '{before,amount}' where data->>'record' in ('kit', 'candidate', 'ask') and data ? 'before';
drop function person_id(text), thing_id(uuid, text);
alter table record add constraint record_has_no_table check (kind not in ('part', 'bag', 'kit'));

create function stamp_time(t timestamptz) returns text language sql stable as $$ select to_char(t at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') $$;
create view recorded with (security_invoker = true) as
  select r.shop_id, r.bearer_id, r.job_id, r.kind, r.key,
    case r.kind
      when 'ask' then r.data || coalesce((select jsonb_build_object('amount', m.amount) from money m where m.shop_id = r.shop_id and m.job_id = r.job_id and m.kind = 'ask' and m.key = r.key), '{}')
      when 'candidate' then r.data || coalesce((select jsonb_build_object('cost', m.amount) from money m where m.shop_id = r.shop_id and m.job_id = r.job_id and m.kind = 'candidate' and m.key = r.key), '{}')
      else r.data end as data,
    r.revision, r.by_id, r.at, r.half_signed
  from record r
union all
  select p.shop_id, p.job_id, p.job_id, 'part', p.key,
    jsonb_strip_nulls(jsonb_build_object('takeId', p.take_id, 'title', p.title, 'condition', p.condition, 'label', p.label, 'place', p.place, 'note', p.note,
      'byId', p.signed_by_id, 'at', stamp_time(p.signed_at))), p.revision, p.by_id, p.at, false
  from part p
union all
  select b.shop_id, b.job_id, b.job_id, 'bag', b.key,
    jsonb_strip_nulls(jsonb_build_object('what', b.what, 'label', b.label, 'place', b.place,
      'back', case when b.back_at is not null then jsonb_build_object('byId', b.back_by_id, 'at', stamp_time(b.back_at)) end,
      'byId', b.signed_by_id, 'at', stamp_time(b.signed_at))), b.revision, b.by_id, b.at, false
  from bag b
union all
  select k.shop_id, k.job_id, k.job_id, 'kit', k.key,
    jsonb_strip_nulls(jsonb_build_object('status', k.status, 'options', k.options, 'note', k.note, 'supplierId', k.supplier_id,
      'price', (select m.amount from money m where m.shop_id = k.shop_id and m.job_id = k.job_id and m.kind = 'kit' and m.key = k.key),
      'byId', k.signed_by_id, 'at', stamp_time(k.signed_at))), k.revision, k.by_id, k.at, false
  from kit_line k;
grant select on recorded to bay_app;
grant execute on function stamp_time(timestamptz) to bay_app;

drop index part_words, record_named;
create index record_named on record (shop_id, key) where kind = 'photo';
create index part_words on part using gin (plain(title || ' ' || label) gin_trgm_ops);
drop function parts_with_words(text, integer);
create function parts_with_words(typed text, most integer) returns setof uuid language plpgsql stable security definer set search_path = public as $$
declare
  shop uuid := current_shop();
  wanted text[] := patterns(typed);
begin
  if wanted is null then return; end if;
  return query
    select id from part where shop_id = shop and plain(title || ' ' || label) like wanted[1] and plain(title || ' ' || label) like all (wanted) limit most;
end $$;
revoke all on function parts_with_words(text, integer) from public;
grant execute on function parts_with_words(text, integer) to bay_app;
`;
