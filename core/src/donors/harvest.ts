import { when } from '../facts/index.ts';
import type { Condition } from '../rules/condition.ts';
import type { TruthOf } from '../rules/truths.ts';
import { harvestParts } from './data/harvest.ts';
import type { HarvestPart } from './types.ts';

/** Parts that only some engines have; the condition is written against the donor's engine and gearbox. */
const onlyWhen: Readonly<Record<string, Condition>> = {
  'take-ecu': when('cho-control != mechanical-diesel'),
  'take-immobiliser': when('eng-immobiliser-kind != none'),
  'take-pedal': when('eng-throttle-kind = by-wire'),
  'take-air-sensor': when('eng-load-sensor in {air-mass, pressure, both, vane}'),
  'take-o2': when('eng-o2-sensors > 0'),
  'take-coils': when('eng-ignition-kind != diesel-none'),
  'take-injectors': when('eng-fuelling not in {carburettor, diesel-mechanical}'),
  'take-fuel-hp': when('eng-fuelling in {direct-injection, diesel-common-rail}'),
  'take-steering-pump': when('eng-ps-pump in {belt-left, belt-right}'),
  'take-compressor': when('eng-ac-compressor != none'),
  'take-converter': when('gbx-kind in {automatic-hydraulic, automatic-electronic, transaxle-automatic}'),
  'take-clutch': when('gbx-kind in {manual, transaxle-manual}'),
  'take-gearbox-ecu': when('gbx-kind in {automatic-electronic, dual-clutch}'),
  'take-turbo': when('eng-induction != none'),
};

const always = when('always');

export interface HarvestLine {
  part: HarvestPart;
  because: readonly string[];
  needs: readonly string[];
}

/** What to take off this donor: what certainly does not apply is left out, what nobody knows stays in. */
export const harvestPlan = (truthOf: TruthOf): HarvestLine[] =>
  harvestParts.flatMap((part) => {
    const truth = truthOf(onlyWhen[part.id] ?? always);
    return truth.is === false ? [] : [{ part, because: truth.because, needs: truth.needs }];
  });

export const harvestConditions = onlyWhen;
