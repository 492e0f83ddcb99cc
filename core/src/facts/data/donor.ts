import type { FactDef } from '../types.ts';

/** Facts about the donor. Lengths in mm; a part without a unit is a plain count or ratio. */
export const donorFacts = [
  {
    id: 'don-proof-of-running', subject: 'donor', group: 'Donor', label: 'Proof of running',
    parts: [{ key: 'value', label: '', options: ['drove-in-donor', 'ran-in-donor', 'ran-on-stand', 'seller-says', 'none'] }],
    howTo: 'Own eyes; write oil pressure, temperature, codes, distance. Cannot be had after teardown', neededBy: ['eng-condition', 'gate-cu-condition'],
  },
  {
    id: 'don-mileage', subject: 'donor', group: 'Donor', label: 'Donor mileage',
    parts: [
      { key: 'value', label: '', unit: 'km' }, { key: 'source', label: 'Source', options: ['odometer', 'paper', 'said'] },
    ],
    kindNote: 'with source {odometer, paper, said}',
    howTo: 'As named; the engine keeps its own count apart from any car', neededBy: ['kit-timing-set', 'kit-water-pump', 'kit-turbo-service', 'f-bearing-wear', 'f-lift-pump-valves'],
  },
  {
    id: 'don-storage-months', subject: 'donor', group: 'Donor', label: 'Storage months',
    parts: [{ key: 'value', label: '', unit: '' }],
    kindNote: 'since last run',
    howTo: 'Ask, and look at the rust line in the bores with a scope', neededBy: ['kit-engine-oil', 'gate-fc-priming', 'gate-cu-oiled', 'f-alternator-regulator', 'f-battery-weak', 'f-engine-bound', 'f-glow-plugs', 'prime-hand'],
  },
  {
    id: 'don-harness-state', subject: 'donor', group: 'Donor', label: 'Harness state',
    parts: [
      { key: 'cut-plugs', label: 'Cut plugs', unit: '' }, { key: 'chafes', label: 'Chafes', unit: '' }, { key: 'missing-branches', label: 'Missing branches', unit: '' },
    ],
    howTo: 'Lay out flat, compare with pin table. One or two cut plugs can be spliced; more means another loom (common practice)', neededBy: ['fit-ecu-engine', 'kit-loom', 'f-no-spark'],
  },
  {
    id: 'don-ecu-set', subject: 'donor', group: 'Donor', label: 'ECU set',
    parts: [
      { key: 'engine-unit', label: 'Engine unit', options: ['present', 'missing'] }, { key: 'pedal', label: 'Pedal', options: ['present', 'missing', 'none'] }, { key: 'key', label: 'Key', options: ['present', 'missing', 'none'] },
      { key: 'reader', label: 'Reader', options: ['present', 'missing', 'none'] }, { key: 'body-unit', label: 'Body unit', options: ['present', 'missing', 'none'] }, { key: 'gearbox-unit', label: 'Gearbox unit', options: ['present', 'missing', 'none'] },
    ],
    howTo: 'Tick at harvest, same donor for all of them', neededBy: ['fit-ecu-engine', 'fit-immobiliser', 'kit-ecu', 'kit-pedal'],
  },
  {
    id: 'don-emission-set', subject: 'donor', group: 'Donor', label: 'Emission set',
    parts: [
      { key: 'catalysts', label: 'Catalysts', options: ['present', 'missing', 'none'] }, { key: 'oxygen-sensors', label: 'Oxygen sensors', options: ['present', 'missing', 'none'] }, { key: 'purge-valve-and-canister', label: 'Purge valve and canister', options: ['present', 'missing', 'none'] },
      { key: 'recirculation-valve', label: 'Recirculation valve', options: ['present', 'missing', 'none'] }, { key: 'label-photo', label: 'Label photo', options: ['present', 'missing'] },
    ],
    howTo: 'Tick at harvest; photo of the emission label under the hood', neededBy: ['fit-emission-parts', 'kit-catalyst', 'kit-evap'],
  },
] as const satisfies readonly FactDef[];
