/** Quotes with their answers, what the shop counts with, and payments: amounts in the smallest unit, seen by those only who may. */
export const up = `
create table shop_terms (
  shop_id uuid primary key references shop, hour_rate bigint check (hour_rate >= 0), hour_cost bigint check (hour_cost >= 0), price_unit bigint check (price_unit >= 0),
  markup double precision not null, sundries double precision not null, tax double precision not null, deposit double precision not null, valid_days integer not null,
  revision integer not null, by_id uuid not null, at timestamptz not null default now(), foreign key (shop_id, by_id) references person
);
create table quote (
  shop_id uuid not null references shop, job_id uuid not null, number integer not null check (number > 0),
  content jsonb not null, net bigint not null, gross bigint not null, deposit bigint not null, valid_until date not null,
  state text not null check (state in ('open', 'accepted', 'declined', 'withdrawn', 'replaced')), made_by uuid not null, made_at timestamptz not null default now(),
  answered_by text, answered_at timestamptz, declined jsonb not null default '[]', answer_text text not null default '', answered_gross bigint, answered_net bigint,
  primary key (shop_id, job_id, number), foreign key (shop_id, job_id) references job, foreign key (shop_id, made_by) references person
);
-- One quote of a job stands at a time.
create unique index quote_that_stands on quote (shop_id, job_id) where state in ('open', 'accepted');
create table payment (
  shop_id uuid not null references shop, id uuid not null, job_id uuid not null, sort text not null check (sort in ('deposit', 'part', 'final', 'back')), amount bigint not null check (amount > 0),
  on_day date not null, note text not null default '', by_id uuid not null, at timestamptz not null default now(),
  primary key (shop_id, id), foreign key (shop_id, job_id) references job, foreign key (shop_id, by_id) references person
);
create index payment_of_job on payment (shop_id, job_id, on_day);
do $$
declare t text;
begin
  foreach t in array array['shop_terms', 'quote', 'payment'] loop
    execute format('alter table %I enable row level security', t);
    execute format('create policy own_shop_and_seen on %I using (shop_id = (select current_shop()) and (select sees_money())) with check (shop_id = (select current_shop()) and (select sees_money()))', t);
    execute format('grant select, insert, update, delete on %I to bay_app', t);
    execute format('create trigger keep_change after insert or update or delete on %I for each row execute function keep_change()', t);
  end loop;
end $$;

alter table money drop constraint money_kind_check;
alter table money add constraint money_kind_check check (kind in ('kit', 'candidate', 'ask', 'donor-entry', 'way-out', 'quote-line', 'candidate-piece'));
create or replace view recorded with (security_invoker = true) as
  select r.shop_id, r.bearer_id, r.job_id, r.kind, r.key,
    case
      when r.kind in ('ask', 'donor-entry') then r.data || coalesce((select jsonb_build_object('amount', m.amount) from money m where m.shop_id = r.shop_id and m.job_id = r.job_id and m.kind = r.kind and m.key = r.key), '{}')
      when r.kind in ('quote-line', 'candidate-piece') then r.data || coalesce((select jsonb_build_object('price', m.amount) from money m where m.shop_id = r.shop_id and m.job_id = r.job_id and m.kind = r.kind and m.key = r.key), '{}')
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
    jsonb_strip_nulls(jsonb_build_object('status', k.status, 'options', k.options, 'note', k.note, 'supplierId', k.supplier_id,
      'price', (select m.amount from money m where m.shop_id = k.shop_id and m.job_id = k.job_id and m.kind = 'kit' and m.key = k.key),
      'byId', k.signed_by_id, 'at', stamp_time(k.signed_at))), k.revision, k.by_id, k.at, false
  from kit_line k;
`;
