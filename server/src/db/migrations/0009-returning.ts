/** Somebody who left can come back as who they were: when they left is kept. And sessions end as long after they were seen as they should. */
export const up = `
alter table person add column left_at timestamptz;
-- Of those who left before it was kept: the last that they did here. Who did nothing has nothing to come back to.
update person set left_at = (select max(at) from command where by_id = person.id and command.shop_id = person.shop_id) where not active;
update session set expire = least(expire, now() + interval '14 days');
`;
