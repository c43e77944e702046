import type { ChoosingModel } from '../../src/choosing/choosing-model.js';

interface Program {
  terms: string[];
  lines: string[];
  bounds: string[];
  binaries: string[];
}

/**
 * The same choice as an integer program in the LP format, for a general solver: y_c a club is chosen, x_i_c
 * need i is met by it, a_u_v two clubs of the ladder are neighbours (s the top of the ladder, t its end, and
 * an arc from s to t where no club of it is chosen).
 */
export function integerProgram(model: ChoosingModel): string {
  return textOf(programOf(model, '', 1));
}

/**
 * The choice of clubs to travel with as one program: z_k a club travels, and every day's choice of those, each
 * in its share of all days. The clubs of every day stand in the same order.
 */
export function travelProgram(
  days: readonly { model: ChoosingModel; share: number }[],
  size: number,
): string {
  const all = days.map(({ model, share }, d) => programOf(model, `d${d}_`, share));
  const travels = days[0]!.model.clubs.map((_club, k) => `z${k}`);
  return textOf({
    terms: all.flatMap(({ terms }) => terms),
    lines: [
      ...all.flatMap(({ lines }) => lines),
      ...days.flatMap((_day, d) => travels.map((one, k) => `d${d}_y${k} - ${one} <= 0`)),
      `${travels.join(' + ')} = ${size}`,
    ],
    bounds: all.flatMap(({ bounds }) => bounds),
    binaries: [...all.flatMap(({ binaries }) => binaries), ...travels],
  });
}

function textOf({ terms, lines, bounds, binaries }: Program): string {
  return [
    'Minimize',
    ` obj: ${terms.join('\n ')}`,
    'Subject To',
    ...lines.map((line, i) => ` r${i}: ${line}`),
    'Bounds',
    ...bounds,
    'Binary',
    ` ${binaries.join('\n ')}`,
    'End',
  ].join('\n');
}

function programOf(
  { clubs, ladderClubs, needs, steps, begins, ends, limit, rules }: ChoosingModel,
  prefix: string,
  share: number,
): Program {
  const terms: string[] = [];
  const lines: string[] = [];
  const binaries: string[] = [];
  const term = (value: number, name: string) => {
    if (value !== 0) terms.push(`${value < 0 ? '-' : '+'} ${share * Math.abs(value)} ${name}`);
  };
  clubs.forEach(({ price }, c) => {
    term(price, `${prefix}y${c}`);
    binaries.push(`${prefix}y${c}`);
  });
  needs.forEach((demand, i) => {
    demand.forEach((strokes, c) => {
      term(strokes, `${prefix}x${i}_${c}`);
      lines.push(`${prefix}x${i}_${c} - ${prefix}y${c} <= 0`);
    });
    lines.push(`${demand.map((_strokes, c) => `${prefix}x${i}_${c}`).join(' + ')} = 1`);
  });
  const ladder = Array.from({ length: ladderClubs }, (_one, c) => c);
  for (const c of ladder) {
    term(begins[c]!, `${prefix}as_${c}`);
    term(ends[c]!, `${prefix}a${c}_t`);
    binaries.push(`${prefix}as_${c}`, `${prefix}a${c}_t`);
    for (const lower of ladder.slice(c + 1)) {
      term(steps[c]![lower]!, `${prefix}a${c}_${lower}`);
      binaries.push(`${prefix}a${c}_${lower}`);
    }
    const into = [`${prefix}as_${c}`, ...ladder.slice(0, c).map((upper) => `${prefix}a${upper}_${c}`)];
    const outOf = [`${prefix}a${c}_t`, ...ladder.slice(c + 1).map((lower) => `${prefix}a${c}_${lower}`)];
    for (const arcs of [into, outOf]) lines.push(`${arcs.join(' + ')} - ${prefix}y${c} = 0`);
  }
  binaries.push(`${prefix}as_t`);
  lines.push(`${[`${prefix}as_t`, ...ladder.map((c) => `${prefix}as_${c}`)].join(' + ')} = 1`);
  lines.push(
    `${clubs.map((_club, c) => `${prefix}y${c}`).join(' + ')} <= ${limit}`,
    `${clubs.map((_club, c) => `${prefix}y${c}`).join(' + ')} >= 1`,
  );
  for (const { members, least: min, most: max } of rules) {
    if (members.length === 0) continue;
    const sum = members.map((c) => `${prefix}y${c}`).join(' + ');
    lines.push(`${sum} >= ${min}`, `${sum} <= ${max}`);
  }
  const bounds = needs.flatMap((demand, i) => demand.map((_strokes, c) => ` 0 <= ${prefix}x${i}_${c} <= 1`));
  return { terms, lines, bounds, binaries };
}
