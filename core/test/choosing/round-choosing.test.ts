import { describe, expect, it } from 'vitest';
import {
  BASELINE,
  CALM,
  MEDIUM_FAIRWAY,
  DEFAULT_PREFERENCES,
  USUAL_GROUND,
  chooseBag,
  choosingOfRound,
  costOfBag,
  demandKey,
  dayTriggers,
  roundChoosing,
  usualHole,
  type LadderClub,
  type ShotDemand,
  type RoundDay,
  type RoundRequest,
} from '../../src/index.js';
import { TRIGGER_STROKES } from '../../src/rounds/triggers.js';
import { playsLikeOf } from '../../src/rounds/derive-demands.js';
import { strongSetWedge } from '../bag-of-clubs.js';

// The par threes are guarded, so that how high a ball comes down counts.
const holes = Array.from({ length: 9 }, (_one, i) => ({
  ...usualHole([4, 3, 5][i % 3]!, [[380, 170, 500][i % 3]!]),
  bearingDeg: i * 40,
  front: i % 3 === 1 ? ('sand' as const) : ('open' as const),
}));
const day: RoundDay = {
  course: { tees: ['Back'], holes, altitudeM: 0 },
  tee: 0,
  air: { ...CALM, windMps: 4, windFromDeg: 270 },
  ground: USUAL_GROUND,
};
const FROM = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
const clubs = strongSetWedge();
const order = (more: Partial<RoundRequest> = {}): RoundRequest => ({
  day,
  clubs,
  from: FROM,
  preferences: DEFAULT_PREFERENCES,
  ...more,
});
const rules = {
  preferences: DEFAULT_PREFERENCES,
  school: 'even-carries' as const,
  gamerIds: clubs.map(({ id }) => id),
};
const plain = roundChoosing(order());
const note: ShotDemand = {
  name: 'practice: 150-170',
  distanceM: 160,
  to: 'green',
  lie: 'fairway',
  mustHold: false,
  weight: 6,
};

describe('a round as its bag is chosen', () => {
  it('has the needs of the course as they were changed, without those taken away, and with what practice showed; each with how far it plays', () => {
    const [first, second] = plain.needs.filter(({ to }) => to === 'green');
    const lay = plain.needs.find(({ to, lie }) => to === 'fairway' && lie === 'tee')!;
    const round = roundChoosing(
      order({
        changes: {
          [demandKey(first!)]: { distanceM: first!.distanceM - 40, weight: 3 },
          [demandKey(second!)]: null,
          [demandKey(lay)]: { distanceM: lay.distanceM - 25 },
        },
        notes: [note],
      }),
    );
    const named = (one: ShotDemand) => round.needs.find((demand) => demandKey(demand) === demandKey(one));
    expect(named(first!)).toMatchObject({ distanceM: first!.distanceM - 40, weight: 3 });
    expect(named(first!)!.playsLikeM!).toBeLessThan(first!.playsLikeM! - 30);
    expect(named(second!)).toBeUndefined();
    expect(round.takenAway.map(demandKey)).toEqual([demandKey(second!)]);
    // Laid up shorter, as much more is left.
    expect(named(lay)!.leftM).toBeCloseTo(lay.leftM! + 25, 6);
    expect(named(note)!.playsLikeM).toBe(playsLikeOf(note, round.clubs, round.played));
    expect(Math.abs(named(note)!.playsLikeM! - 160)).toBeLessThan(25);
    expect(round.strokes).toBeCloseTo(
      round.needs.reduce((sum, { weight }) => sum + weight, 0),
      9,
    );
    // Practice says how often a distance comes up: that is taken from what was derived near it, so that the
    // round is no longer for it.
    const near = (needs: readonly ShotDemand[]) =>
      needs
        .filter(({ to, distanceM }) => to === note.to && Math.abs(distanceM - note.distanceM) <= 25)
        .reduce((sum, { weight }) => sum + weight, 0);
    const changed = roundChoosing(order({ changes: { [demandKey(second!)]: null } }));
    const noted = roundChoosing(order({ changes: { [demandKey(second!)]: null }, notes: [note] }));
    expect(near(noted.needs)).toBeCloseTo(Math.max(near(changed.needs), note.weight), 6);
    expect(noted.strokes).toBeCloseTo(changed.strokes + Math.max(0, note.weight - near(changed.needs)), 6);
    expect(noted.needs.find((demand) => demandKey(demand) === demandKey(note))!.weight).toBe(note.weight);
  });

  it('finds what was changed under a name of an earlier version', () => {
    const [first] = plain.needs.filter(({ to }) => to === 'green');
    expect(first!.id).toMatch(/^\d+(st|nd|rd|th), (approach|par three)/);
    expect(first!.name).toMatch(
      /^(second|third|fourth|fifth|tee shot)( from [a-z, ]+)? at the \d+(st|nd|rd|th)$/,
    );
  });

  it('a bag costs the same as a bag of any clubs and as one of the locker’s', () => {
    const answer = chooseBag(choosingOfRound(plain, rules), 0)!;
    expect(costOfBag(plain, rules)(plain.clubs.filter(({ id }) => answer.best.ids.includes(id)))).toBeCloseTo(
      answer.best.strokes,
      9,
    );
  });

  it('the more a shot is asked for, the more the club for it is worth', () => {
    const worth = (weight: number) => {
      const round = roundChoosing(order({ notes: [{ ...note, weight }] }));
      const { reasons } = chooseBag(
        choosingOfRound(round, { ...rules, preferences: { ...DEFAULT_PREFERENCES, unevenStrokes: 0 } }),
        0,
      )!;
      return Math.max(
        ...reasons.filter(({ need: demand }) => demand === note.name).map(({ worth: value }) => value),
      );
    };
    expect(worth(12)).toBeGreaterThan(worth(6) + 0.01);
  });
});

