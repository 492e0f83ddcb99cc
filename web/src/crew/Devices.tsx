import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { endSession, listSessions } from '@bay/contract/crew';
import { call, keys } from '../api/index.ts';
import { dayWords, timeWords, Trouble } from '../ui/index.ts';

/** Devices that are signed in, and how one is signed out from afar. */
export function Devices() {
  const client = useQueryClient();
  const sessions = useQuery({ queryKey: keys.sessions, queryFn: () => call(listSessions) });
  const ending = useMutation({
    mutationFn: (sessionId: string) => call(endSession, { params: { sessionId } }),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.sessions }),
  });
  return (
    <section className="panel">
      <h2>Signed-in devices</h2>
      <Trouble of={sessions} />
      <Trouble of={ending} />
      <ul className="rows">
        {(sessions.data?.sessions ?? []).map((s) => (
          <li key={s.id} className="row-actions" style={{ padding: '6px 0' }}>
            <b>{s.device}</b>
            <span style={{ flex: 1 }}>{s.person ?? 'nobody at it'}</span>
            <span className="quiet">
              {dayWords(s.lastSeen)} {timeWords(s.lastSeen)}
            </span>
            {s.thisOne ? (
              <span className="tag teal">this one</span>
            ) : (
              <button
                type="button"
                className="plain-button small"
                disabled={ending.isPending}
                onClick={() => ending.mutate(s.id)}
                aria-label={`Sign out: ${s.device}, ${s.person ?? 'nobody'}`}
              >
                Sign out
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
