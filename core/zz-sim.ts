import { BASELINE, CALM, MEDIUM_FAIRWAY, USUAL_GROUND, dayShots, holePlayer, usualHole, type LadderClub, type RoundDay } from './src/index.js';
const lengths: [number, number][] = [[4,395],[5,500],[4,370],[3,180],[4,420],[4,350],[3,160],[5,520],[4,405],[4,430],[3,195],[4,385],[5,540],[4,360],[4,410],[3,205],[4,440],[5,485]];
const total = lengths.reduce((s, [, l]) => s + l, 0);
const scale = 6900 / total;
const tour: [string, any, number, number][] = [['D','driver',10,252],['3','fairway',15,222],['5','fairway',18,210],['H','hybrid',21,202],['4','iron',24,186],['5i','iron',27,177],['6i','iron',30,167],['7i','iron',34,157],['8i','iron',38,146],['9i','iron',42,135],['PW','wedge',46,124],['50','wedge',50,112],['54','wedge',54,100],['58','wedge',58,86]];
for (const [name, k] of [['tour (driver 252 m)', 1],['tour long (277)', 1.1],['short (186)', 0.74]] as const) for (const wind of [0, 8]) {
  const clubs: LadderClub[] = tour.map(([id, kind, loftDeg, c]) => ({ id, name: id, kind, loftDeg, shots: { full: { carryM: c * k, source: 'stated' } } }));
  const holes = lengths.map(([par, l], i) => ({ ...usualHole(par, [l * scale]), bearingDeg: i * 47 % 360 }));
  const day: RoundDay = { course: { tees: ['B'], holes, altitudeM: 0 }, tee: 0, air: { ...CALM, windMps: wind, windFromDeg: 200 }, ground: USUAL_GROUND };
  const player = holePlayer(day, clubs, dayShots(day, { conditions: BASELINE, surface: MEDIUM_FAIRWAY }));
  let sum = 0, fw = 0, fwn = 0, gir = 0; const N = 300;
  for (let r = 0; r < N; r++) for (let h = 0; h < 18; h++) { const { strokes, asked } = player.play(h, r * 7919 + h * 977); sum += strokes; const par = lengths[h]![0];
    if (par > 3) { fwn++; if (asked[1] && ['fairway','tight'].includes(asked[1].need.lie) || !asked[1]) fw++; }
    const shots = asked.filter((a) => a.shot !== undefined).length; const last = asked.at(-1)!; const ended = last.shot === undefined ? shots + 99 : shots; if (ended <= par - 2) gir++; }
  console.log(name, wind, 'score', (sum / N).toFixed(1), 'fairways', (100 * fw / fwn).toFixed(0), 'greens', (100 * gir / N / 18).toFixed(0));
}
