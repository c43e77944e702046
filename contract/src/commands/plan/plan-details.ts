import { dateSchema, nameSchema, textSchema } from '../../schemas.js';

/** What is recorded of a plan. */
export const planDetails = {
  name: nameSchema,
  course: textSchema(200),
  startsOn: dateSchema,
  endsOn: dateSchema,
  ground: textSchema(500),
  weather: textSchema(500),
};

export const datesInOrder = (
  plan: { startsOn?: string | undefined; endsOn?: string | undefined } | undefined,
) => !plan?.startsOn || !plan.endsOn || plan.startsOn <= plan.endsOn;
