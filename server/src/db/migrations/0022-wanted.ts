/** What jobs want, found by what it is: a donor is harvested for all of them. */
export const up = `
create index kit_line_wanted on kit_line (shop_id, key) where status in ('wanted', 'sent-back');
`;
