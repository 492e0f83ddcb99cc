/**
 * Measurements, torques and findings hang on the unit they were taken on, as facts do: a unit that moves to another job takes
 * them along, and two jobs that speak of one engine read the same rows. `job_id` stays as the job on which a row was written last.
 */
export const up = `
alter table record add column bearer_id uuid;
update record r set bearer_id = coalesce(
  case when r.kind in ('sheet', 'limits', 'joint', 'torque') then
    (select ju.unit_id from job_unit ju where ju.job_id = r.job_id and ju.role = 'engine' order by ju.left_at desc nulls first limit 1) end,
  r.job_id);
delete from record r using record newer
  where r.bearer_id = newer.bearer_id and r.kind = newer.kind and r.key = newer.key and (newer.revision, newer.job_id) > (r.revision, r.job_id);
alter table record alter column bearer_id set not null;
alter table record drop constraint record_pkey;
alter table record add primary key (bearer_id, kind, key);
create index record_of_job on record (job_id);
`;
