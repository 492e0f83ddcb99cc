import { when } from '../when.ts';
import type { Inference } from '../inferred.ts';

/**
 * What follows from other facts, with the reason as a person would give it. All common practice, no source; anybody who looks
 * and types what they see goes before it.
 */
export const inferences: readonly Inference[] = [
  { fact: 'rec-hv-system', value: 'no', when: when('rec-model-year < 1996'), reason: 'a car of that year carries no traction battery' },
  { fact: 'rec-hv-system', value: 'no', when: when('rec-fuel-before = petrol-carburettor'), reason: 'a car with a carburettor carries no traction battery' },
  { fact: 'rec-hv-system', value: 'yes', when: when('rec-fuel-before = hybrid'), reason: 'a hybrid has a high-voltage system' },
  { fact: 'rec-airbags', value: 'no', when: when('rec-model-year < 1973'), reason: 'cars of that year had no airbags and no belt tensioners' },
  { fact: 'rec-immobiliser-kind', value: 'none', when: when('rec-model-year < 1985'), reason: 'cars of that year had no immobiliser' },
  { fact: 'rec-body-network', value: 'none', when: when('rec-model-year < 1988'), reason: 'cars of that year had no data network' },
  { fact: 'eng-fuel', value: 'diesel', when: when('eng-fuelling in {diesel-mechanical, diesel-common-rail}'), reason: 'its fuelling is that of a diesel' },
  { fact: 'eng-throttle-kind', value: 'cable', when: when('eng-fuelling = carburettor'), reason: 'a carburettor is worked by cable or rod, not by wire' },
  { fact: 'eng-immobiliser-kind', value: 'none', when: when('eng-fuelling in {carburettor, diesel-mechanical}'), reason: 'an engine without an engine unit asks for no key' },
  { fact: 'eng-immobiliser-kind', value: 'none', when: when('eng-model-year < 1985'), reason: 'engines of that year had no immobiliser' },
  { fact: 'eng-diesel-stop', value: 'not-diesel', when: when('eng-fuel in {petrol, gas}'), reason: 'the engine is no diesel' },
  { fact: 'eng-ignition-kind', value: 'diesel-none', when: when('eng-fuel = diesel'), reason: 'a diesel has no ignition' },
  { fact: 'gbx-release-kind', value: 'not-a-clutch', when: when('gbx-kind in {automatic-hydraulic, automatic-electronic, transaxle-automatic}'), reason: 'a gearbox with a converter has no clutch pedal' },
  { fact: 'gbx-control', value: 'none', when: when('gbx-kind in {manual, transaxle-manual}'), reason: 'a hand shifts it' },
  { fact: 'gbx-control', value: 'hydraulic-governor', when: when('gbx-kind = automatic-hydraulic'), reason: 'a hydraulic automatic shifts itself' },
  { fact: 'gbx-throttle-link', value: 'none', when: when('gbx-kind in {manual, transaxle-manual}'), reason: 'a hand shifts it' },
  { fact: 'cho-engine-depth', value: 'stripped', when: when('eng-condition = rebuilt'), reason: 'it is rebuilt here' },
  { fact: 'cho-engine-depth', value: 'closed', when: when('eng-condition = new'), reason: 'a new engine stays as its maker closed it' },
  { fact: 'cho-gearbox-control', value: 'none', when: when('gbx-kind in {manual, transaxle-manual}'), reason: 'a hand shifts it' },
];
