/** Orders of the shop, their lines over its jobs, what went back, and the amounts of all three, seen by those only who may. */
export const up = `
create table purchase (
  shop_id uuid not null references shop, id uuid not null, number integer not null, sort text not null check (sort in ('goods', 'outside-work')), supplier_id uuid not null,
  ordered_on date not null, promised_on date, reference text not null default '', tracking text not null default '', note text not null default '',
  open boolean not null default true, by_id uuid not null, at timestamptz not null default now(), revision integer not null default 1,
  primary key (shop_id, id), unique (shop_id, number), foreign key (shop_id, supplier_id) references supplier, foreign key (shop_id, by_id) references person
);
create index purchase_open on purchase (shop_id, number desc) where open;
create index purchase_of_supplier on purchase (shop_id, supplier_id, reference);
create table purchase_line (
  shop_id uuid not null references shop, id uuid not null, purchase_id uuid not null, job_id uuid not null, kit_id text, title text not null, options text not null default '',
  count integer not null check (count > 0), came integer not null default 0 check (came >= 0 and came <= count), wrong integer not null default 0 check (wrong >= 0),
  sent_back integer not null default 0 check (sent_back >= 0 and sent_back <= came + wrong), cancelled boolean not null default false, step text, despite text,
  primary key (shop_id, id), foreign key (shop_id, purchase_id) references purchase, foreign key (shop_id, job_id) references job
);
create index purchase_line_of on purchase_line (shop_id, purchase_id);
create index purchase_line_of_job on purchase_line (shop_id, job_id, kit_id);
-- A kit line of a job is on one order at a time.
create unique index kit_line_ordered_once on purchase_line (shop_id, job_id, kit_id) where kit_id is not null and not cancelled and came < count;
create table sent_back (
  shop_id uuid not null references shop, id uuid not null, purchase_id uuid not null, line_id uuid not null, count integer not null check (count > 0), reason text not null,
  on_day date not null, until_day date, settled boolean not null default false, by_id uuid not null, at timestamptz not null default now(),
  primary key (shop_id, id), foreign key (shop_id, purchase_id) references purchase, foreign key (shop_id, line_id) references purchase_line, foreign key (shop_id, by_id) references person
);
create index sent_back_of on sent_back (shop_id, purchase_id);
-- Of a line each, of an order its freight, of what went back what came back for it.
create table purchase_amount (
  shop_id uuid not null references shop, of_id uuid not null, sort text not null check (sort in ('price', 'freight', 'back')), purchase_id uuid not null, amount bigint not null check (amount >= 0),
  by_id uuid not null, at timestamptz not null default now(), primary key (shop_id, of_id, sort), foreign key (shop_id, purchase_id) references purchase, foreign key (shop_id, by_id) references person
);
create index purchase_amount_of on purchase_amount (shop_id, purchase_id);
do $$
declare t text;
begin
  foreach t in array array['purchase', 'purchase_line', 'sent_back', 'purchase_amount'] loop
    execute format('alter table %I enable row level security', t);
    execute format('create policy own_shop on %I using (shop_id = (select current_shop())) with check (shop_id = (select current_shop()))', t);
    execute format('grant select, insert, update, delete on %I to bay_app', t);
    execute format('create trigger keep_change after insert or update or delete on %I for each row execute function keep_change()', t);
  end loop;
end $$;
drop policy own_shop on purchase_amount;
create policy own_shop_and_seen on purchase_amount using (shop_id = (select current_shop()) and (select sees_money())) with check (shop_id = (select current_shop()) and (select sees_money()));

-- Why a kit line was ordered although something about it was open.
alter table kit_line add column despite text;
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
    jsonb_strip_nulls(jsonb_build_object('status', k.status, 'options', k.options, 'note', k.note, 'supplierId', k.supplier_id, 'despite', k.despite,
      'price', (select m.amount from money m where m.shop_id = k.shop_id and m.job_id = k.job_id and m.kind = 'kit' and m.key = k.key),
      'byId', k.signed_by_id, 'at', stamp_time(k.signed_at))), k.revision, k.by_id, k.at, false
  from kit_line k;
`;
