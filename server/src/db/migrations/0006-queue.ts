/** Work that is put into the queue with the change that wants it: in one transaction, by the role that the server works as. */
export const up = `
create function enqueue(task text, payload json) returns void language sql security definer set search_path = public as
  $$ select graphile_worker.add_job(task, payload) $$;
revoke all on function enqueue(text, json) from public;
grant execute on function enqueue(text, json) to bay_app;
`;
