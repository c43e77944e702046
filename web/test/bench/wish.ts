import type { WishView } from '@tasche/contract';

/** A wish to buy something for 100, but for what is said. */
export const wish = (id: string, more: Partial<WishView> = {}): WishView => ({
  id,
  playerId: 'p',
  version: 1,
  removed: false,
  name: id,
  purpose: 'buy',
  state: 'wished',
  price: 100,
  club: null,
  clubId: null,
  expected: null,
  boughtOn: null,
  notes: '',
  ...more,
});
