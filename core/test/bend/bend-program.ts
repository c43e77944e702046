/**
 * A chain of choices as an integer program in the LP format, for a general solver: z_i_k a choice stands at
 * place i, y_i_k_l two stand side by side. Nothing of the way our own search works is in it.
 */
export function bendProgram(
  efforts: readonly (readonly number[])[],
  costs: readonly (readonly (readonly number[])[])[],
  maxEffort: number,
): string {
  const terms: string[] = [];
  const lines = efforts.map((each, i) => `${each.map((_effort, k) => `z${i}_${k}`).join(' + ')} = 1`);
  const binaries = efforts.flatMap((each, i) => each.map((_effort, k) => `z${i}_${k}`));
  const pairs: string[] = [];
  costs.forEach((table, i) =>
    table.forEach((row, k) =>
      row.forEach((cost, l) => {
        const pair = `y${i}_${k}_${l}`;
        pairs.push(pair);
        terms.push(`+ ${cost} ${pair}`);
        lines.push(`${pair} - z${i}_${k} - z${i + 1}_${l} >= -1`);
      }),
    ),
  );
  const spent = efforts.flatMap((each, i) =>
    each.flatMap((effort, k) => (effort === 0 ? [] : [`${effort} z${i}_${k}`])),
  );
  if (spent.length > 0) lines.push(`${spent.join(' + ')} <= ${maxEffort}`);
  return [
    'Minimize',
    ` obj: ${terms.join('\n ')}`,
    'Subject To',
    ...lines.map((line, i) => ` r${i}: ${line}`),
    'Bounds',
    ...pairs.map((pair) => ` 0 <= ${pair} <= 1`),
    'Binary',
    ` ${binaries.join('\n ')}`,
    'End',
  ].join('\n');
}
