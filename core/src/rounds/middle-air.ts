import { InvalidInputError } from '../invalid-input-error.js';
import { meanOf, quantileOf } from '../statistics/index.js';
import type { RoundAir } from './round-air.js';

/**
 * The middle of the ways a day may turn out: the median of each figure; of where the wind comes from, the
 * direction of the mean of its arrows, so that north-west and north-east make north.
 * @throws InvalidInputError where there are none
 */
export function middleAir(members: readonly RoundAir[]): RoundAir {
  if (members.length === 0) throw new InvalidInputError('members', 'are none');
  const of = (part: 'temperatureC' | 'humidityPct' | 'windMps') =>
    quantileOf(
      members.map((one) => one[part]),
      0.5,
    );
  const radians = ({ windFromDeg }: RoundAir) => (windFromDeg * Math.PI) / 180;
  const from = Math.atan2(
    meanOf(members.map((one) => one.windMps * Math.sin(radians(one)))),
    meanOf(members.map((one) => one.windMps * Math.cos(radians(one)))),
  );
  const tenth = (value: number) => Math.round(value * 10) / 10;
  return {
    temperatureC: tenth(of('temperatureC')),
    humidityPct: Math.round(of('humidityPct')),
    windMps: tenth(of('windMps')),
    windFromDeg: Math.round(((from * 180) / Math.PI + 360) % 360) % 360,
  };
}
