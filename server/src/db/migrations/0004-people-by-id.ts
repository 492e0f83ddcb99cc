/**
 * People are kept by their id, also inside records: a rename loses nothing. Acts (released, judged, tested, …) carry who and when
 * of their own; a second signature is an act too, and what waits for one is known by a column.
 */
export const up = `
create function id_of_name(shop uuid, wanted text) returns text language sql stable as
  $$ select id::text from person where shop_id = shop and name = wanted order by active desc, created_at limit 1 $$;

-- A stamp with a name becomes one with an id; a name that nobody has any more stays as it was written.
create function with_id(shop uuid, act jsonb) returns jsonb language sql stable as $$
  select case
    when act is null or jsonb_typeof(act) <> 'object' then act
    when act ? 'by' and id_of_name(shop, act->>'by') is not null then (act - 'by') || jsonb_build_object('byId', id_of_name(shop, act->>'by'))
    else act end $$;

update record set data = with_id(shop_id, data);
do $$
declare act text;
begin
  foreach act in array array['judged', 'trial', 'resolution', 'override', 'voided', 'settled', 'back', 'answer', 'released', 'ended', 'closed', 'done'] loop
    update record set data = jsonb_set(data, array[act], with_id(shop_id, data->act)) where jsonb_typeof(data->act) = 'object';
  end loop;
end $$;
update record set data = (data - 'handedTo') || jsonb_build_object('handedToId', id_of_name(shop_id, data->>'handedTo'))
  where kind = 'task' and data ? 'handedTo' and id_of_name(shop_id, data->>'handedTo') is not null;
update record set data = data - 'toName' where kind = 'ask';
update record set data = (data - 'testedBy' - 'testedAt') || jsonb_build_object('tested', with_id(shop_id, jsonb_build_object('by', data->>'testedBy', 'at', data->>'testedAt')))
  where kind = 'circuit' and data ? 'testedBy';
-- A second name that somebody else typed is no signature: it stays readable in the reason, and the line waits for the person.
update record set data = (data - 'signedBy' - 'secondBy') || case when data->'override' ? 'second'
    then jsonb_build_object('override', (data->'override') - 'second' || jsonb_build_object('reason', left(data->'override'->>'reason', 400) || ' (named as second: ' || (data->'override'->>'second') || ')'))
    else '{}' end
  where kind = 'gate';
drop function with_id(uuid, jsonb);
drop function id_of_name(uuid, text);

alter table record add column half_signed boolean not null default false;
drop index record_handed;
`;
