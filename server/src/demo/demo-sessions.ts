import {
  BASELINE,
  MEDIUM_FAIRWAY,
  airOf,
  fly,
  launchOfShot,
  normalFrom,
  randomFrom,
  type ClubKind,
  type PlayingConditions,
  type ShotKind,
  type Strike,
} from '@tasche/core';

/**
 * How one club is hit in a session of the demo. What it does is the core's flight of a swing that carries so
 * far, scattered. All invented.
 */
interface DemoHits {
  club: string;
  shot?: ShotKind;
  balls: number;
  /** Against the carry of the sheet. */
  longer?: number;
  /** Against the flight of the sheet: grooves that are gone. */
  spinShare?: number;
  launchMoreDeg?: number;
  misHits?: number;
}

interface DemoSession {
  player: string;
  name: string;
  daysAgo: number;
  hitOff: 'grass' | 'mat';
  ball: string;
  notes: string;
  setting: PlayingConditions;
  /** A range-finder gives carries and no more. */
  seen: 'everything' | 'carry only';
  hits: readonly DemoHits[];
}

const air = (temperatureC: number, windMps = 0, windFromDeg = 0, altitudeM = 0): PlayingConditions => ({
  conditions: { ...BASELINE, temperatureC, windMps, windFromDeg, altitudeM },
  surface: MEDIUM_FAIRWAY,
});

export const DEMO_SESSIONS: readonly DemoSession[] = [
  {
    player: 'Davor Kolar',
    name: 'Lagoa Funda range',
    daysAgo: 46,
    hitOff: 'grass',
    ball: 'Perl T',
    notes: 'Fresh grooves in the wedges.',
    setting: air(26, 1, 90, 40),
    seen: 'everything',
    hits: [
      { club: '60', balls: 16 },
      { club: '56', balls: 14 },
      { club: '7 iron', balls: 12 },
    ],
  },
  {
    player: 'Davor Kolar',
    name: 'Winter barn',
    daysAgo: 20,
    hitOff: 'mat',
    ball: 'Perl T',
    notes: 'Old driver beside the gamer, five at a time.',
    setting: air(17),
    seen: 'everything',
    hits: [
      { club: 'Driver', balls: 20, misHits: 1 },
      { club: 'Old driver', balls: 20 },
      { club: 'Hybrid 3', balls: 12 },
      { club: 'Driving iron', balls: 12 },
    ],
  },
  {
    player: 'Davor Kolar',
    name: 'Skarvoy range',
    daysAgo: 4,
    hitOff: 'grass',
    ball: 'Perl T',
    notes: 'First look at the 5 wood. The 60 feels hot.',
    setting: air(9, 4, 60, 6),
    seen: 'everything',
    hits: [
      { club: '5 wood', balls: 9 },
      { club: '60', balls: 15, spinShare: 0.86, launchMoreDeg: 1.4 },
      { club: '7 iron', balls: 10, misHits: 1 },
      { club: '7 iron', shot: 'soft', balls: 6 },
    ],
  },
  {
    player: 'Maren Tveit',
    name: 'Hochfirn range',
    daysAgo: 9,
    hitOff: 'grass',
    ball: 'Perl T',
    notes: '',
    setting: air(13, 1, 180, 1520),
    seen: 'everything',
    hits: [
      { club: '50', balls: 14 },
      { club: '54', balls: 14 },
      { club: '58', balls: 14 },
      { club: '9 iron', balls: 8 },
    ],
  },
  {
    player: 'Pim Hoekstra',
    name: 'The polder',
    daysAgo: 12,
    hitOff: 'grass',
    ball: 'Perl 2',
    notes: 'With the range-finder.',
    setting: air(7, 5, 200),
    seen: 'carry only',
    hits: [
      { club: '7 iron', balls: 8 },
      { club: '50', balls: 7 },
    ],
  },
];

/** The launches of a good player scatter like this; one standard deviation. */
const SCATTER = { speedShare: 0.012, launchDeg: 0.7, spinShare: 0.045, azimuthDeg: 1.0, axisDeg: 2.2 };

/** The balls of a session: each club's swing is found in the usual air and hit in the session's. */
export function demoStrikes(
  session: DemoSession,
  clubOf: (
    name: string,
    shot: ShotKind,
  ) => { id: string; kind: ClubKind; loftDeg: number | undefined; carryM: number },
): { clubId: string; shot: ShotKind; given: Strike }[] {
  const normal = normalFrom(randomFrom(session.daysAgo * 101 + session.player.length));
  const here = airOf(session.setting.conditions);
  const usual = airOf(BASELINE);
  return session.hits.flatMap(
    ({ club, shot = 'full', balls, longer = 0, spinShare = 1, launchMoreDeg = 0, misHits = 0 }) => {
      const { id, kind, loftDeg, carryM } = clubOf(club, shot);
      const { launch, delivery } = launchOfShot(kind, loftDeg, carryM + longer, usual);
      return Array.from({ length: balls }, (_one, i) => {
        const bad = i >= 3 && i < 3 + misHits ? 0.85 : 1;
        const struck = {
          ballSpeedMps: launch.ballSpeedMps * (1 + SCATTER.speedShare * normal()) * bad,
          launchDeg: Math.max(2, launch.launchDeg + launchMoreDeg + SCATTER.launchDeg * normal()),
          spinRpm: launch.spinRpm * spinShare * (1 + SCATTER.spinShare * normal()),
          azimuthDeg: SCATTER.azimuthDeg * normal() * (bad < 1 ? 3 : 1),
          spinAxisDeg: SCATTER.axisDeg * normal(),
        };
        const flown = fly(struck, here);
        const seen: Strike =
          session.seen === 'carry only'
            ? { carryM: Math.round(flown.carryM) }
            : {
                ...struck,
                clubSpeedMps: delivery.clubSpeedMps * (1 + SCATTER.speedShare * normal()),
                carryM: flown.carryM,
                offlineM: flown.lateralM,
                apexM: flown.apexM,
                descentDeg: flown.descentDeg,
              };
        return {
          clubId: id,
          shot,
          given: Object.fromEntries(
            Object.entries(seen).map(([part, value]) => [part, Math.round(value * 100) / 100]),
          ),
        };
      });
    },
  );
}
