/** The line: eight stations in the order people work. */
export const stations = [
  { id: 'scope', name: 'Scope' },
  { id: 'donor', name: 'Donor' },
  { id: 'pull', name: 'Pull' },
  { id: 'prep', name: 'Prep' },
  { id: 'fit', name: 'Fit' },
  { id: 'connect', name: 'Connect' },
  { id: 'start', name: 'Start' },
  { id: 'hand-over', name: 'Hand over' },
] as const;

export type StationId = (typeof stations)[number]['id'];
export const stationIds = stations.map((s) => s.id) as [StationId, ...StationId[]];
export const stationName = (id: string): string => stations.find((s) => s.id === id)?.name ?? id;
