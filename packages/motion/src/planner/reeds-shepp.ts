import { alongArc } from '../moves/roll';
import { seenFrom, wrapAngle, type Pose } from '../geometry';

const { PI, abs, acos, asin, atan2, cos, sin, sqrt } = Math;

/** A part of a way: 1 to the left, -1 to the right, 0 straight; its length in radii, below 0 backwards. */
export interface Piece {
  readonly turn: -1 | 0 | 1;
  readonly length: number;
}

const near = 1e-9;

/** Lengths and whether the pieces are mirrored or driven the other way round. */
type Lengths = readonly number[] | undefined;
type Formula = (x: number, y: number, phi: number) => Lengths;

/** One of the words of Reeds and Shepp: the turns of its pieces. */
interface Word {
  readonly turns: readonly (-1 | 0 | 1)[];
  readonly lengths: Formula;
  /** Also driven from its end to its start. */
  readonly backwards?: boolean;
}

const [left, right, straight] = [1, -1, 0] as const;
const quarter = PI / 2;
const polar = (x: number, y: number): readonly [radius: number, angle: number] => [sqrt(x * x + y * y), atan2(y, x)];

/** The first and the last arc of a word of four arcs whose middle two are given. */
function outerArcs(u: number, v: number, xi: number, eta: number, phi: number): readonly [number, number] {
  const delta = wrapAngle(u - v);
  const a = sin(u) - sin(delta);
  const b = cos(u) - cos(delta) - 1;
  const angle = atan2(eta * a - xi * b, xi * a + eta * b);
  const turned = 2 * (cos(delta) - cos(v) - cos(u)) + 3;
  const tau = wrapAngle(turned < 0 ? angle + PI : angle);
  return [tau, wrapAngle(tau - u + v - phi)];
}

/**
 * The words of which a shortest way consists, up to mirroring and driving the other way: J. A. Reeds and L. A. Shepp,
 * "Optimal paths for a car that goes both forwards and backwards", Pacific Journal of Mathematics 145 (1990),
 * formulas 8.1 to 8.11; from memory.
 */
const words: readonly Word[] = [
  {
    turns: [left, straight, left],
    lengths(x, y, phi) {
      const [u, t] = polar(x - sin(phi), y - 1 + cos(phi));
      const v = wrapAngle(phi - t);
      return t >= -near && v >= -near ? [t, u, v] : undefined;
    },
  },
  {
    turns: [left, straight, right],
    lengths(x, y, phi) {
      const [far, angle] = polar(x + sin(phi), y - 1 - cos(phi));
      if (far < 2) return undefined;
      const u = sqrt(far * far - 4);
      const t = wrapAngle(angle + atan2(2, u));
      const v = wrapAngle(t - phi);
      return t >= -near && v >= -near ? [t, u, v] : undefined;
    },
  },
  {
    turns: [left, right, left],
    backwards: true,
    lengths(x, y, phi) {
      const [far, angle] = polar(x - sin(phi), y - 1 + cos(phi));
      if (far > 4) return undefined;
      const u = -2 * asin(far / 4);
      const t = wrapAngle(angle + u / 2 + PI);
      const v = wrapAngle(phi - t + u);
      return t >= -near && u <= near ? [t, u, v] : undefined;
    },
  },
  {
    turns: [left, right, left, right],
    lengths(x, y, phi) {
      const [xi, eta] = [x + sin(phi), y - 1 - cos(phi)];
      const rho = (2 + sqrt(xi * xi + eta * eta)) / 4;
      if (rho > 1) return undefined;
      const u = acos(rho);
      const [t, v] = outerArcs(u, -u, xi, eta, phi);
      return t >= -near && v <= near ? [t, u, -u, v] : undefined;
    },
  },
  {
    turns: [left, right, left, right],
    lengths(x, y, phi) {
      const [xi, eta] = [x + sin(phi), y - 1 - cos(phi)];
      const rho = (20 - xi * xi - eta * eta) / 16;
      if (!(rho >= 0 && rho <= 1)) return undefined;
      const u = -acos(rho);
      if (u < -quarter) return undefined;
      const [t, v] = outerArcs(u, u, xi, eta, phi);
      return t >= -near && v >= -near ? [t, u, u, v] : undefined;
    },
  },
  {
    turns: [left, right, straight, left],
    backwards: true,
    lengths(x, y, phi) {
      const [rho, angle] = polar(x - sin(phi), y - 1 + cos(phi));
      if (rho < 2) return undefined;
      const r = sqrt(rho * rho - 4);
      const u = 2 - r;
      const t = wrapAngle(angle + atan2(r, -2));
      const v = wrapAngle(phi - quarter - t);
      return t >= -near && u <= near && v <= near ? [t, -quarter, u, v] : undefined;
    },
  },
  {
    turns: [left, right, straight, right],
    backwards: true,
    lengths(x, y, phi) {
      const [xi, eta] = [x + sin(phi), y - 1 - cos(phi)];
      const [rho, t] = polar(-eta, xi);
      if (rho < 2) return undefined;
      const u = 2 - rho;
      const v = wrapAngle(t + quarter - phi);
      return t >= -near && u <= near && v <= near ? [t, -quarter, u, v] : undefined;
    },
  },
  {
    turns: [left, right, straight, left, right],
    lengths(x, y, phi) {
      const [xi, eta] = [x + sin(phi), y - 1 - cos(phi)];
      const [rho] = polar(xi, eta);
      if (rho < 2) return undefined;
      const u = 4 - sqrt(rho * rho - 4);
      if (u > near) return undefined;
      const t = wrapAngle(atan2((4 - u) * xi - 2 * eta, -2 * xi + (u - 4) * eta));
      const v = wrapAngle(t - phi);
      return t >= -near && v >= -near ? [t, -quarter, u, -quarter, v] : undefined;
    },
  },
];

