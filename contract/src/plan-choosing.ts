import { LIE_NAMES, NEED_BOUNDS, type Need } from '@tasche/core';
import * as yup from 'yup';
import { finite, idSchema, nameSchema } from './schemas.js';

/** What a week's bag is chosen for: the shots it will ask, and what the player insists on. */
export interface PlanChoosing {
  needs: readonly Need[];
  limit: number;
  /** Strokes a round that a change from the gamer must be worth. */
  changeStrokes: number;
  always: readonly string[];
  never: readonly string[];
}

export const MOST_PLAN_NEEDS = 300;
export const PLAN_CHOOSING_BOUNDS = { limit: [1, 14], changeStrokes: [0, 5] } as const;

const unknown = '${path} has an unknown field: ${unknown}';
const required = <S extends yup.Schema>(schema: S) => schema.required('${path} is missing');

/** A need as it is kept and sent. */
export const needSchema = yup.object({
  name: required(nameSchema), to: required(yup.string().strict().oneOf(['green', 'fairway'] as const)), distanceM: required(finite(...NEED_BOUNDS.distanceM)),
  lie: required(yup.string().strict().oneOf(LIE_NAMES)), mustHold: required(yup.boolean().strict()), weight: required(finite(...NEED_BOUNDS.weight)),
  halfM: finite(...NEED_BOUNDS.halfM), leftM: finite(...NEED_BOUNDS.leftM),
}).strict().noUnknown(unknown);

export const planChoosingSchema = yup.object({
  needs: yup.array(required(needSchema)).max(MOST_PLAN_NEEDS, `\${path} holds more than ${MOST_PLAN_NEEDS} needs`).required('${path} is missing'),
  limit: required(finite(...PLAN_CHOOSING_BOUNDS.limit).integer('${path} must be a whole number')), changeStrokes: required(finite(...PLAN_CHOOSING_BOUNDS.changeStrokes)),
  always: yup.array(required(idSchema)).max(60).required('${path} is missing'), never: yup.array(required(idSchema)).max(60).required('${path} is missing'),
}).strict().noUnknown(unknown);
