/** Parts that were tried are asked for across the jobs of a shop, before one is ordered. */
export const up = `
create index record_tried on record (shop_id, at desc) where kind = 'tried';
`;
