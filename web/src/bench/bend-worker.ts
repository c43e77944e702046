import { bendPlan, type BendAnswer, type GapOptions, type LadderClub, type LoftChoice } from '@tasche/core';
import { expose } from 'comlink';

export interface BendQuestion {
  clubs: readonly LadderClub[];
  choices: readonly (readonly [clubId: string, choices: readonly LoftChoice[]])[];
  options: GapOptions;
}

const api = {
  plan: ({ clubs, choices, options }: BendQuestion): BendAnswer =>
    bendPlan({ clubs, choices: new Map(choices), options }),
};

export type BendWorker = typeof api;
expose(api);
