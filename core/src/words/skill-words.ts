import type { Skill, SkillSource } from '../skill/index.js';

/** A handicap as golfers write it: "12", "+4". */
export function handicapText(handicap: number): string {
  return handicap < 0 ? `+${-handicap}` : String(handicap);
}

/** The skill in words: "about a 12, from how far the clubs carry". */
export function skillWords({ handicap, sources, shots }: Skill): string {
  const figure = handicapText(Math.round(handicap) || 0);
  const words: Record<SkillSource, string> = {
    stated: 'the handicap that was entered',
    measured: `the spread of ${shots} measured shots`,
    length: 'how far the clubs carry',
    nothing: 'nothing yet: an average club player',
  };
  return `Plays like a ${figure}, taken from ${sources.map((source) => words[source]).join(' and ')}.`;
}
