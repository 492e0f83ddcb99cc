import { when } from '../../../facts/when.ts';
import type { ForeseenDef } from '../foreseen.ts';

/** What a job brings along that no line of its quote shows. Common practice, no source, but where one is named. */
export const foreseenDefs: readonly ForeseenDef[] = [
  {
    id: 'say-crate-exhaust', title: 'A new engine: exhaust', when: when('eng-condition = new'),
    text: 'Manifolds of the package are made for another chassis; front pipes, probes and catalysts are open until the place of the engine is read',
  },
  {
    id: 'say-crate-fuel', title: 'A new engine: fuel supply', when: when('eng-condition = new'),
    text: 'Pump, regulator, filter and lines are not in the package; pressure and return must meet what its rail wants',
  },
  {
    id: 'say-crate-wiring', title: 'A new engine: its unit in this car', when: when('eng-condition = new'),
    text: 'The package runs the engine; dash, charge lamp, fans, start lock and gearbox are wired by whoever fits it',
  },
  {
    id: 'say-crate-front', title: 'A new engine: sump, mounts, accessories', when: when('eng-condition = new'),
    text: 'Sump, mounts and accessory drive come as its maker meant them and may be paid for twice where this car wants others',
  },
  {
    id: 'say-crate-cooling', title: 'A new engine: cooling', when: when('eng-condition = new'),
    text: 'Radiator, fans, header tank and hoses are of this car; nothing of them is in the package',
  },
  {
    id: 'say-dash-logic', title: 'Oil lamp and buzzer of this dash', when: when('rec-oil-warning-logic in {two-switch-low-and-high, bus-message}'),
    text: 'The dash wants more than one switch can say: lamp or buzzer may warn without cause until switches or a converter are chosen for it',
  },
  {
    id: 'say-dash-bus', title: 'Dash that talks over a network', when: when('rec-dash-kind = bus-cluster'),
    text: 'Lamps of functions that leave with the old engine may stay lit until somebody answers for them on the network',
  },
  {
    id: 'say-fewer-driven', title: 'Fewer driven accessories', when: when('cho-ps in {electric, manual} or cho-ac = deleted'),
    text: 'What the belt no longer drives leaves a little more at the wheels; no figure is given for it before a run shows one',
  },
  {
    id: 'say-addon-nitrous', title: 'Nitrous oxide', when: when('cho-addons = nitrous'),
    text: 'Fuel must rise with it at once and timing comes back, or pistons go; the bottle is fixed, vented outside, shut off in reach, and its heating and filling are its maker\'s and the local rule\'s matter. Pump, plugs, clutch and gearbox are rated with it on',
  },
  {
    id: 'say-addon-water', title: 'Water injection', when: when('cho-addons = water-injection'),
    text: 'When the tank is empty or a nozzle blocks the tune must fall back by itself; the mix may burn and is stored like fuel',
  },
  {
    id: 'say-addon-stages', title: 'Two stages of charging', when: when('cho-addons = second-stage'),
    text: 'Pressures multiply: head, gasket, rods, fuel and cooling are looked at for the product of both, and what happens when one bypass sticks',
  },
  {
    id: 'say-open-vent', title: 'Crankcase vent open to the air', when: when('cho-vent = open'),
    text: 'Many places forbid it on the road, it smells in the cabin and is heard; an inspector looks for it. Local law first',
  },
  {
    id: 'say-papers', title: 'Papers of a changed engine', when: when('cho-goal = road-going'),
    text: 'Another engine may mean another tax, noise or emission class, another insurance, and an entry before it drives on the road: ask the office, write down name, date and answer',
  },
  {
    id: 'say-approval', title: 'Approval of the single car', when: when('cho-goal = road-going and rec-inspection-regime = individual-approval'),
    text: 'The approval looks at brakes, noise, emissions and structure as one; its appointments and reports take weeks and are not in the hours',
  },
  {
    id: 'say-bumper', title: 'Another bumper', when: when('cho-outside = other-bumper'),
    text: 'Mouth and ducts decide the air through the radiator: cooling is judged with the bumper that stays, and its mass hangs before the front axle',
  },
  {
    id: 'say-arches', title: 'Other arches', when: when('cho-outside = other-arches'),
    text: 'A wider track moves load on bearings and steering and may need an entry in the papers',
  },
  {
    id: 'say-wheels', title: 'Other wheels', when: when('cho-outside = other-wheels'),
    text: 'Rolling circumference changes gearing and speedometer: ratios and speeds here are reckoned with the tyre that stands in the facts, so read the new one in first',
  },
  {
    id: 'say-year-gap', title: 'Engine and car of different years', when: when('rec-model-year != eng-model-year'),
    text: 'Look first at throttle (cable or wire), anti-theft, sensor plugs and their curves, spark plugs and coils, and what an inspection asks of either year',
  },
  {
    id: 'say-stood', title: 'An engine that stood', when: when('eng-condition = stood or eng-stood-months > 12'),
    text: 'Seals, tank, injectors and rings are not known to be sound: a flush, priming before it turns and a second oil change belong to it, and a seal may weep after weeks',
  },
  {
    id: 'say-brake-feel', title: 'Brakes without vacuum help', when: when('rec-brake-assist = vacuum and fit-booster-vacuum says Clash'),
    text: 'Pedal ratio and master bore are chosen anew when the vacuum is gone; the force at the pedal is tried before the first drive',
  },
  {
    id: 'say-reliability', title: 'Reliability comes first here', when: when('cho-first = reliability'),
    text: 'Of two parts that fit, the one is taken that has run long elsewhere and can be had on the road, also where it costs more',
  },
  {
    id: 'say-cost', title: 'Cost comes first here', when: when('cho-first = cost'),
    text: 'Of two ways that work, the cheaper in parts and hours together is taken; what is left for later is named',
  },
];
