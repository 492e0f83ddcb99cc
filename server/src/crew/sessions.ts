import { createHash } from 'node:crypto';
import { sql } from 'kysely';
import * as contract from '@bay/contract/crew';
import { may } from '@bay/contract/rights';
import type { Tx } from '../db/connection.ts';
import { notFound } from '../http/problem.ts';
import type { Caller, Registry } from '../http/register.ts';
import { sessionDays } from '../http/session.ts';
import { announce, announceEnded } from '../live/events.ts';

/** "Chrome on Android": enough to tell the tablet by the lift from one's own phone. */
export function deviceWords(agent = ''): string {
  const browser = /Firefox\//.test(agent)
    ? 'Firefox'
    : /Edg\//.test(agent)
      ? 'Edge'
      : /Chrome\//.test(agent)
        ? 'Chrome'
        : /Safari\//.test(agent)
          ? 'Safari'
          : 'a program';
  const system = /Android/.test(agent)
    ? 'Android'
    : /iPhone|iPad/.test(agent)
      ? 'iOS'
      : /Windows/.test(agent)
        ? 'Windows'
        : /Mac OS/.test(agent)
          ? 'macOS'
          : /Linux/.test(agent)
            ? 'Linux'
            : 'an unknown system';
  return `${browser} on ${system}`;
}

interface Row {
  sid: string;
  person_id: string | null;
  person: string | null;
  device: string | null;
  expire: Date;
}

// The id itself is as good as a key; what is shown is only told by it.
const shownId = (sid: string): string => createHash('sha256').update(sid).digest('base64url').slice(0, 22);

async function sessionsOf(tx: Tx, caller: Caller): Promise<Row[]> {
  const { rows } = await sql<Row>`
    select s.sid, s.sess->>'personId' as person_id, p.name as person, s.sess->>'device' as device, s.expire
    from session s left join person p on p.id = (s.sess->>'personId')::uuid
    where s.sess->>'shopId' = ${caller.shopId} and s.expire > now() order by s.expire desc`.execute(tx);
  return may(caller.role, 'manage-people') ? rows : rows.filter((r) => r.person_id === caller.personId);
}

/** Signs every device of a person out, but for the one that asks. */
export async function endSessionsOf(tx: Tx, shopId: string, personId: string, but: string): Promise<void> {
  const { rows } = await sql<{ sid: string }>`
    delete from session where sess->>'shopId' = ${shopId} and sess->>'personId' = ${personId} and sid <> ${but} returning sid`.execute(
    tx,
  );
  await announceEnded(
    tx,
    rows.map((r) => r.sid),
  );
}

export function sessionRoutes(on: Registry): void {
  on.shop(contract.listSessions, async (tx, { req }, caller) => ({
    sessions: (await sessionsOf(tx, caller)).map((r) => ({
      id: shownId(r.sid),
      person: r.person,
      device: r.device ?? 'unknown device',
      lastSeen: new Date(r.expire.getTime() - sessionDays * 86_400_000).toISOString(),
      thisOne: r.sid === req.sessionID,
    })),
  }));

  on.shop(contract.endSession, async (tx, { params }, caller) => {
    const row = (await sessionsOf(tx, caller)).find((r) => shownId(r.sid) === params.sessionId);
    if (!row) throw notFound('This device');
    await sql`delete from session where sid = ${row.sid}`.execute(tx);
    await announceEnded(tx, [row.sid]);
    await announce(tx, { shopId: caller.shopId, by: caller.initials, changes: [{ kind: 'sessions' }] });
    return { ended: true };
  });
}
