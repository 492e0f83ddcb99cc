/** What the shop owes back: an old part against a deposit, a borrowed tool. */
export const up = `
alter table purchase drop constraint purchase_sort_check;
alter table purchase add constraint purchase_sort_check check (sort in ('goods', 'outside-work', 'borrowed'));
alter table purchase_line add column owed integer not null default 0 check (owed >= 0), add column given integer not null default 0, add column owed_by date, add column instead text;
alter table purchase_line add constraint given_of_owed check (given >= 0 and given <= owed);
alter table purchase_amount drop constraint purchase_amount_sort_check;
alter table purchase_amount add constraint purchase_amount_sort_check check (sort in ('price', 'freight', 'back', 'deposit'));
`;
