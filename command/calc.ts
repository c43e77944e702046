import {
  calcBasket,
  calcBend,
  calcCarry,
  calcChoose,
  calcConditions,
  calcFlight,
  calcGaps,
  calcNeeds,
  calcRemedies,
  calcTravel,
  fieldProblems,
  withRenamedFields,
} from '@tasche/contract';
import * as yup from 'yup';
import { CliError } from './stop.js';

const CALCULATIONS: Record<string, (document: unknown) => unknown> = {
  gaps: calcGaps,
  flight: calcFlight,
  carry: calcCarry,
  conditions: calcConditions,
  choose: calcChoose,
  needs: calcNeeds,
  travel: calcTravel,
  remedies: calcRemedies,
  basket: calcBasket,
  bend: calcBend,
};

/**
 * `./tasche calc NAME`: one JSON document in, one out, by the core alone.
 * @param input reads the document
 * @throws CliError with exit code 2 that names every bad field
 */
export async function calc(name: string | undefined, input: () => Promise<string>): Promise<void> {
  const calculate = name !== undefined && Object.hasOwn(CALCULATIONS, name) ? CALCULATIONS[name] : undefined;
  if (!calculate)
    throw new CliError(
      `calc needs one of: ${Object.keys(CALCULATIONS).join(', ')}; got ${name === undefined ? 'nothing' : `"${name}"`}.`,
      2,
    );
  const text = await input();
  let document: unknown;
  try {
    document = withRenamedFields(JSON.parse(text));
  } catch (error) {
    throw new CliError(`standard input is not one JSON document: ${(error as Error).message}`, 2);
  }
  try {
    process.stdout.write(`${JSON.stringify(await calculate(document), null, 2)}\n`);
  } catch (error) {
    if (!(error instanceof yup.ValidationError)) throw error;
    throw new CliError(
      fieldProblems(error)
        .map(({ field, message }) => (field && !message.includes(field) ? `${field}: ${message}` : message))
        .join('\ntasche: '),
      2,
    );
  }
}
