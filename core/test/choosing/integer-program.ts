import type { ChoosingModel } from '../../src/choosing/choosing-model.js';

/**
 * The same choice as an integer program in the LP format, for a general solver: y_c a club is chosen, x_i_c
 * need i is met by it, a_u_v two clubs of the ladder are neighbours (s the top of the ladder, t its end, and
 * an arc from s to t where no club of it is chosen).
 */
export function integerProgram({
  clubs,
  ladderClubs,
  needs,
  steps,
  begins,
  ends,
  limit,
  rules,
}: ChoosingModel): string {
  const terms: string[] = [];
  const lines: string[] = [];
  const binaries: string[] = [];
  const term = (value: number, name: string) => {
    if (value !== 0) terms.push(`${value < 0 ? '-' : '+'} ${Math.abs(value)} ${name}`);
  };
  clubs.forEach(({ price }, c) => {
    term(price, `y${c}`);
    binaries.push(`y${c}`);
  });
  needs.forEach((demand, i) => {
    demand.forEach((strokes, c) => {
      term(strokes, `x${i}_${c}`);
      lines.push(`x${i}_${c} - y${c} <= 0`);
    });
    lines.push(`${demand.map((_strokes, c) => `x${i}_${c}`).join(' + ')} = 1`);
  });
  const ladder = Array.from({ length: ladderClubs }, (_one, c) => c);
  for (const c of ladder) {
    term(begins[c]!, `as_${c}`);
    term(ends[c]!, `a${c}_t`);
    binaries.push(`as_${c}`, `a${c}_t`);
    for (const lower of ladder.slice(c + 1)) {
      term(steps[c]![lower]!, `a${c}_${lower}`);
      binaries.push(`a${c}_${lower}`);
    }
    lines.push(
      `${[`as_${c}`, ...ladder.slice(0, c).map((upper) => `a${upper}_${c}`)].join(' + ')} - y${c} = 0`,
    );
    lines.push(
      `${[`a${c}_t`, ...ladder.slice(c + 1).map((lower) => `a${c}_${lower}`)].join(' + ')} - y${c} = 0`,
    );
  }
  binaries.push('as_t');
  lines.push(`${['as_t', ...ladder.map((c) => `as_${c}`)].join(' + ')} = 1`);
  lines.push(
    `${clubs.map((_club, c) => `y${c}`).join(' + ')} <= ${limit}`,
    `${clubs.map((_club, c) => `y${c}`).join(' + ')} >= 1`,
  );
  for (const { members, least: min, most: max } of rules) {
    if (members.length === 0) continue;
    const sum = members.map((c) => `y${c}`).join(' + ');
    lines.push(`${sum} >= ${min}`, `${sum} <= ${max}`);
  }
  return [
    'Minimize',
    ` obj: ${terms.join('\n ')}`,
    'Subject To',
    ...lines.map((line, i) => ` r${i}: ${line}`),
    'Bounds',
    ...needs.flatMap((demand, i) => demand.map((_strokes, c) => ` 0 <= x${i}_${c} <= 1`)),
    'Binary',
    ` ${binaries.join('\n ')}`,
    'End',
  ].join('\n');
}
