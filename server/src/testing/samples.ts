import { randomUUID } from 'node:crypto';
import { harvestParts } from '@bay/core/donors';
import { recordKinds } from '@bay/contract/records';
import type { RecordKind } from '@bay/contract/records';

type Data = Record<string, unknown>;

/** The id that samples have as their key, and that those of them that speak of another speak of. */
export const sampleId = randomUUID();
const uuid = sampleId;
const made = randomUUID();
const reserved = randomUUID();

/** Something that may be written of each kind, with the key it is written under, and the acts that can be done on it. */
export interface Sample {
  key: string;
  data: Data;
  acts?: Record<string, Data>;
  /** What the first writing wants besides. */
  begins?: Data;
  /** What is written over it so that another may begin, where there is one at a time. */
  ends?: Data;
  /** The field that counts for the which time it is written. */
  counts?: string;
  /** What it speaks of, which must be there before it is written. */
  speaksOf?: readonly { kind: RecordKind; key: string; data: Data }[];
  /** What is said beside an act, where the act wants it. */
  acted?: Data;
}

/** Every kind in an order in which all may be written on one job: nothing comes off a shell that is gone, so that goes last. */
export const kindsInOrder: readonly RecordKind[] = [...recordKinds.filter((k) => k !== 'shell'), 'shell'];

