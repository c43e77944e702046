import { isShotKind, shotKindsIn, type ShotKind } from '../clubs/index.js';

/**
 * Every quantity a reading can be of, once. Sheets, forms, files, checks and histories are all made from this
 * list. Bounds are the widest a real club could show; outside them a number is a typing error. From memory.
 */
export type Quantity = NumberQuantity | TextQuantity | ChoiceQuantity | DateQuantity | SwingWeightQuantity;

interface QuantityBase {
  key: QuantityKey;
  label: string;
  /** Column head where room is short. */
  short: string;
  group: QuantityGroup;
  /** Other names a spreadsheet may use, in lower case. */
  aliases?: readonly string[];
}

export interface NumberQuantity extends QuantityBase {
  type: 'number';
  unit: 'deg' | 'in' | 'g' | 'Nm' | 'layers' | 'per round' | 'money';
  min: number;
  max: number;
  /** Decimals shown; what is stored is what was typed. */
  decimals: number;
}
export interface TextQuantity extends QuantityBase {
  type: 'text';
  maxLength: number;
}
export interface ChoiceQuantity extends QuantityBase {
  type: 'choice';
  choices: readonly string[];
}
export interface DateQuantity extends QuantityBase {
  type: 'date';
}
export interface SwingWeightQuantity extends QuantityBase {
  type: 'swingWeight';
}

type QuantityGroup = 'lofts' | 'build' | 'shaft' | 'grip' | 'sole' | 'weights' | 'putter' | 'record';

export type QuantityKey =
  | 'loftStampedDeg'
  | 'loftSetDeg'
  | 'loftMeasuredDeg'
  | 'lieDeg'
  | 'lieSetDeg'
  | 'bendMaxDeg'
  | 'setting'
  | 'sleevePositions'
  | 'head'
  | 'headMaterial'
  | 'lengthIn'
  | 'swingWeight'
  | 'totalWeightG'
  | 'shaft'
  | 'shaftWeightG'
  | 'flex'
  | 'torqueDeg'
  | 'tipTrimIn'
  | 'stepping'
  | 'ferrule'
  | 'grip'
  | 'gripWraps'
  | 'gripWeightG'
  | 'bounceDeg'
  | 'grind'
  | 'grooveDate'
  | 'headWeightG'
  | 'leadG'
  | 'leadPlace'
  | 'counterweightG'
  | 'weights'
  | 'toeHangDeg'
  | 'greenSpeeds'
  | 'serial'
  | 'notes'
  | 'state'
  | 'price'
  | 'hitsPerRound';

export const CLUB_STATES = ['gamer', 'backup', 'testing', 'on loan', 'retired'] as const;

/** What a head is made of, as far as bending cares. */
export const HEAD_MATERIALS = ['soft carbon steel', 'cast stainless', 'hollow', 'no hosel'] as const;
export type HeadMaterial = (typeof HEAD_MATERIALS)[number];

