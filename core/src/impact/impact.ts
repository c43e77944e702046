import type { ClubKind } from '../clubs/index.js';
import { BALL, type Launch } from '../flight/index.js';
import { InvalidInputError, requireWithin, type Bounds } from '../invalid-input-error.js';
import { HEADS, speedOfLength } from './heads.js';

/**
 * How a club meets the ball. Speed of the head's centre in m/s; angles in degrees; `lengthIn` against the
 * usual length of its kind.
 */
export interface Delivery {
  kind: ClubKind;
  clubSpeedMps: number;
  /** The loft the club is at. */
  loftDeg: number;
  /** Of the head's path; down is negative. */
  attackDeg: number;
  /** How much the shaft leans to the target at impact and takes off the loft. */
  shaftLeanDeg: number;
  /** Longer than the speed was measured with, inches; zero when left out. */
  longerIn?: number;
  /** Between face and ball: 0.22 for clean dry grooves. */
  friction?: number;
  /** Of the ball; 21 when left out. A cold ball springs back less. */
  ballTemperatureC?: number;
}

const DELIVERY_BOUNDS: Bounds<Exclude<keyof Delivery, 'kind'>> = {
  clubSpeedMps: [1, 80],
  loftDeg: [0, 80],
  attackDeg: [-20, 15],
  shaftLeanDeg: [-20, 30],
  longerIn: [-6, 6],
  friction: [0, 1],
  ballTemperatureC: [-20, 50],
};

/** What a rigid ball that stops sliding on the face takes of the head's tangential speed. */
const GRIPPING = 2 / 7;
/**
 * Of a clean, dry face, the whole of an impact taken together: past about 55 degrees of loft a ball slides up
 * it, spins no more and starts higher. Our choice.
 */
const DRY_FRICTION = 0.22;
const USUAL_BALL_C = 21;
/**
 * Share of its restitution a ball gains per kelvin near room temperature. From memory; it moves carries by
 * the amounts of the rule of thumb.
 */
const RESTITUTION_PER_K = 0.001;
const DEG = Math.PI / 180;

/**
 * Launch of a ball struck by a rigid head: an oblique impact with restitution across the face and friction
 * along it. Source: Penner, The physics of golf, Rep. Prog. Phys. 66 (2003) 131-171. Restitution, head masses
 * and the tangential factors of each kind (a ball springs back along the face too; deep heads give spin back
 * by gear effect) are calibrated: docs/numbers.md.
 * @throws InvalidInputError naming the field
 */
export function impact(delivery: Delivery): Launch {
  requireWithin(delivery, DELIVERY_BOUNDS, ['longerIn', 'friction', 'ballTemperatureC']);
  const head = HEADS[delivery.kind];
  if (!head) throw new InvalidInputError('kind', `must be one of ${Object.keys(HEADS).join(', ')}`);
  const speed = delivery.clubSpeedMps * speedOfLength(delivery.longerIn ?? 0);
  const dynamicLoft = (delivery.loftDeg - delivery.shaftLeanDeg) * DEG;
  const spinLoft = dynamicLoft - delivery.attackDeg * DEG;
  const restitution = head.restitution * restitutionFactor(delivery.ballTemperatureC ?? USUAL_BALL_C);
  const across = ((1 + restitution) * speed * Math.cos(spinLoft)) / (1 + BALL.massKg / head.massKg);
  const gripped = head.tangential * GRIPPING * speed * Math.sin(spinLoft);
  // Friction can give along the face no more than its share of what was given across it.
  const along =
    Math.sign(gripped) * Math.min(Math.abs(gripped), (delivery.friction ?? DRY_FRICTION) * across);
  return {
    ballSpeedMps: Math.hypot(across, along),
    launchDeg: dynamicLoft / DEG - Math.atan2(along, across) / DEG,
    // A solid ball: moment of inertia 2/5 m r2.
    spinRpm: Math.max(0, (2.5 * along * 60) / (2 * Math.PI * BALL.radiusM)),
  };
}

/** Restitution of a ball at a temperature against that at 21 C. */
function restitutionFactor(ballTemperatureC: number): number {
  return 1 + RESTITUTION_PER_K * (ballTemperatureC - USUAL_BALL_C);
}

/** Ball speed off a head with a ball at one temperature against that with a ball at another. */
export function ballSpeedRatio(kind: ClubKind, toC: number, fromC: number): number {
  const { restitution } = HEADS[kind] ?? HEADS.iron!;
  return (1 + restitution * restitutionFactor(toC)) / (1 + restitution * restitutionFactor(fromC));
}