export const samples: Record<RecordKind, Sample> = {
  task: {
    key: 'rm-mounts-free',
    data: { status: 'open' },
    acts: { deviation: { why: 'it hung on the crane of the last shop' } },
    acted: { status: 'done' },
  },
  snag: {
    key: uuid,
    data: { step: 'rm-exhaust-front', sort: 'stuck', what: 'two studs', ways: ['heat'], extraMinutes: 30 },
    acts: { ended: { how: 'came with heat' } },
  },
  making: {
    key: uuid,
    data: { title: 'Left mount arm', sort: 'bracket', place: 'fit-mount-pads' },
    acts: { dropped: { why: 'the plate does it' } },
  },
  'making-step': {
    key: `${made}:template`,
    data: { making: made, step: 'template', times: 1 },
    counts: 'times',
    speaksOf: [{ kind: 'making', key: made, data: { title: 'Right mount arm', sort: 'bracket' } }],
    acts: { voided: { why: 'cut in the wrong place' } },
  },
  'candidate-piece': { key: uuid, data: { unitId: uuid, what: 'Engine loom' } },
  choosing: { key: 'engine', data: { weights: { power: 5 } } },
  works: { key: 'wipers', data: { what: 'Wipers', state: 'works' }, acts: { again: { state: 'works' } } },
  arrival: {
    key: 'sheet',
    data: { odometerKm: 90000, keys: 2 },
    acts: {
      received: {
        name: 'Ada Ferrow',
        strokes: [
          [
            [0, 0],
            [10, 10],
          ],
        ],
      },
    },
  },
  run: {
    key: uuid,
    data: { when: 'before', sort: 'rollers', on: '2026-11-20', taken: 'wheels', burns: 'spark', powerKw: 80 },
  },
  'donor-terms': { key: 'donor', data: { from: '2026-11-01' } },
  purchase: {
    key: 'donor',
    data: { of: 'donor', seller: 'Marle Yard', source: 'breaker', on: '2026-11-01', heard: 'run' },
    acts: { settled: { how: 'kept' } },
  },
  reservation: {
    key: uuid,
    speaksOf: [
      {
        kind: 'part',
        key: reserved,
        data: { takeId: '', title: 'Battery', condition: 'good', label: '', place: 'shelf' },
      },
    ],
    data: { partKey: reserved, who: 'Ada Ferrow', until: '2099-12-01' },
    acts: { ended: { how: 'never came' } },
    ends: { ended: { how: 'never came' } },
  },
  'donor-want': {
    key: uuid,
    data: { takeId: 'take-cluster', what: 'cluster with a rev counter' },
    acts: { ended: { how: 'found one' } },
  },
  caught: {
    key: uuid,
    data: { from: 'donor', system: 'coolant', litres: 6, fate: 'kept', where: 'drum 2', on: '2026-11-02' },
  },
  'proof-run': {
    key: uuid,
    data: { on: '2026-11-20', minutes: 20, shifts: 'well', joints: 'dry' },
    acts: {
      signed: {
        name: 'Ada Ferrow',
        strokes: [
          [
            [0, 0],
            [10, 10],
          ],
        ],
      },
    },
  },
  shell: {
    key: 'donor',
    data: { fate: 'scrapped', goneTo: 'the yard in town', on: '2026-11-26' },
    speaksOf: harvestParts.map((p, i) => ({
      kind: 'part',
      key: `00000000-0000-4000-8000-${String(7000 + i).padStart(12, '0')}`,
      data: {
        takeId: p.id,
        title: p.title,
        condition: 'good',
        label: '',
        place: '',
        fate: 'left-off',
        note: 'burnt with the cabin',
      },
    })),
  },
  claim: {
    key: uuid,
    data: { what: 'water pump is new', saidBy: 'the seller', on: 'engine' },
    acts: { looked: { holds: true, how: 'cast date read' } },
  },
  link: {
    key: '5b1c9b5e-1111-4b5f-8e41-5a2b8b1c7d33',
    data: { what: 'plug', name: 'Injector 3', fate: 'back', label: 'L3' },
    acts: { off: {}, on: {}, dropped: { why: 'logged twice' } },
  },
  'own-line': {
    key: 'own-strap-for-the-tank-a1b2',
    data: { sort: 'step', title: 'Strap for the tank', why: 'it rattles', station: 'connect' },
  },
  'quote-line': {
    key: 'dur-wash',
    data: { take: 'in', who: 'customer', optional: true },
    acts: { done: {} },
  },
  'own-shape': {
    key: '0c3d6f5a-6d0a-4f5b-8e41-5a2b8b1c7d22',
    data: {
      name: 'Fuse box',
      side: 'bay',
      x: [100, 200],
      y: [200, 300],
      z: [100, 200],
      sure: 'tape',
      against: ['covers-left'],
      clearance: 'cl-fixed',
      typed: {},
    },
  },
  'way-out': {
    key: '6b0f4c1e-2a58-4c39-9d43-0f6f6d2f4a10',
    data: { title: 'Shallower sump', shape: 'sump-bowl', z: 40, typed: { z: '40 mm' } },
  },
  rig: {
    key: 'out',
    data: {
      frontX: 420,
      frontZ: 250,
      rearX: 60,
      rearZ: 240,
      hookAbove: 500,
      leastRatingKg: 500,
      typed: { frontX: '42 cm' },
    },
  },
  'foreign-part': { key: uuid, data: { what: 'tube header', places: ['fit-exhaust-body'] } },
  'lift-item': {
    key: '6b0f4c1e-2a58-4c39-9d43-0f6f6d2f4a77',
    data: {
      lift: 'out',
      item: { sort: 'carries', what: 'front eye', gear: 'eye-shoulder', on: 'front', ratingKg: 500 },
    },
  },
  'donor-entry': { key: uuid, data: { sort: 'sold', what: 'rear axle', on: '2026-04-04' } },
  'as-it-came': { key: uuid, data: { view: 'left', x: 0.2, y: 0.4, what: 'damage', note: 'door skin creased' } },
  kit: { key: 'kit-sump', data: { status: 'wanted' } },
  fit: {
    key: 'fit-bellhousing',
    data: {},
    acts: {
      judged: { word: 'adapt', why: 'looks like it' },
      waived: { why: 'same car as the last one' },
      trial: { word: 'bolts-up', place: 'bell', condition: 'cold' },
      resolution: { text: 'adapter plate', kit: [], asked: [] },
    },
  },
  lift: {
    key: uuid,
    data: {
      reason: 'trial',
      why: 'sump over the crossmember',
      foreseen: true,
      unit: 'stand-in',
      carries: 'truck sump, no manifolds',
    },
    begins: { deviation: { why: 'an empty block, carried in by two' } },
    ends: { out: { why: 'the next' } },
    acts: {
      read: { ownMounts: true, typed: {}, heightMm: -60 },
      sits: { how: 'loose' },
      shifted: { why: 'left mount a hole down', times: 1 },
      deviation: { why: 'an empty block, lifted in by hand' },
      out: { why: 'notch in the crossmember' },
    },
  },
  gap: {
    key: uuid,
    data: { interfaceId: 'fit-hood', read: { word: 'bolts-up', place: 'rear brace', condition: 'cold' } },
    acts: {
      read: { word: 'adapt', place: 'rear brace', condition: 'cold' },
      withdrawn: { why: 'engine sat on one mount' },
    },
  },
  candidate: { key: uuid, data: { note: 'from the yard' } },
  gate: {
    key: 'gate-fc-hand-turn',
    data: { text: 'looked, dry' },
    acts: { override: { reason: 'the camera broke today' }, voided: { why: 'engine out again' } },
  },
  priming: {
    key: uuid,
    data: { way: 'external-pressure', bar: 3, seconds: 20 },
    acts: { deviation: { why: 'the pump was on before the gate was read' } },
  },
  'warm-up': { key: uuid, data: { minute: 4, coolantC: 48, oilBar: 3.6, rpm: 1100 } },
  attempt: {
    key: '1',
    data: { number: 1, seconds: 3, result: 'runs' },
    begins: { deviation: { why: 'somebody turned the key' } },
    acts: { deviation: { why: 'somebody turned the key in passing' } },
  },
  signature: { key: uuid, data: { what: 'booking in', statement: 'as seen' } },
  provisional: { key: uuid, data: { what: 'left mount loose' }, acts: { ended: {} } },
  circuit: {
    key: uuid,
    data: {
      title: 'pump',
      from: 'a',
      to: 'b',
      signal: 'power',
      load: 'pump or fan',
      labelA: 'A',
      labelB: 'B',
    },
    acts: { tested: {} },
  },
  sheet: { key: 'bore:1', data: { sheet: 'bore', place: '1', readings: {}, typed: {} } },
  limits: { key: 'bore', data: { limits: {}, source: 'manual' } },
  joint: { key: 'head', data: { name: 'head', on: 'engine', bolts: 10 } },
  torque: {
    key: 'head:1',
    data: { joint: 'head', on: 'engine', bolt: '1', stagesNm: [30], source: 'manual' },
    acts: { voided: { why: 'head off' } },
  },
  finding: {
    key: uuid,
    data: { on: 'engine', what: 'scored bore' },
    acts: { settled: { how: 'honed' } },
  },
  part: {
    key: uuid,
    data: { takeId: 'take-ecu', title: 'unit', condition: 'good', label: 'C-1', place: 'C2' },
  },
  case: {
    key: uuid,
    data: { symptom: 'no fire', touched: [] },
    acts: { closed: { faultId: 'f-pump-relay', reason: 'relay dead' } },
  },
  observation: { key: uuid, data: { caseId: uuid, observationId: 'o-fires', outcome: 'no-fire' } },
  'follow-up': {
    key: uuid,
    data: { what: 'tighten again' },
    acts: { done: { note: 'at 500 km' } },
  },
  school: { key: 'sch-clamps', data: { side: 'sch-clamps-a', reason: 'customer asks' } },
  hold: { key: uuid, data: { waitsFor: 'paint' }, acts: { released: {} } },
  bag: { key: uuid, data: { what: 'bolts', label: '7' }, acts: { back: {} } },
  fluid: { key: uuid, data: { way: 'drained', litres: 4, what: 'oil' } },
  decision: { key: uuid, data: { chosen: 'plate A', over: ['plate B'], because: 'it fits' } },
  tried: { key: uuid, data: { part: 'neck', how: 'too long', back: true } },
  photo: { key: uuid, data: { caption: 'bay', width: 10, height: 10 } },
  pin: { key: uuid, data: { photoId: uuid, number: 1, x: 0, y: 0, sort: 'note', text: '' } },
  ask: {
    key: uuid,
    data: { ask: 'question', to: 'manager', what: 'which one?' },
    acts: { answer: { text: 'the left' } },
  },
};
