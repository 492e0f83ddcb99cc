/** What a part of a donor is to other jobs: the kit lines that it can fill. Whether it suits their engine a person says. */
export const kitOfTake: Readonly<Record<string, readonly string[]>> = {
  'take-ecu': ['kit-ecu'],
  'take-immobiliser': ['kit-immobiliser-set'],
  'take-keys': ['kit-immobiliser-set'],
  'take-loom': ['kit-loom'],
  'take-fusebox': ['kit-fusebox'],
  'take-pedal': ['kit-pedal'],
  'take-o2': ['kit-o2-sensors'],
  'take-sensors': ['kit-sensors-renew', 'kit-senders'],
  'take-throttle': ['kit-throttle-body'],
  'take-coils': ['kit-leads-coils'],
  'take-purge': ['kit-evap'],
  'take-vacuum': ['kit-booster-hose', 'kit-vacuum-pump'],
  'take-alternator': ['kit-alternator'],
  'take-starter': ['kit-starter'],
  'take-steering-pump': ['kit-ps-hoses'],
  'take-compressor': ['kit-ac-bracket', 'kit-ac-lines'],
  'take-drive': ['kit-accessory-brackets', 'kit-belt', 'kit-tensioner'],
  'take-mounts': ['kit-mount-cushions', 'kit-mount-frame-brackets'],
  'take-flywheel': ['kit-flywheel', 'kit-flexplate', 'kit-flexplate-bolts'],
  'take-converter': ['kit-converter', 'kit-converter-bolts'],
  'take-clutch': ['kit-clutch-set', 'kit-release', 'kit-slave-lines'],
  'take-gearbox': ['kit-shifter', 'kit-speed-sensor'],
  'take-gearbox-ecu': ['kit-gearbox-controller'],
  'take-shafts': ['kit-propshaft', 'kit-halfshafts', 'kit-shaft-joints'],
  'take-crossmember': ['kit-gearbox-crossmember', 'kit-gearbox-mount'],
  'take-bell': ['kit-bell-bolts'],
  'take-coolant-necks': ['kit-thermostat', 'kit-hoses'],
  'take-heater-pipes': ['kit-heater-hoses'],
  'take-oil-cooler': ['kit-oil-cooler', 'kit-filter-relocation'],
  'take-dipstick': ['kit-dipstick'],
  'take-breather': ['kit-breather'],
  'take-exhaust': ['kit-manifolds'],
  'take-turbo': ['kit-turbo-lines', 'kit-intercooler'],
  'take-cluster': ['kit-gauges'],
};

// A part says itself which line it came from: one that is called like a property of every object is a word like the others.
const byTake = new Map(Object.entries(kitOfTake));

/** Kit lines that a part from this line of the harvest can fill; none for a part that is on no list. */
export const kitFilledBy = (takeId: string): readonly string[] => byTake.get(takeId) ?? [];

/** Every kit line that a donor can fill. */
export const kitOfDonors: readonly string[] = [...new Set(Object.values(kitOfTake).flat())].sort();
