import { GRAVITY } from '../air/index.js';
import { BALL } from '../flight/index.js';
import { requireWithin, type Bounds } from '../invalid-input-error.js';
import { groundOf, requireSurface, type Ground, type Surface } from './surface.js';

/** How a ball comes down: speed, angle below the horizontal, backspin. */
export interface Landing {
  landSpeedMps: number;
  descentDeg: number;
  landSpinRpm: number;
}

interface RunOut {
  /**
   * From the first touch to rest, along the line of landing; negative when the ball ends behind its pitch mark.
   */
  runM: number;
  /**
   * It checks when it stops within 4 m of its pitch mark, and draws back when it ends half a metre or more
   * behind its furthest.
   */
  word: 'runs on' | 'checks' | 'draws back';
  bounces: number;
  /** Length of the first bounce. */
  firstBounceM: number;
  /** The furthest the ball gets before it comes back; equals `runM` when it does not. */
  furthestM: number;
}

const LANDING_BOUNDS: Bounds<keyof Landing> = {
  landSpeedMps: [0, 90],
  descentDeg: [0, 90],
  landSpinRpm: [0, 15_000],
};

const DEG = Math.PI / 180;
/** Bounces lower than this are rolling. m */
const LOWEST_BOUNCE_M = 0.02;
const MAX_BOUNCES = 40;
/**
 * Of the air along the ground, at sea level: half of density times area times a drag coefficient of 0.25,
 * over mass. 1/m; it matters to balls that skid.
 */
const DRAG_PER_M = 0.0047;

/**
 * Bounce, slide and roll of a landed ball. A ball that digs in meets ground tilted against it, rebounds by a
 * restitution that falls with the speed of impact, slides or grips by friction, and at last rolls out.
 * Source: Penner, The run of a golf ball, Can. J. Phys. 80 (2002) 931-940; its numbers are from memory. Ours
 * are the dent, what tearing the turf costs, the spin lost in it, friction, and the factors of firmness and
 * grass: they were set so that what the trade sees comes out (docs/numbers.md). The ground is level, and
 * sidespin is left out.
 * @throws InvalidInputError naming the field
 */
export function runOut(landing: Landing, surface: Surface): RunOut {
  requireWithin(landing, LANDING_BOUNDS);
  requireSurface(surface);
  return run(landing.landSpeedMps, landing.descentDeg, landing.landSpinRpm, groundOf(surface));
}

