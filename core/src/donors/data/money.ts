import type { DonorMoneyRule } from '../types.ts';

/** How a donor is counted against what it yielded. */
export const donorMoneyRules: readonly DonorMoneyRule[] = [
  { id: 'don-sum', subject: 'Result of a donor', rule: 'sold + issued to jobs at internal price − purchase − collection − teardown hours − storage − disposal; open until the last part is sold or scrapped' },
  { id: 'don-complete', subject: 'Price of completeness', rule: 'a dearer complete pull-out usually beats a cheap bare engine: price + list of missing parts, compared per candidate' },
  { id: 'don-quick', subject: 'Sells quickly (estimate: days to weeks)', rule: 'proven engine with gearbox, ECU set with keys, wheels, seats, lamps, good doors' },
  { id: 'don-slow', subject: 'Sells slowly (months to years)', rule: 'trim, glass, wiring, axles, small modules; count storage against them' },
  { id: 'don-legal', subject: 'Needs papers or a licence', rule: 'catalysts, airbags and belt parts, batteries, refrigerant, the shell itself: local code first' },
  { id: 'don-proof', subject: 'What lifts the price', rule: 'seen running or driven by the buyer, mileage papers, codes read, compression sheet, photos of what is not perfect' },
  { id: 'don-history', subject: 'Renewed parts with mileage', rule: 'priced, not forgotten: new battery, recent catalyst, clutch' },
  { id: 'don-wish', subject: 'Other jobs\' wish lists', rule: 'shown during teardown, so that a wanted junction box is not scrapped' },
  { id: 'don-store', subject: 'Where it lies', rule: 'shell as store only if watertight; each part has a place code, also "inside shell 4"' },
  { id: 'don-hours', subject: 'What it takes', rule: 'strip 10–25 h, list and photograph 10–20 min a part, pack 20–60 min (estimates)' },
  { id: 'don-freight', subject: 'Freight', rule: 'fluids out, ports capped, crate or frame, mass and lift points on the paper; gear retrieved' },
  { id: 'don-return', subject: 'Return and warranty', rule: 'start-up warranty only with date and limits; return window in the calendar' },
  { id: 'don-age', subject: 'Patience', rule: 'ageing list at 30, 90, 180, 365 days with a decision: hold, lower, bundle, scrap' },
  { id: 'don-end', subject: 'The shell', rule: 'holds until its valuable parts are gone, then scrapped with certificate; frame damage marked "not for road use"' },
];
