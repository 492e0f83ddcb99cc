import type { RoundPlace, RoundReading } from '@bay/core/fit';

export const roundPlaceWords: Readonly<Record<RoundPlace, string>> = {
  front: 'At the front',
  left: 'At the left side',
  rear: 'At the rear',
  right: 'At the right side',
  below: 'Below, on the lift',
  engine: 'At the engine that goes in',
  gearbox: 'At the gearbox',
};

export const whyWords: Readonly<Record<RoundReading['why'], string>> = {
  'not-known': 'nobody knows it',
  taken: 'taken for want of a reading',
  unsure: 'less sure than a tape',
};
