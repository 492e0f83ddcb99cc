/** Every key under which something read is held: made here, so that who reads and who reads again cannot name it differently. */
export const keys = {
  me: ['me'],
  floor: ['floor'],
  yard: ['floor-yard'],
  finished: ['finished'],
  units: (filter?: { q: string; kind: string | undefined }) =>
    filter ? (['units', filter.q, filter.kind ?? ''] as const) : (['units'] as const),
  unit: (unitId: string) => ['unit', unitId] as const,
  unitFacts: (unitId: string) => ['unit-facts', unitId] as const,
  crew: ['crew'],
  waiting: ['waiting'],
  bench: ['bench'],
  sessions: ['sessions'],
  schools: ['schools'],
  rules: ['rules'],
  wanted: (jobId: string) => ['wanted', jobId] as const,
  pairings: (jobId: string, unitId?: string) => ['pairings', jobId, unitId ?? ''] as const,
  job: (jobId?: string) => (jobId ? (['job', jobId] as const) : (['job'] as const)),
  book: (jobId: string, ...page: readonly unknown[]) => ['log', jobId, ...page] as const,
  bookSearch: (jobId: string | undefined, q: string) => ['log-search', jobId ?? 'shop', q] as const,
  history: (jobId: string, about?: string) =>
    about ? (['history', jobId, about] as const) : (['history', jobId] as const),
  factHistory: (jobId: string, bearer: string, factId: string, revision: number | undefined) =>
    ['fact-history', jobId, bearer, factId, revision] as const,
  takeover: (jobId: string) => ['takeover', jobId] as const,
  clocks: (jobId?: string) => (jobId ? (['clocks', jobId] as const) : (['clocks'] as const)),
  links: (jobId: string) => ['links', jobId] as const,
  foundBefore: (jobId: string) => ['found-before', jobId] as const,
  suppliers: ['suppliers'],
  terms: ['terms'],
  orders: (jobId?: string, open?: boolean) =>
    open === undefined ? (['orders'] as const) : (['orders', jobId ?? 'shop', open] as const),
  quotes: (jobId: string) => ['quotes', jobId] as const,
  account: (jobId: string) => ['account', jobId] as const,
  agreement: ['agreement'],
  tried: (of: { q?: string; kitLine?: string }) => ['tried', of.q ?? '', of.kitLine ?? ''] as const,
  store: (of?: { q: string; place: string; all: boolean }) =>
    of ? (['store', of.q, of.place, of.all] as const) : (['store'] as const),
  part: (partId: string) => ['part', partId] as const,
  find: (q: string) => ['find', q] as const,
  customer: (token: string) => ['customer', token] as const,
};
