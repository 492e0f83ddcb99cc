/** Lines that a shop keeps for every job of which their condition holds. */
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
`;
