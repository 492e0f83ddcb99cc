/** Lines that a shop keeps for every job of which their condition holds; the budget of a car that is taken in. */
export const up = `
create table shop_rule (
  shop_id uuid not null references shop, id text not null, line jsonb not null, condition text not null, by_id uuid not null, at timestamptz not null default now(),
  ended_at timestamptz, ended_by uuid, ended_why text,
  primary key (shop_id, id), foreign key (shop_id, by_id) references person, foreign key (shop_id, ended_by) references person
);
alter table shop_rule enable row level security;
create policy own_shop on shop_rule using (shop_id = (select current_shop())) with check (shop_id = (select current_shop()));
grant select, insert, update, delete on shop_rule to bay_app;
create trigger keep_change after insert or update or delete on shop_rule for each row execute function keep_change();

-- Gearboxes are chosen among as well.
drop index job_unit_one_in_role;
create unique index job_unit_one_in_role on job_unit (shop_id, job_id, role) where left_at is null and role not in ('candidate', 'candidate-gearbox');

-- Pairings: engines by their family, cars by what they are called without their year. The core reads both the same way.
create function engine_family(code text) returns text language sql immutable parallel safe as $$ select lower(regexp_replace(split_part(coalesce(code, ''), ',', 1), '[^[:alnum:]]', '', 'g')) $$;
create function car_kind(name text) returns text language sql immutable parallel safe as $$ select lower(regexp_replace(regexp_replace(coalesce(name, ''), '^\\s*(19|20)[0-9]{2}\\s+', ''), '[^[:alnum:]]', '', 'g')) $$;
create index fact_engine_family on fact (shop_id, engine_family(parts->>'value')) where fact_id = 'eng-code';
create index unit_car_kind on unit (shop_id, car_kind(name)) where kind = 'car';
create function jobs_near(code text, car text, but uuid, most integer) returns setof uuid language plpgsql stable security definer set search_path = public as $$
declare
  shop uuid := current_shop();
  family text := engine_family(code);
  of_kind text := car_kind(car);
begin
  return query
    select job.id from (
      select ju.job_id as id from fact f join job_unit ju on ju.shop_id = shop and ju.unit_id = f.bearer_id and ju.role = 'engine' and ju.left_at is null
        where f.shop_id = shop and f.fact_id = 'eng-code' and engine_family(f.parts->>'value') = family and family <> ''
      union
      select ju.job_id from unit u join job_unit ju on ju.shop_id = shop and ju.unit_id = u.id and ju.role = 'car' and ju.left_at is null
        where u.shop_id = shop and u.kind = 'car' and car_kind(u.name) = of_kind and of_kind <> ''
    ) near join job on job.shop_id = shop and job.id = near.id and job.closed_at is not null and job.withdrawn_at is null and job.id <> but
    order by job.closed_at desc limit most;
end $$;
revoke all on function jobs_near(text, text, uuid, integer) from public;
grant execute on function jobs_near(text, text, uuid, integer), engine_family(text), car_kind(text) to bay_app;

-- What a customer wants to spend is an amount like the others.
alter table money drop constraint money_kind_check;
alter table money add constraint money_kind_check check (kind in ('kit', 'candidate', 'ask', 'donor-entry', 'way-out', 'quote-line', 'candidate-piece', 'arrival'));
create or replace view recorded with (security_invoker = true) as
  select r.shop_id, r.bearer_id, r.job_id, r.kind, r.key,
    case
      when r.kind in ('ask', 'donor-entry') then r.data || coalesce((select jsonb_build_object('amount', m.amount) from money m where m.shop_id = r.shop_id and m.job_id = r.job_id and m.kind = r.kind and m.key = r.key), '{}')
      when r.kind in ('quote-line', 'candidate-piece') then r.data || coalesce((select jsonb_build_object('price', m.amount) from money m where m.shop_id = r.shop_id and m.job_id = r.job_id and m.kind = r.kind and m.key = r.key), '{}')
      when r.kind = 'arrival' then r.data || coalesce((select jsonb_build_object('budget', m.amount) from money m where m.shop_id = r.shop_id and m.job_id = r.job_id and m.kind = r.kind and m.key = r.key), '{}')
      when r.kind in ('candidate', 'way-out') then r.data || coalesce((select jsonb_build_object('cost', m.amount) from money m where m.shop_id = r.shop_id and m.job_id = r.job_id and m.kind = r.kind and m.key = r.key), '{}')
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
    jsonb_strip_nulls(jsonb_build_object('status', k.status, 'options', k.options, 'note', k.note, 'supplierId', k.supplier_id, 'despite', k.despite,
      'price', (select m.amount from money m where m.shop_id = k.shop_id and m.job_id = k.job_id and m.kind = 'kit' and m.key = k.key),
      'byId', k.signed_by_id, 'at', stamp_time(k.signed_at))), k.revision, k.by_id, k.at, false
  from kit_line k;
`;
