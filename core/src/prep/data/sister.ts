import type { FactId } from '../../facts/catalogue.ts';

/** Something of an engine that is held against the same of its sister. */
export interface SisterPart {
  id: string;
  part: string;
  facts: readonly FactId[];
  /** It can be taken from the old engine to the new one. What cannot stays as the new one has it, and what meets it must take it. */
  moves: boolean;
  /** What of the car meets it where the old one stays behind it, or what happens when it is passed over. */
  why: string;
}

/** What is compared when an engine is exchanged for its sister and all behind it stays: common practice, no source. */
export const sisterParts: readonly SisterPart[] = [
  { id: 'sis-bell', part: 'Bell pattern', facts: ['eng-bell-pattern'], moves: false, why: 'the gearbox that stays bolts to it' },
  { id: 'sis-crank', part: 'Crank flange and pilot bore', facts: ['eng-crank-flange', 'eng-pilot-bore'], moves: false, why: 'flywheel, spacer and gearbox nose sit in it' },
  { id: 'sis-flywheel', part: 'Flywheel and ring gear', facts: ['eng-flywheel', 'eng-ring-gear'], moves: true, why: 'clutch or converter and starter stay as they are; spacer plate in or out' },
  { id: 'sis-starter', part: 'Starter side', facts: ['eng-starter-side'], moves: false, why: 'cable, heat and steering on that side' },
  { id: 'sis-bosses', part: 'Mount bosses', facts: ['eng-mount-bosses'], moves: false, why: 'the brackets that stay bolt to them' },
  { id: 'sis-sump', part: 'Sump, pick-up, dipstick', facts: ['eng-sump-depth', 'eng-sump-bowl-place', 'eng-filter-dipstick'], moves: true, why: 'crossmember and steering are where they were' },
  { id: 'sis-cover', part: 'Height and covers', facts: ['eng-height-up'], moves: true, why: 'hood and brace are where they were; covers often go with the head they came on' },
  { id: 'sis-intake', part: 'Throttle and intake', facts: ['eng-throttle-kind', 'eng-intake-mouth', 'eng-load-sensor'], moves: true, why: 'cable or wire of the car, and what its unit reads' },
  { id: 'sis-injection', part: 'Injectors and rail', facts: ['eng-injectors', 'eng-rail-ports', 'eng-rail-pressure'], moves: true, why: 'plugs of the loom, pressure of the pump' },
  { id: 'sis-crank-sensor', part: 'Crank sensor and its wheel', facts: ['eng-crank-sensor', 'eng-crank-trigger'], moves: true, why: 'the unit counts these teeth and no others; the wheel may need the engine open' },
  { id: 'sis-cam-sensor', part: 'Cam sensor', facts: ['eng-cam-sensor'], moves: true, why: 'plug and pattern as the unit knows them' },
  { id: 'sis-ignition', part: 'Ignition', facts: ['eng-ignition-kind', 'eng-firing-order'], moves: true, why: 'coils, leads and order as the unit fires them' },
  { id: 'sis-senders', part: 'Oil switch and senders', facts: ['eng-oil-switch', 'eng-oil-ports'], moves: true, why: 'lamp and gauge of the dash' },
  { id: 'sis-alternator', part: 'Alternator', facts: ['eng-alternator'], moves: true, why: 'plug, exciter and side' },
  { id: 'sis-belt', part: 'Belt run and its parts', facts: ['eng-accessory-drive', 'eng-belt-tensioner', 'eng-ps-pump', 'eng-ac-compressor'], moves: true, why: 'pump and compressor of the car, in one plane' },
  { id: 'sis-coolant', part: 'Coolant necks and thermostat', facts: ['eng-coolant-ports', 'eng-thermostat'], moves: true, why: 'hoses of the car' },
  { id: 'sis-exhaust', part: 'Exhaust side', facts: ['eng-exhaust-exit', 'eng-o2-sensors'], moves: true, why: 'front pipe and probes of the car' },
  { id: 'sis-unit', part: 'Engine unit and immobiliser', facts: ['eng-ecu-id', 'eng-immobiliser-kind'], moves: true, why: 'key, reader and unit are one set' },
  { id: 'sis-vacuum', part: 'Vacuum for the brakes', facts: ['eng-vacuum-ports'], moves: true, why: 'booster hose of the car' },
];
