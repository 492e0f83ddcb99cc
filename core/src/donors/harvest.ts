import { condition, evaluate } from '../plan/condition.ts';
import type { Scope } from '../plan/condition.ts';
import { harvestParts } from './data/harvest.ts';
import type { HarvestPart } from './types.ts';

/** Parts that only some engines have; the condition is written against the donor's engine and gearbox. */
const onlyWhen: Readonly<Record<string, string>> = {
  'take-ecu': 'cho-control != mechanical-diesel',
  'take-immobiliser': 'eng-immobiliser-kind != none',
  'take-pedal': 'eng-throttle-kind = by-wire',
  'take-air-sensor': 'eng-load-sensor in {air-mass, pressure, both, vane}',
  'take-o2': 'eng-o2-sensors > 0',
  'take-coils': 'eng-ignition-kind != diesel-none',
  'take-injectors': 'eng-fuelling not in {carburettor, diesel-mechanical}',
  'take-fuel-hp': 'eng-fuelling in {direct-injection, diesel-common-rail}',
  'take-steering-pump': 'eng-ps-pump in {belt-left, belt-right}',
  'take-compressor': 'eng-ac-compressor != none',
  'take-converter': 'gbx-kind in {automatic-hydraulic, automatic-electronic, transaxle-automatic}',
  'take-clutch': 'gbx-kind in {manual, transaxle-manual}',
  'take-gearbox-ecu': 'gbx-kind in {automatic-electronic, dual-clutch}',
  'take-turbo': 'eng-induction != none',
};

export interface HarvestLine {
  part: HarvestPart;
  because: readonly string[];
  needs: readonly string[];
}

/** What to take off this donor: what certainly does not apply is left out, what nobody knows stays in. */
export const harvestPlan = (scope: Scope): HarvestLine[] =>
  harvestParts.flatMap((part) => {
    const truth = evaluate(condition(onlyWhen[part.id] ?? 'always'), scope);
    return truth.is === false ? [] : [{ part, because: truth.because, needs: truth.needs }];
  });

export const harvestConditions = Object.entries(onlyWhen);

export const partConditions = ['good', 'worn', 'damaged', 'missing'] as const;
export type PartCondition = (typeof partConditions)[number];

/** A harvested part with its bag or label. */
export interface PartRecord {
  takeId: string;
  title: string;
  condition: PartCondition;
  label: string;
  place: string;
  note?: string | undefined;
  by?: string;
  at?: string;
}

/** What a donor has earned back: sold and issued less everything it cost; neutral units. */
export const donorResult = (m: {
  sold: number;
  issued: number;
  purchase: number;
  collection: number;
  teardownHours: number;
  hourRate: number;
  storage: number;
  disposal: number;
}): number => m.sold + m.issued - m.purchase - m.collection - m.teardownHours * m.hourRate - m.storage - m.disposal;