export const QUANTITIES: readonly Quantity[] = [
  {
    key: 'head',
    label: 'Head',
    short: 'head',
    group: 'build',
    type: 'text',
    maxLength: 80,
    aliases: ['model', 'club head', 'make'],
  },
  {
    key: 'headMaterial',
    label: 'Head material',
    short: 'material',
    group: 'build',
    type: 'choice',
    choices: HEAD_MATERIALS,
    aliases: ['material'],
  },
  {
    key: 'loftStampedDeg',
    label: 'Stamped loft',
    short: 'stamp',
    group: 'lofts',
    type: 'number',
    unit: 'deg',
    min: -2,
    max: 80,
    decimals: 1,
    aliases: ['loft', 'stamped', 'nominal loft', 'loft stamped'],
  },
  {
    key: 'loftSetDeg',
    label: 'Set loft',
    short: 'set',
    group: 'lofts',
    type: 'number',
    unit: 'deg',
    min: -2,
    max: 80,
    decimals: 1,
    aliases: ['loft set', 'bent to', 'adjusted loft'],
  },
  {
    key: 'loftMeasuredDeg',
    label: 'Measured loft',
    short: 'gauge',
    group: 'lofts',
    type: 'number',
    unit: 'deg',
    min: -2,
    max: 80,
    decimals: 2,
    aliases: ['loft measured', 'gauge loft', 'actual loft'],
  },
  {
    key: 'lieDeg',
    label: 'Lie',
    short: 'lie',
    group: 'lofts',
    type: 'number',
    unit: 'deg',
    min: 45,
    max: 82,
    decimals: 1,
    aliases: ['lie angle'],
  },
  {
    key: 'lieSetDeg',
    label: 'Set lie',
    short: 'lie set',
    group: 'lofts',
    type: 'number',
    unit: 'deg',
    min: 45,
    max: 82,
    decimals: 1,
    aliases: ['lie set', 'wanted lie', 'lie bent to'],
  },
  {
    key: 'bendMaxDeg',
    label: 'Bend allowed',
    short: 'bend',
    group: 'lofts',
    type: 'number',
    unit: 'deg',
    min: 0,
    max: 6,
    decimals: 1,
    aliases: ['bend limit', 'max bend'],
  },
  {
    key: 'setting',
    label: 'Sleeve or face setting',
    short: 'sleeve',
    group: 'lofts',
    type: 'text',
    maxLength: 40,
    aliases: ['sleeve', 'face setting', 'setting'],
  },
  {
    key: 'sleevePositions',
    label: 'Sleeve positions',
    short: 'positions',
    group: 'lofts',
    type: 'text',
    maxLength: 200,
    aliases: ['sleeve table', 'sleeve chart'],
  },
  {
    key: 'lengthIn',
    label: 'Length',
    short: 'length',
    group: 'build',
    type: 'number',
    unit: 'in',
    min: 10,
    max: 60,
    decimals: 2,
    aliases: ['len', 'club length'],
  },
  {
    key: 'shaft',
    label: 'Shaft',
    short: 'shaft',
    group: 'shaft',
    type: 'text',
    maxLength: 80,
    aliases: ['shaft model'],
  },
  {
    key: 'shaftWeightG',
    label: 'Shaft weight',
    short: 'shaft g',
    group: 'shaft',
    type: 'number',
    unit: 'g',
    min: 20,
    max: 200,
    decimals: 0,
    aliases: ['shaft wt', 'shaft weight'],
  },
  { key: 'flex', label: 'Flex', short: 'flex', group: 'shaft', type: 'text', maxLength: 12 },
  {
    key: 'torqueDeg',
    label: 'Torque',
    short: 'torque',
    group: 'shaft',
    type: 'number',
    unit: 'deg',
    min: 0.5,
    max: 12,
    decimals: 1,
  },
  {
    key: 'tipTrimIn',
    label: 'Tip trim',
    short: 'tip',
    group: 'shaft',
    type: 'number',
    unit: 'in',
    min: 0,
    max: 10,
    decimals: 2,
    aliases: ['tipping', 'tipped', 'tip'],
  },
  {
    key: 'stepping',
    label: 'Stepping',
    short: 'step',
    group: 'shaft',
    type: 'choice',
    choices: ['standard', 'soft-stepped', 'soft-stepped twice', 'hard-stepped', 'hard-stepped twice'],
  },
  {
    key: 'ferrule',
    label: 'Ferrule',
    short: 'ferrule',
    group: 'shaft',
    type: 'text',
    maxLength: 40,
  },
  { key: 'grip', label: 'Grip', short: 'grip', group: 'grip', type: 'text', maxLength: 80 },
  {
    key: 'gripWraps',
    label: 'Wraps',
    short: 'wraps',
    group: 'grip',
    type: 'number',
    unit: 'layers',
    min: 0,
    max: 12,
    decimals: 0,
    aliases: ['tape', 'wraps'],
  },
  {
    key: 'gripWeightG',
    label: 'Grip weight',
    short: 'grip g',
    group: 'grip',
    type: 'number',
    unit: 'g',
    min: 10,
    max: 200,
    decimals: 0,
    aliases: ['grip wt'],
  },
  {
    key: 'swingWeight',
    label: 'Swing weight',
    short: 'sw',
    group: 'weights',
    type: 'swingWeight',
    aliases: ['swingweight', 'sw', 'swing wt'],
  },
  {
    key: 'totalWeightG',
    label: 'Total weight',
    short: 'weight',
    group: 'weights',
    type: 'number',
    unit: 'g',
    min: 150,
    max: 1000,
    decimals: 0,
    aliases: ['weight', 'total wt'],
  },
  {
    key: 'headWeightG',
    label: 'Head weight',
    short: 'head g',
    group: 'weights',
    type: 'number',
    unit: 'g',
    min: 100,
    max: 600,
    decimals: 0,
    aliases: ['head wt'],
  },
  {
    key: 'leadG',
    label: 'Lead',
    short: 'lead',
    group: 'weights',
    type: 'number',
    unit: 'g',
    min: 0,
    max: 60,
    decimals: 1,
    aliases: ['lead tape'],
  },
  {
    key: 'leadPlace',
    label: 'Where the lead is',
    short: 'lead at',
    group: 'weights',
    type: 'text',
    maxLength: 40,
    aliases: ['lead place', 'lead position'],
  },
  {
    key: 'counterweightG',
    label: 'Counterweight',
    short: 'counter',
    group: 'weights',
    type: 'number',
    unit: 'g',
    min: 0,
    max: 150,
    decimals: 0,
    aliases: ['counter weight', 'butt weight'],
  },
  {
    key: 'weights',
    label: 'Weights',
    short: 'weights',
    group: 'weights',
    type: 'text',
    maxLength: 80,
    aliases: ['screws'],
  },
  {
    key: 'bounceDeg',
    label: 'Bounce',
    short: 'bounce',
    group: 'sole',
    type: 'number',
    unit: 'deg',
    min: -5,
    max: 30,
    decimals: 1,
  },
  { key: 'grind', label: 'Grind', short: 'grind', group: 'sole', type: 'text', maxLength: 40 },
  {
    key: 'grooveDate',
    label: 'Grooves since',
    short: 'grooves',
    group: 'sole',
    type: 'date',
    aliases: ['groove date', 'grooves'],
  },
  {
    key: 'toeHangDeg',
    label: 'Toe hang',
    short: 'toe hang',
    group: 'putter',
    type: 'number',
    unit: 'deg',
    min: 0,
    max: 90,
    decimals: 0,
  },
  {
    key: 'greenSpeeds',
    label: 'Green speeds it is for',
    short: 'greens',
    group: 'putter',
    type: 'text',
    maxLength: 40,
    aliases: ['green speed'],
  },
  {
    key: 'serial',
    label: 'Serial number',
    short: 'serial',
    group: 'record',
    type: 'text',
    maxLength: 60,
    aliases: ['serial no', 's/n'],
  },
  {
    key: 'notes',
    label: 'Notes',
    short: 'notes',
    group: 'record',
    type: 'text',
    maxLength: 300,
    aliases: ['note', 'comment', 'comments', 'remark', 'remarks'],
  },
  {
    key: 'state',
    label: 'State',
    short: 'state',
    group: 'record',
    type: 'choice',
    choices: CLUB_STATES,
    aliases: ['status'],
  },
  {
    key: 'price',
    label: 'Price',
    short: 'price',
    group: 'record',
    type: 'number',
    unit: 'money',
    min: 0,
    max: 100000,
    decimals: 2,
    aliases: ['cost'],
  },
  {
    key: 'hitsPerRound',
    label: 'Times hit a round',
    short: 'hits',
    group: 'record',
    type: 'number',
    unit: 'per round',
    min: 0,
    max: 60,
    decimals: 1,
    aliases: ['hits', 'uses per round'],
  },
];