/** A way as its word and how that is taken. */
export interface Way {
  /** In radii. */
  readonly length: number;
  /** How often it changes between forwards and backwards. */
  readonly changes: number;
  /** Whether it begins forwards (1) or backwards (-1). */
  readonly begins: 1 | -1;
  readonly pieces: () => readonly Piece[];
}

/** Pieces shorter than this, in radii, are none. */
const noLength = 1e-7;

/** Tells every word that leads from 0 to a pose, in radii. */
function eachWay(
  x: number,
  y: number,
  phi: number,
  found: (word: Word, lengths: readonly number[], flipped: boolean, mirrored: boolean, backwards: boolean) => void,
): void {
  const each = (word: Word, x: number, y: number, backwards: boolean) => {
    let lengths = word.lengths(x, y, phi);
    if (lengths) found(word, lengths, false, false, backwards);
    lengths = word.lengths(-x, y, -phi);
    if (lengths) found(word, lengths, true, false, backwards);
    lengths = word.lengths(x, -y, -phi);
    if (lengths) found(word, lengths, false, true, backwards);
    lengths = word.lengths(-x, -y, phi);
    if (lengths) found(word, lengths, true, true, backwards);
  };
  const backX = x * cos(phi) + y * sin(phi);
  const backY = x * sin(phi) - y * cos(phi);
  for (const word of words) {
    each(word, x, y, false);
    if (word.backwards) each(word, backX, backY, true);
  }
}

function lengthOf(lengths: readonly number[]): number {
  let sum = 0;
  for (const length of lengths) sum += abs(length);
  return sum;
}

/** From one pose to another, in radii. */
function inRadii(from: Pose, to: Pose, radiusM: number): readonly [x: number, y: number, phi: number] {
  const { x, y } = seenFrom(from, to);
  return [x / radiusM, y / radiusM, wrapAngle(to.heading - from.heading)];
}

/**
 * The length of the shortest way from one pose to another for a car that turns no tighter than a radius and may go
 * forwards and backwards, in metres, where nothing stands in the way.
 */
export function shortestLength(from: Pose, to: Pose, radiusM: number): number {
  let least = Infinity;
  const [x, y, phi] = inRadii(from, to, radiusM);
  eachWay(x, y, phi, (_, lengths) => {
    const length = lengthOf(lengths);
    if (length < least) least = length;
  });
  return least * radiusM;
}

/** All ways of that kind. */
export function waysBetween(from: Pose, to: Pose, radiusM: number): readonly Way[] {
  const all: Way[] = [];
  const [x, y, phi] = inRadii(from, to, radiusM);
  eachWay(x, y, phi, (word, lengths, flipped, mirrored, backwards) => {
    const flip = flipped ? -1 : 1;
    let [changes, last, first] = [0, 0, 0];
    for (let i = 0; i < lengths.length; i++) {
      const length = lengths[backwards ? lengths.length - 1 - i : i]!;
      if (abs(length) <= noLength) continue;
      const sign = length * flip > 0 ? 1 : -1;
      if (last !== 0 && sign !== last) changes++;
      if (first === 0) first = sign;
      last = sign;
    }
    all.push({
      length: lengthOf(lengths),
      changes,
      begins: first < 0 ? -1 : 1,
      pieces() {
        const pieces = word.turns.map((turn, i): Piece => ({
          turn: (mirrored ? -turn : turn) as Piece['turn'],
          length: lengths[i]! * flip,
        }));
        return (backwards ? pieces.reverse() : pieces).filter(({ length }) => abs(length) > noLength);
      },
    });
  });
  return all;
}

/** Where a way ends. */
export const endOf = (from: Pose, pieces: readonly Piece[], radiusM: number): Pose =>
  pieces.reduce((at, { turn, length }) => alongArc(at, turn / radiusM, length * radiusM), from);
