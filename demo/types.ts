import type { GateName } from '@bay/core/commissioning';
import type { StationId } from '@bay/core/jobs';
import type { RecordKind } from '@bay/contract/records';
import type { UnitRole } from '@bay/contract/jobs';
import type { FactSource } from '@bay/core/facts';
import type { Scene } from './pictures.ts';

/** A moment in the demo: days before today, and the time of day. */
export type When = readonly [daysAgo: number, time: string];

export type Act =
  | {
      when: When;
      by: string;
      fact: readonly [bearer: string, factId: string, typed: string | Record<string, string>, source?: FactSource];
    }
  | { when: When; by: string; record: readonly [kind: RecordKind, key: string, data: Record<string, unknown>] }
  | { when: When; by: string; line: string }
  /** A quote from what stands, so much before tax; signed by the customer where a name is given. */
  | {
      when: When;
      by: string;
      quote: { net: number; exclusions: readonly string[]; note: string; despite?: string; signed?: string };
    }
  | { when: When; by: string; paid: { sort: 'deposit' | 'part'; amount: number; note: string } }
  /** Does the steps that lead to this one, in the order of its list, each so many minutes on the clock. */
  | { when: When; by: string; stepsUpTo: string; minutes: number }
  /** Passes a gate, a second person signing where two are wanted; one photo of the job shows what is to be seen. */
  | { when: When; by: string; passGate: GateName; second: string; photoId: string }
  | { when: When; by: string; photo: readonly [key: string, scene: Scene, caption: string, about?: string] }
  | { when: When; by: string; station: StationId; sign?: StationId; despite?: string }
  | { when: When; by: string; sign: StationId; despite?: string };

export interface DemoUnit {
  role: UnitRole;
  kind: 'car' | 'engine' | 'gearbox' | 'computer' | 'loom';
  name: string;
  identity?: string;
  place: string;
}

export interface DemoJob {
  opened: When;
  by: string;
  car: { name: string; modelYear: number; identity: string };
  customer: string;
  phone?: string;
  wish: string;
  faults: string;
  ownEngine: string;
  bay?: string;
  /** Days from today. */
  promisedIn?: number;
  units: readonly DemoUnit[];
  acts: readonly Act[];
}

type Typed = string | Record<string, string>;

/** Facts of one round: all by one person, minutes apart. */
export function round(
  when: When,
  by: string,
  source: FactSource,
  bearer: string,
  facts: Readonly<Record<string, Typed>>,
): Act[] {
  const [day, time] = when;
  const [h, m] = time.split(':').map(Number) as [number, number];
  return Object.entries(facts).map(([factId, typed], i) => {
    const minutes = h * 60 + m + i * 2;
    const at = `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
    return { when: [day, at], by, fact: [bearer, factId, typed, source] };
  });
}
