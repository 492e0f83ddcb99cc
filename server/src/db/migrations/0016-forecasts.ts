/** Gaps that were read are asked for across the jobs of a shop, the last first: how near forecasts came. */
export const up = `
create index record_trial on record (shop_id, at desc) where kind in ('gap', 'fit');
`;