/** `runOut` on ground already worked out. */
export function run(speedMps: number, descentDeg: number, spinRpm: number, ground: Ground): RunOut {
  const { radiusM } = BALL;
  let along = speedMps * Math.cos(descentDeg * DEG);
  let down = speedMps * Math.sin(descentDeg * DEG);
  /** Backspin is positive, a forward roll negative, rad/s. */
  let spin = (spinRpm * 2 * Math.PI) / 60;
  let placeM = 0;
  let furthestM = 0;
  let firstBounceM = 0;
  let bounces = 0;
  while (bounces < MAX_BOUNCES) {
    const tilt = tiltOf(along, down, ground);
    const cos = Math.cos(tilt),
      sin = Math.sin(tilt);
    const slide = along * cos - down * sin;
    const hit = along * sin + down * cos;
    const e = restitution(hit) * ground.spring;
    const slip = slide + radiusM * spin;
    const grip = (2 * Math.abs(slip)) / (7 * (1 + e) * hit);
    let off: number;
    if (ground.friction < grip) {
      const rub = Math.sign(slip) * ground.friction * (1 + e) * hit;
      off = slide - rub;
      spin -= (5 * rub) / (2 * radiusM);
    } else {
      off = (5 * slide - 2 * radiusM * spin) / 7;
      spin = -off / radiusM;
    }
    spin *= 1 - SPIN_LOST * (1 - Math.exp(-down / SPIN_LOST_MPS));
    off *=
      1 -
      PLOUGH *
        ground.dig *
        (1 - Math.exp(-down / PLOUGH_FROM_MPS)) *
        (1 - Math.exp(-Math.abs(along) / PLOUGH_MPS));
    const up = e * hit;
    along = off * cos - up * sin;
    down = off * sin + up * cos;
    if ((down * down) / (2 * GRAVITY) < LOWEST_BOUNCE_M || down <= 0) break;
    const leapS = (2 * down) / GRAVITY;
    const slowed = 1 + DRAG_PER_M * Math.abs(along) * leapS;
    const leapM = (Math.sign(along) * Math.log(slowed)) / DRAG_PER_M;
    along /= slowed;
    if (bounces === 0) firstBounceM = leapM;
    bounces++;
    placeM += leapM;
    furthestM = Math.max(furthestM, placeM);
  }
  // What slip is left is rubbed off, then the ball rolls.
  const slip = along + radiusM * spin;
  const rubS = (2 * Math.abs(slip)) / (7 * ground.friction * GRAVITY);
  const rolling = (5 * along - 2 * radiusM * spin) / 7;
  placeM += (((along + rolling) / 2) * rubS) / (1 + (DRAG_PER_M * Math.abs(along) * rubS) / 2);
  furthestM = Math.max(furthestM, placeM);
  const slowing = (5 / 7) * ground.rolling * GRAVITY;
  placeM +=
    (Math.sign(rolling) * Math.log(1 + (DRAG_PER_M * rolling * rolling) / slowing)) / (2 * DRAG_PER_M);
  furthestM = Math.max(furthestM, placeM);
  const back = furthestM - placeM;
  return {
    runM: placeM,
    word: back > 0.5 ? 'draws back' : placeM < CHECKS_WITHIN_M ? 'checks' : 'runs on',
    bounces,
    firstBounceM,
    furthestM,
  };
}

/** A ball that stops this near its pitch mark is said to check. m; common practice, no source. */
const CHECKS_WITHIN_M = 4;

/**
 * The tilt of the dent a landing ball would make at great speed on a medium fairway, degrees, and the speed
 * downwards that makes most of it.
 */
const DENT_DEG = 37.3;
const DENT_MPS = 23.2;
/**
 * A ball from straight above makes a dent that faces straight up: from this much off it the tilt is whole.
 * Degrees.
 */
const WHOLE_DENT_DEG = 60;

/**
 * The tilt of the dent a ball meets, radians; it rises against the way the ball comes, whichever that is.
 * Penner measured 15.4 degrees for one landing (18.6 m/s at 44.4 degrees; from memory) and took it in
 * proportion to speed and angle. Here it grows with the square of the speed downwards, levels off, and turf
 * torn open (`PLOUGH`) takes the rest of what he found; docs/numbers.md has the landings it was set against.
 */
function tiltOf(along: number, down: number, ground: Ground): number {
  const offDeg = Math.atan2(Math.abs(along), down) / DEG;
  const deep = 1 - Math.exp(-((down / DENT_MPS) ** 2));
  return Math.sign(along) * DENT_DEG * DEG * ground.dig * deep * Math.min(1, offDeg / WHOLE_DENT_DEG);
}

/**
 * Share of its speed along the ground that a fast ball loses in the turf it tears open, and the speed that
 * loses most of it. Our choice.
 */
const PLOUGH = 0.676;
const PLOUGH_MPS = 47.4;
/** A ball that comes down slower than this hardly tears anything. m/s */
const PLOUGH_FROM_MPS = 1;

/**
 * Share of its spin a ball loses in ploughing out of a dent, and the speed downwards that costs most of it. Our
 * choice.
 */
const SPIN_LOST = 0.571;
const SPIN_LOST_MPS = 3;
/** Of a ball on turf by the speed it meets it with. Penner 2002, from memory. */
function restitution(hitMps: number): number {
  return hitMps > 20 ? 0.12 : 0.51 - 0.0375 * hitMps + 0.000903 * hitMps * hitMps;
}
