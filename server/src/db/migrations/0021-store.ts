/** The store: what a part is exactly, for which job it is kept and what became of it; what lies in a bag; both found by their words. */
export const up = `
alter table part add column variant text, add column number text, add column fate text not null default 'here' check (fate in ('here', 'fitted', 'sold', 'scrapped', 'sent-back', 'left-off')),
  add column for_job uuid, add column gone_to text, add foreign key (shop_id, for_job) references job;
create index part_for_job on part (shop_id, for_job) where for_job is not null;
create index part_in_place on part (shop_id, place, title) where fate = 'here';
create index part_by_title on part (shop_id, title, id);
alter table bag add column count integer check (count between 0 and 999), add column thread text, add column length_mm double precision, add column head text,
  add column reuse text check (reuse in ('reuse', 'replace', 'while-missing'));
create index unit_but_cars on unit (shop_id, name, id) where kind <> 'car';
create index bag_in_order on bag (shop_id, label, id);
create index bag_in_place on bag (shop_id, place, label) where back_at is null;
create index bag_words on bag using gin (plain(what || ' ' || label || ' ' || coalesce(place, '')) gin_trgm_ops);
drop index part_words;
create index part_words on part using gin (plain(title || ' ' || label || ' ' || place) gin_trgm_ops);
create or replace function parts_with_words(typed text, most integer) returns setof uuid language plpgsql stable security definer set search_path = public as $$
declare
  shop uuid := current_shop();
  wanted text[] := patterns(typed);
begin
  if wanted is null then return; end if;
  return query
    select id from part where shop_id = shop and plain(title || ' ' || label || ' ' || place) like wanted[1] and plain(title || ' ' || label || ' ' || place) like all (wanted)
    order by title, id limit most;
end $$;
create function bags_with_words(typed text, most integer) returns setof uuid language plpgsql stable security definer set search_path = public as $$
declare
  shop uuid := current_shop();
  wanted text[] := patterns(typed);
begin
  if wanted is null then return; end if;
  return query
    select id from bag where shop_id = shop and plain(what || ' ' || label || ' ' || coalesce(place, '')) like wanted[1]
      and plain(what || ' ' || label || ' ' || coalesce(place, '')) like all (wanted) order by label, id limit most;
end $$;
revoke all on function bags_with_words(text, integer) from public;
grant execute on function bags_with_words(text, integer) to bay_app;
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
    jsonb_strip_nulls(jsonb_build_object('takeId', p.take_id, 'title', p.title, 'condition', p.condition, 'label', p.label, 'place', p.place, 'note', p.note, 'variant', p.variant, 'number', p.number, 'fate', p.fate, 'forJob', p.for_job, 'goneTo', p.gone_to,
      'byId', p.signed_by_id, 'at', stamp_time(p.signed_at))), p.revision, p.by_id, p.at, false
  from part p
union all
  select b.shop_id, b.job_id, b.job_id, 'bag', b.key,
    jsonb_strip_nulls(jsonb_build_object('what', b.what, 'label', b.label, 'place', b.place, 'count', b.count, 'thread', b.thread, 'lengthMm', b.length_mm, 'head', b.head, 'reuse', b.reuse,
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
