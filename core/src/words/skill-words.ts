import type { Skill, SkillSource } from '../skill/index.js';

/** A handicap as golfers write it: "12", "+4". */
export function handicapText(handicap: number): string {
  return handicap < 0 ? `+${-handicap}` : String(handicap);
}

/** The skill in words: "about a 12, from how far the clubs carry". */
export function skillWords({ handicap, sources, shots }: Skill): string {
  const figure = handicapText(Math.round(handicap) || 0);
  const known = sources.filter((source) => source !== 'nothing');
  if (known.length === 0)
    return `Plays like a ${figure}: nothing is known yet, so an average club player is assumed.`;
  const words: Record<Exclude<SkillSource, 'nothing'>, string> = {
    stated: 'the handicap that was entered',
    measured: `the spread of ${shots} measured shots`,
    length: 'how far the clubs carry',
  };
  return `Plays like a ${figure}, taken from ${known.map((source) => words[source]).join(' and ')}.`;
}
