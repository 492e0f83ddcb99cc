/** A plate is looked up when a car is booked in, so that one car is not booked in twice. */
export const up = `
create index unit_by_identity on unit (shop_id, identity) where identity is not null;
`;
