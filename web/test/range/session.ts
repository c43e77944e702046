import type { SessionEntry } from '@tasche/contract';
import { BASELINE, MEDIUM_FAIRWAY } from '@tasche/core';

export const session = (id: string, heldOn: string): SessionEntry => ({
  id,
  playerId: 'p',
  version: 1,
  removed: false,
  name: id,
  heldOn,
  conditions: BASELINE,
  surface: MEDIUM_FAIRWAY,
  hitOff: 'grass',
  ball: '',
  notes: '',
  source: 'by hand',
  live: false,
  aim: null,
  basket: null,
  strikes: 1,
  clubs: 1,
});