describe('what would change the bag on the morning', () => {
  // Of one carry: one flies high and stops, one bores under the wind.
  const shot = (apexM: number, descentDeg: number, spinRpm: number, launchDeg: number) => ({
    carryM: 180,
    spreadM: 7,
    apexM,
    descentDeg,
    spinRpm,
    launchDeg,
    ballSpeedMps: 62,
    source: 'measured' as const,
    sampleSize: 30,
  });
  const rivals: LadderClub[] = [
    { id: 'high', name: 'Hybrid 4', kind: 'hybrid', loftDeg: 22, shots: { full: shot(32, 50, 5200, 14) } },
    {
      id: 'low',
      name: 'Driving iron',
      kind: 'driving iron',
      loftDeg: 19,
      shots: { full: shot(19, 38, 3600, 9) },
    },
  ];
  const asked = order({
    clubs: [...clubs.filter(({ id }) => id !== 'Hybrid'), ...rivals],
    preferences: { ...DEFAULT_PREFERENCES, oneOf: [['high', 'low']] },
  });
  const wished = { ...rules, preferences: asked.preferences };

  it('comes with what it gains, at least what is worth opening the boot for, and is the best bag of such a day', async () => {
    const best = chooseBag(choosingOfRound(roundChoosing(asked), wished), 0)!.best.ids;
    const triggers = await dayTriggers(asked, wished, best);
    expect(best).toContain('high');
    expect(triggers.find(({ when }) => 'wind' in when && when.wind === 'over')?.ids).toContain('low');
    for (const { when, ids, gain } of triggers) {
      expect(gain).toBeGreaterThanOrEqual(TRIGGER_STROKES);
      expect([...ids].sort()).not.toEqual([...best].sort());
      if (!('wind' in when)) continue;
      // A little past the threshold the other bag is better by what is said; a little short of it, it is not.
      const gainAt = (windMps: number) => {
        const round = roundChoosing({ ...asked, day: { ...asked.day, air: { ...asked.day.air, windMps } } });
        const there = chooseBag(choosingOfRound(round, wished), 0)!;
        return (
          costOfBag(round, wished)(round.clubs.filter(({ id }) => best.includes(id))) - there.best.strokes
        );
      };
      const past = when.wind === 'over' ? 1 : -1;
      expect(gainAt(when.mps + past)).toBeGreaterThan(TRIGGER_STROKES * 0.8);
      expect(gainAt(when.mps - past)).toBeLessThan(TRIGGER_STROKES * 1.2);
    }
    expect(new Set(triggers.map(({ when }) => JSON.stringify('wind' in when ? when.wind : when))).size).toBe(
      triggers.length,
    );
  });

  it('ends at once when stopped, with what it has', async () => {
    expect(await dayTriggers(asked, wished, ['high'], () => false)).toEqual([]);
  });
});
