/**
 * What a part is worth, where it came from, what is not original on it; at which step bolts came off and go back, and what is left
 * over; the places of the store as the shop draws them.
 */
export const up = `
alter table part add column came_from text check (came_from in ('donor', 'outgoing', 'supplier', 'breaker', 'customer', 'shelf')), add column came_of text, add column not_original text, add column photo_id uuid;
create index part_like_it on part (shop_id, take_id) where fate = 'here' and take_id <> '';
alter table bag add column step text, add column goes_at text, add column left_over integer check (left_over between 0 and 999), add column left_why text;
drop index job_unit_one_in_role;
create unique index job_unit_one_in_role on job_unit (shop_id, job_id, role) where left_at is null and role not in ('candidate', 'candidate-gearbox', 'spare-gearbox');
create index record_donor_wants on record (shop_id, (data->>'takeId')) where kind = 'donor-want' and data->'ended' is null;
create index record_snags on record (shop_id, at desc) where kind = 'snag';
create index record_reserved on record (shop_id, job_id, (data->>'partKey')) where kind = 'reservation';
alter table money drop constraint money_kind_check;
alter table money add constraint money_kind_check check (kind in ('kit', 'candidate', 'ask', 'donor-entry', 'way-out', 'quote-line', 'candidate-piece', 'arrival', 'part', 'purchase', 'donor-terms', 'reservation'));
create index unit_in_place on unit (shop_id, place) where kind <> 'car';
create index bag_by_what on bag (shop_id, what, id);
create table store_place (
  shop_id uuid not null references shop, id uuid not null, name text not null, sort text not null check (sort in ('shelf', 'rack', 'box', 'bench', 'yard', 'shell')),
  left_at integer not null check (left_at between 0 and 39), top_at integer not null check (top_at between 0 and 39), wide integer not null check (wide between 1 and 40), high integer not null check (high between 1 and 40),
  dry boolean not null default true, holds integer check (holds between 1 and 9999), revision integer not null default 1,
  primary key (shop_id, id), check (left_at + wide <= 40 and top_at + high <= 40)
);
create unique index store_place_by_name on store_place (shop_id, lower(name));
alter table store_place enable row level security;
create policy own_shop on store_place using (shop_id = (select current_shop())) with check (shop_id = (select current_shop()));
grant select, insert, update, delete on store_place to bay_app;
create trigger keep_change after insert or update or delete on store_place for each row execute function keep_change();
create or replace view recorded with (security_invoker = true) as
  select r.shop_id, r.bearer_id, r.job_id, r.kind, r.key,
    case
      when r.kind in ('ask', 'donor-entry') then r.data || coalesce((select jsonb_build_object('amount', m.amount) from money m where m.shop_id = r.shop_id and m.job_id = r.job_id and m.kind = r.kind and m.key = r.key), '{}')
      when r.kind in ('quote-line', 'candidate-piece', 'purchase') then r.data || coalesce((select jsonb_build_object('price', m.amount) from money m where m.shop_id = r.shop_id and m.job_id = r.job_id and m.kind = r.kind and m.key = r.key), '{}')
      when r.kind = 'arrival' then r.data || coalesce((select jsonb_build_object('budget', m.amount) from money m where m.shop_id = r.shop_id and m.job_id = r.job_id and m.kind = r.kind and m.key = r.key), '{}')
      when r.kind = 'donor-terms' then r.data || coalesce((select jsonb_build_object('aDay', m.amount) from money m where m.shop_id = r.shop_id and m.job_id = r.job_id and m.kind = r.kind and m.key = r.key), '{}')
      when r.kind = 'reservation' then r.data || coalesce((select jsonb_build_object('deposit', m.amount) from money m where m.shop_id = r.shop_id and m.job_id = r.job_id and m.kind = r.kind and m.key = r.key), '{}')
      when r.kind in ('candidate', 'way-out') then r.data || coalesce((select jsonb_build_object('cost', m.amount) from money m where m.shop_id = r.shop_id and m.job_id = r.job_id and m.kind = r.kind and m.key = r.key), '{}')
      else r.data end as data,
    r.revision, r.by_id, r.at, r.half_signed
  from record r
union all
  select p.shop_id, p.job_id, p.job_id, 'part', p.key,
    jsonb_strip_nulls(jsonb_build_object('takeId', p.take_id, 'title', p.title, 'condition', p.condition, 'label', p.label, 'place', p.place, 'note', p.note, 'variant', p.variant, 'number', p.number, 'fate', p.fate, 'forJob', p.for_job, 'goneTo', p.gone_to,
      'cameFrom', p.came_from, 'cameOf', p.came_of, 'notOriginal', p.not_original, 'photoId', p.photo_id,
      'value', (select m.amount from money m where m.shop_id = p.shop_id and m.job_id = p.job_id and m.kind = 'part' and m.key = p.key),
      'byId', p.signed_by_id, 'at', stamp_time(p.signed_at))), p.revision, p.by_id, p.at, false
  from part p
union all
  select b.shop_id, b.job_id, b.job_id, 'bag', b.key,
    jsonb_strip_nulls(jsonb_build_object('what', b.what, 'label', b.label, 'place', b.place, 'count', b.count, 'thread', b.thread, 'lengthMm', b.length_mm, 'head', b.head, 'reuse', b.reuse,
      'step', b.step, 'goesAt', b.goes_at, 'leftOver', b.left_over, 'leftWhy', b.left_why,
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
