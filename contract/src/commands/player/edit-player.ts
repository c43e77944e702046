import * as yup from '../../yup.js';
import {
  distanceUnitSchema,
  gapSettingsSchema,
  handSchema,
  handicapSchema,
  idSchema,
  nameSchema,
  required,
  shape,
  textSchema,
} from '../../schemas.js';
import { ballsSchema } from '../../ball-schemas.js';
import { playerSeasonSchema } from '../../player-season.js';
import { bagPreferencesSchema } from '../../plan-choosing.js';
import { keptConditionsSchema } from '../../setting-schemas.js';
import { defineCommand, setWords, versionSchema, type Checked } from '../define-command.js';

const set = shape({
  name: nameSchema,
  hand: handSchema,
  distanceUnit: distanceUnitSchema,
  notes: textSchema(4000),
  handicap: handicapSchema.nullable(),
  gapSettings: gapSettingsSchema.default(undefined).optional(),
  baseline: keptConditionsSchema.nullable().default(undefined).optional(),
  preferences: bagPreferencesSchema.nullable().default(undefined).optional(),
  balls: ballsSchema.default(undefined).optional(),
  season: playerSeasonSchema.nullable().default(undefined).optional(),
  archived: yup.boolean().strict(),
});

/** What may be set of a player. */
export type PlayerSet = Checked<yup.InferType<typeof set>>;

export const editPlayer = defineCommand(
  'editPlayer',
  'sheet',
  shape({ playerId: required(idSchema), version: versionSchema, set: required(set) }),
  {
    subject: ({ playerId }) => ({ kind: 'player', id: playerId }),
    words: (command) => setWords('the player', command.set),
    apply: (sheet, command) => ({ ...sheet, player: { ...sheet.player, ...command.set } }),
  },
);
