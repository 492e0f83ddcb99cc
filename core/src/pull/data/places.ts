/** Where somebody stands or lies at a step, so that a car is lifted once and what lies beside one another is seen together. Common practice, no source. */

export const workPlaces = ['round', 'cabin', 'tank', 'above', 'front', 'wheels', 'below', 'hoist', 'bench'] as const;
export type WorkPlace = (typeof workPlaces)[number];

export const workPlaceWords: Readonly<Record<WorkPlace, string>> = {
  round: 'round the car',
  cabin: 'in the cabin',
  tank: 'at the tank and fuel lines',
  above: 'from above',
  front: 'from the front',
  wheels: 'at the wheels',
  below: 'from below',
  hoist: 'at the hoist',
  bench: 'off the car',
};

const steps: Readonly<Record<WorkPlace, readonly string[]>> = {
  round: [
    'rm-identify', 'rm-photo-tour', 'rm-fate-list', 'rm-baseline-run', 'rm-baseline-drive', 'rm-datum', 'rm-exit-choice', 'rm-weigh', 'rm-chock', 'rm-cool-down',
    'rm-airbag-wait', 'rm-snag-walk', 'rm-shell-rolls', 'rm-raise',
  ],
  cabin: [
    'rm-module-scan', 'rm-seats-move', 'rm-glass-roof', 'rm-latches', 'rm-battery-reach', 'rm-battery-off', 'rm-crank-tests', 'rm-hv-authorise', 'rm-hv-make-safe',
    'rm-hv-prove-dead', 'rm-hv-pack-out', 'rm-ecu-out', 'rm-shift-off', 'rm-mid-panels', 'rm-feed-by-leads',
  ],
  tank: ['rm-fuel-run-dry', 'rm-fuel-hp-wait', 'rm-fuel-stand-cold', 'rm-fuel-valve-bleed', 'rm-fuel-open'],
  above: [
    'rm-bonnet-off', 'rm-added-parts', 'rm-alternator', 'rm-belt-off', 'rm-booster-hose', 'rm-cables', 'rm-charge-pipes', 'rm-heater-hoses', 'rm-hose-top', 'rm-intake-off',
    'rm-connectors', 'rm-fusebox', 'rm-harness-split', 'rm-turbo-lines', 'rm-turbo-off', 'rm-ps-aside', 'rm-ps-open', 'rm-ac-aside', 'rm-fragile-off', 'rm-structure', 'rm-wash',
    'rm-bay-hot', 'rm-bay-paint', 'rm-holes-list', 'rm-cap-ports', 'rm-ps-loop', 'ein-bay-done', 'ein-lines', 'ein-firewall', 'ein-way-over', 'ein-joined-in', 'ein-slider-loose',
    'ein-hole-row', 'ein-mounts-in', 'ein-along', 'ein-height', 'ein-tighten', 'ein-tack',
  ],
  front: ['rm-fan-out', 'rm-radiator-out', 'rm-front-off', 'rm-front-cut', 'rm-ac-recover', 'rm-ac-off', 'ein-way-front'],
  wheels: ['rm-hub-nuts', 'rm-driveshafts-off', 'ein-way-below', 'ein-suspension-on'],
  below: [
    'rm-penetrant', 'rm-coolant-drain', 'rm-oil-drain', 'rm-gearbox-drain', 'rm-slave-aside', 'rm-clutch-line', 'rm-o2-plugs', 'rm-exhaust-braces', 'rm-exhaust-front',
    'rm-exhaust-cut', 'rm-starter-off', 'rm-straps', 'rm-filter-off', 'rm-bell-bolts', 'rm-converter-bolts', 'rm-cooler-speedo', 'rm-crossmember', 'rm-gearbox-held', 'rm-propshaft-off',
    'rm-transfer-off', 'rm-subframe-loose', 'ein-car-up', 'ein-tail-mount', 'ein-under', 'ein-car-down',
  ],
  hoist: [
    'rm-lift-plan', 'rm-lift-gear', 'rm-hoist-on', 'rm-cradle-under', 'rm-mounts-free', 'rm-lift-50', 'rm-exit', 'rm-set-down', 'rm-split', 'ein-hook-on', 'ein-table-under',
    'ein-unit-in', 'ein-gear-off',
  ],
  bench: ['rm-flywheel-off', 'rm-keep-list', 'rm-compare', 'rm-old-away', 'ein-hidden', 'ein-off-first', 'ein-join', 'ein-tail-plug', 'ein-on-cradle'],
};

const placeOf = new Map(workPlaces.flatMap((place) => steps[place].map((id): [string, WorkPlace] => [id, place])));

/** Where a step of pulling, harvesting or going in is done; nothing for a step of another list. */
export const workPlaceOf = (step: string): WorkPlace | undefined => placeOf.get(step);