const BY_KEY = new Map(QUANTITIES.map((quantity) => [quantity.key as string, quantity]));

/** The quantity of that key, or undefined. */
export function quantityOf(key: string): Quantity | undefined {
  return BY_KEY.get(key);
}

/** A shot is a reading too: its key is `shot.` and the shot kind. */
export type ShotKey = `shot.${ShotKind}`;
export type ReadingKey = QuantityKey | ShotKey;

/** The shots among the keys of a spec, in their order. */
export function shotKeysIn(spec: Partial<Record<ReadingKey, unknown>>): ShotKey[] {
  const kinds = Object.keys(spec).flatMap((key) => shotKindOf(key) ?? []);
  return shotKindsIn(Object.fromEntries(kinds.map((kind) => [kind, true]))).map(
    (kind): ShotKey => `shot.${kind}`,
  );
}

/** The shot kind of a shot key, or undefined for any other key. */
export function shotKindOf(key: string): ShotKind | undefined {
  const kind = key.startsWith('shot.') ? key.slice('shot.'.length) : '';
  return isShotKind(kind) ? kind : undefined;
}

/** What of a club decides how far it goes; a change of it makes a shot measured before old. */
export const BUILD_KEYS = [
  'loftStampedDeg',
  'loftSetDeg',
  'loftMeasuredDeg',
  'setting',
  'lengthIn',
  'shaft',
] as const satisfies readonly ReadingKey[];
export type BuildKey = (typeof BUILD_KEYS)[number];
