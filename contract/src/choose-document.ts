import {
  CHOOSING_BOUNDS, PLAIN_TASTE, RefusedInput, SCHOOLS, bagChoosing, chooseBag, leftOutSentence, reasonSentence,
  type BagAnswer, type ChoosingTaste, type LadderClub, type Need,
} from '@tasche/core';
import * as yup from 'yup';
import { ladderClubsSchema } from './ladder-clubs.js';
import { needSchema } from './plan-choosing.js';
import { clubKindSchema, finite, textSchema, wholeDocument } from './schemas.js';

/** What `tasche calc choose` writes: docs/formats/choose-output.schema.json. */
export interface ChooseAnswer extends BagAnswer {
  /** Why, in sentences: a line a chosen club, then a line a club left out. */
  why: readonly string[];
}

const unknown = '${path} has an unknown field: ${unknown}';
const required = <S extends yup.Schema>(schema: S) => schema.required('${path} is missing');
const clubId = () => required(textSchema(80));
const clubIds = yup.array(clubId()).max(CHOOSING_BOUNDS.clubs[1]);
const whole = (least: number, most: number) => finite(least, most).integer('${path} must be a whole number');

const pricesSchema = yup.lazy((value: unknown) => yup.object(Object.fromEntries(Object.keys((value ?? {}) as object).map((id) => [id, required(finite(-20, 20))]))).strict().default(undefined)
  .test('few', '${path} names more clubs than can be chosen from', (prices) => Object.keys(prices ?? {}).length <= CHOOSING_BOUNDS.clubs[1]));

const chooseSchema = wholeDocument(yup.object({
  clubs: ladderClubsSchema.min(1, '${path} is empty').max(CHOOSING_BOUNDS.clubs[1], `\${path} holds more than ${CHOOSING_BOUNDS.clubs[1]} clubs`),
  needs: yup.array(required(needSchema)).max(CHOOSING_BOUNDS.needs[1], `\${path} holds more than ${CHOOSING_BOUNDS.needs[1]} needs`).required('${path} is missing'),
  school: yup.string().strict().oneOf(SCHOOLS.map(({ id }) => id)),
  limit: whole(1, 60), unevenStrokes: finite(0, 10), prices: pricesSchema, always: clubIds, never: clubIds,
  groups: yup.array(yup.object({ ids: required(clubIds), least: whole(0, 60), most: whole(0, 60) }).strict().noUnknown(unknown)).max(50),
  kinds: yup.array(yup.object({ kind: required(clubKindSchema), most: required(whole(0, 60)) }).strict().noUnknown(unknown)).max(8),
  mustCover: yup.array(yup.object({ distanceM: required(finite(1, 400)), withinM: required(finite(0.5, 50)) }).strict().noUnknown(unknown)).max(50),
  runnersUp: whole(0, 20),
}).strict().noUnknown('unknown field: ${unknown}'));

/**
 * The bag that costs the fewest strokes, the next best, and why.
 * @throws yup.ValidationError naming every bad field, two rules that contradict each other, or that the rules together allow nothing
 */
export function calcChoose(document: unknown): ChooseAnswer {
  const { clubs, needs, runnersUp = 4, school, limit, unevenStrokes, prices, always, never, groups, kinds, mustCover } = chooseSchema.validateSync(document, { strict: true, abortEarly: false });
  const given = { school, limit, unevenStrokes, prices, always, never, groups, kinds, mustCover };
  const taste = { ...PLAIN_TASTE, ...Object.fromEntries(Object.entries(given).filter(([, value]) => value !== undefined)) } as ChoosingTaste;
  const locker = clubs as unknown as LadderClub[];
  try {
    const answer = chooseBag(bagChoosing(locker, needs as unknown as Need[], taste), runnersUp);
    if (!answer) throw new RefusedInput('rules', 'together allow no bag, though no two of them contradict each other');
    const nameOf = (id: string) => locker.find((club) => club.id === id)!.name;
    return { ...answer, why: [...answer.reasons.map((reason) => reasonSentence(reason, nameOf(reason.id))), ...answer.leftOut.map((left) => leftOutSentence(left, nameOf(left.id), nameOf))] };
  } catch (error) {
    if (!(error instanceof RefusedInput)) throw error;
    throw new yup.ValidationError(error.message, undefined, error.field);
  }
}
