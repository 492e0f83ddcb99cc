import { expect, it } from 'vitest';

import { says } from './says.ts';

it('finds digits in texts, numbers and names, and passes over ids and times', () => {
  expect(says({ log: [{ text: 'bought for 210.00' }] }, '210')).toBe(true);
  expect(says([{ data: { price: 210 } }], '210')).toBe(true);
  expect(says({ 'price-210': null }, '210')).toBe(true);
  expect(
    says(
      { id: '9e273652-7ba8-4b9a-8f5d-af2103ea4567', at: '2026-11-27T12:10:21.210Z', gone: null },
      '210',
    ),
  ).toBe(false);
  expect(says({ text: 'order 9e273652-7ba8-4b9a-8f5d-af2103ea4567' }, '210')).toBe(true);
});
