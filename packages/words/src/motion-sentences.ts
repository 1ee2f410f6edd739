import type { ExerciseCode } from '@jasperwren/motion/layout/exercises';
import type { SpaceName } from '@jasperwren/motion/layout/space';
import type { Near } from '@jasperwren/motion/layout/touch';
import type { Saved } from '@jasperwren/motion/planner/last-saved';
import type { NoPlan } from '@jasperwren/motion/planner/search';
import type { MovementsAt, Needed } from '@jasperwren/motion/planner/plan-exercise';
import type { Step } from '@jasperwren/motion/moves/steps';
import { wheelOf } from '@jasperwren/motion/moves/bench';
import type { LinedUp } from '@jasperwren/motion/sight/lines-up';
import type { OffPlace } from '@jasperwren/motion/sight/in-place';
import type { KeptKind } from '@jasperwren/motion/read-spec';
import type { Followed, Helps, RuleFeature } from '@jasperwren/motion/sight/rule-of-thumb';
import { mostDeg, mostM, type Reference } from '@jasperwren/motion/sight/tolerance';
import type { VehicleProblem } from '@jasperwren/motion/vehicle/check-vehicle';
import { metresPerFoot } from '@jasperwren/motion/stopping/units';
import {
  diagonalToleranceFor,
  tapesFor,
  toleranceFor,
  usualTapeM,
  type SetOut,
} from '@jasperwren/motion/set-out/set-out';
import type { AnyMeasure } from '@jasperwren/motion/vehicle/measures';
import type { PartName } from '@jasperwren/motion/vehicle/parts';
import type { Vehicle, VehicleKind } from '@jasperwren/motion/vehicle/vehicle';
import { capital, joinWords } from './lists';
import { t } from './motion';

/** A length in feet and inches, to a quarter of an inch, as a tape is read. */
export function feetAndInches(metres: number): string {
  const quarters = Math.round(Math.abs(metres) / (metresPerFoot / 48));
  const feet = Math.floor(quarters / 48);
  const inches = (quarters % 48) / 4;
  const whole = Math.floor(inches);
  const part = ['', '¼', '½', '¾'][Math.round((inches - whole) * 4)]!;
  return t('feetInches', { feet, inches: part && whole === 0 ? part : `${whole}${part}` });
}

/** What the longest distance can be measured to, and how, where it is longer than a tape. */
export function toleranceWords({ parts }: SetOut): string {
  const cm = (metres: number) => Math.ceil(metres * 100 - 1e-9);
  const longest = parts.tapeM;
  const words = t('tolerance', {
    near: cm(toleranceFor(0)),
    longest: longest.toFixed(1),
    far: cm(toleranceFor(longest)),
    diagonal: cm(diagonalToleranceFor(longest)),
  });
  const times = tapesFor(longest);
  return times === 1 ? words : `${words} ${t('tapeLaid', { tape: usualTapeM, times })}`;
}

export const movementsWords = (count: number): string => t('movements', { count });
export const vehicleName = (kind: VehicleKind): string => t(kind);
export const exerciseName = (code: ExerciseCode): string => t(code);
const edgeCodes = [
  'left-line',
  'right-line',
  'end-line',
  'aisle-edge',
  'bay-before',
  'bay-after',
  'near-kerb',
  'far-kerb',
  'other-kerb',
  'car-ahead',
  'car-behind',
  'left-edge',
  'right-edge',
  'stop-line',
  'barrier-at-end',
] as const;

/** What an edge of a layout is called: "car ahead, 2"; one of the school's own, and a marker, by its id. */
export function edgeName(id: string): string {
  const [, own = id, part] = /^(.+?)(?:-(\d+))?$/.exec(id) ?? [];
  const code = edgeCodes.find((one) => one === own);
  if (!code) return id;
  return part === undefined ? t(code) : t('edgePart', { edge: t(code), part });
}

/** "Bay, reversing in, on the left"; a ground of the school's own by its name. */
export const groundTitle = (name: string, side: 'left' | 'right' | undefined): string =>
  side ? t('groundOf', { exercise: name, side: t(side).toLowerCase() }) : name;
export const ruleFeatureName = (feature: RuleFeature): string => capital(t(feature));
export const keptKindName = (kind: KeptKind): string => t(kind === 'vehicle' ? 'keptVehicle' : kind);
export const spaceName = (name: SpaceName): string => t(name);
export const measureName = (name: AnyMeasure): string => t(name);
export const partName = (name: PartName): string => t(name);

/** What was touched or is near: "marker A", "a line". */
export const thingName = ({ kind, thing }: Pick<Near, 'kind' | 'thing'>): string =>
  kind === 'cone' || kind === 'pole' ? t('marker', { id: thing }) : t(kind);

/** "Full left lock, back 3.4 m". */
export function stepSentence({ steerDeg, distanceM }: Step, lockDeg: number): string {
  const share = Math.round((Math.abs(steerDeg) / lockDeg) * 100);
  const left = steerDeg > 0;
  const steer =
    share === 0
      ? t('straight')
      : share >= 99
        ? t(left ? 'fullLeft' : 'fullRight')
        : t(left ? 'partLeft' : 'partRight', { share });
  return t(distanceM < 0 ? 'stepBack' : 'stepForward', { steer, way: Math.abs(distanceM).toFixed(1) });
}

const sideWord = (side: 'left' | 'right' | undefined): string => t(side === 'right' ? 'rightSide' : 'leftSide');

/** "Ends with marker B level with the door mirror on the right". */
function linedUpWords({ feature, side, ...thing }: LinedUp): string {
  const values = { thing: thing.kind === 'wall' ? t('wallEnd') : thingName(thing), side: sideWord(side) };
  switch (feature) {
    case 'mirror-edge':
      return t('onMirrorEdge', values);
    case 'bonnet-edge':
      return t('underBonnet', { thing: values.thing });
    case 'pillar-gap':
      return t('inPillarGap', values);
    default:
      return t('levelWith', { ...values, what: t(feature) });
  }
}

/** "Trailer then 28° out to the left." */
function trailerWords(hitch: number): string {
  const degrees = Math.round((Math.abs(hitch) * 180) / Math.PI);
  // Where the car points to the left of its trailer, the trailer's rear comes out on the left.
  return degrees === 0
    ? t('trailerInLine')
    : t('trailerOut', { degrees, side: t(hitch > 0 ? 'leftSide' : 'rightSide') });
}

/**
 * "Ends with marker B level with the door mirror on the right. May be 20 cm short or 34 cm far, the steering wheel 12° left
 * or 30° right of it."
 * @param hitch the angle of a trailer as the step ends, in radians
 */
export function referenceSentence(
  { shortM, longM, leftDeg, rightDeg, level: [best] }: Reference,
  vehicle: Vehicle,
  hitch: number,
): string {
  const atLeast = (value: string, capped: boolean) => (capped ? t('orMore', { value }) : value);
  const metres = (value: number) => atLeast(t('cm', { value: Math.round(value * 100) }), value >= mostM);
  const wheel = (value = 0) =>
    atLeast(t('degrees', { value: Math.floor(wheelOf(vehicle, value)) }), value >= mostDeg - 1e-9);
  const [short, long] = [metres(shortM), metres(longM)];
  if (vehicle.trailer) {
    const forgives = `${trailerWords(hitch)} ${t('forgivesTowing', { short, long })}`;
    return best ? t('endsWith', { what: linedUpWords(best), forgives }) : forgives;
  }
  const [left, right] = [wheel(leftDeg), wheel(rightDeg)];
  const steering =
    leftDeg === undefined
      ? t('steeredRight', { right })
      : rightDeg === undefined
        ? t('steeredLeft', { left })
        : t('steeredBoth', { left, right });
  const forgives = t('forgives', { short, long, steering });
  return best ? t('endsWith', { what: linedUpWords(best), forgives }) : forgives;
}

/** "Left mirror: markers A and B"; only which mirror it is where no marker stands anywhere. */
export function mirrorShows(side: 'left' | 'right' | 'inside', ids: readonly string[] | undefined): string {
  if (!ids) return t(`${side}Mirror`);
  const shows =
    ids.length === 0 ? t('noMarker') : t(ids.length === 1 ? 'onlyMarker' : 'markersSeen', { ids: joinWords(ids) });
  return t(`${side}MirrorShows`, { shows });
}

/** "as measured", "5 cm further back". */
export function seatWords(backM: number): string {
  const cm = Math.round(Math.abs(backM) * 100);
  return cm === 0 ? t('seatAsMeasured') : t(backM > 0 ? 'seatBack' : 'seatForward', { cm });
}

/** "as for the road", "6° down". */
export const downWords = (degrees: number): string => (degrees === 0 ? t('forRoad') : t('tiltedDown', { degrees }));

/** What becomes of a rule of thumb. */
export function ruleSentence(followed: Followed): string {
  switch (followed.outcome) {
    case 'works':
      return followed.closest
        ? t('ruleWorks', {
            gap: Math.round(followed.closest.gapM * 100),
            part: partName(followed.closest.part),
            thing: thingName(followed.closest),
          })
        : t('ruleWorksFree');
    case 'touches':
      return t('ruleTouches', {
        part: followed.part + 1,
        what: partName(followed.touch.part),
        thing: thingName(followed.touch),
      });
    case 'never':
      return t('ruleNever', { part: followed.part + 1 });
    default:
      return t('ruleOutside', { off: offWords(followed.off) });
  }
}

const sideWords = { left: t('overLeft'), right: t('overRight'), end: t('overEnd'), mouth: t('overMouth') } as const;

/** By how much a vehicle does not stand where it should; never said as nothing. */
function offWords(off: OffPlace): string {
  if (off.kind === 'turned') return t('offTurned', { degrees: Math.ceil(off.degrees) });
  const far =
    off.metres < 1
      ? t('cm', { value: Math.max(1, Math.round(off.metres * 100)) })
      : t('m', { value: off.metres.toFixed(1) });
  return off.kind === 'elsewhere' ? t('offElsewhere', { far }) : t('offSide', { far, side: sideWords[off.kind] });
}

/** With what a rule that fails would work. */
export function helpsSentence(helps: Helps | undefined): string {
  if (!helps) return t('helpsNot');
  if (helps.kind === 'lock')
    return t(helps.moreDeg > 0 ? 'helpsMoreLock' : 'helpsLessLock', { degrees: Math.abs(helps.moreDeg) });
  return t(helps.laterM > 0 ? 'helpsLater' : 'helpsEarlier', {
    part: helps.part + 1,
    cm: Math.round(Math.abs(helps.laterM) * 100),
  });
}

/** Until when a drive could have been saved. */
export function savedSentence(
  saved: Saved | null | undefined,
  how: 'steering' | 'correcting',
  { trailer }: Pick<Vehicle, 'trailer'>,
): string {
  if (!saved && trailer) return t('notFoundTowing');
  if (!saved) return t(how === 'steering' ? 'notBySteering' : 'notByCorrecting');
  return t(how === 'steering' ? 'savedBySteering' : 'savedByCorrecting', { before: saved.beforeM.toFixed(1) });
}

/** Why there is no way. */
export const noPlanSentence = ({ why }: Pick<NoPlan, 'why'>, most: number): string =>
  why === 'too-many-movements' ? t(why, { most }) : t(why);

/** How much more room would do; undefined where none does. */
export const neededSentence = (needed: Needed | undefined): string =>
  needed
    ? t('none-more', {
        name: spaceName(needed.measure),
        need: needed.needM.toFixed(2),
        more: Math.round((needed.needM - needed.haveM) * 100),
      })
    : t('no-more');

/** What is wrong with the measures of a vehicle, or strange about them. */
export function vehicleProblemSentence(problem: VehicleProblem): string {
  switch (problem.code) {
    case 'impossible':
      return t('impossible', { name: measureName(problem.measure), least: problem.least, most: problem.most });
    case 'unusual-circle':
    case 'unusual-length':
      return t(problem.code, { value: problem.value.toFixed(1), least: problem.least, most: problem.most });
    default:
      return t(problem.code);
  }
}

/** "Narrower than 5 m: not in 9 movements. In 3 movements from 6.5 m, in 1 movement from 12 m." */
export function widthsSentence(
  widths: readonly MovementsAt[],
  most: number,
  { trailer }: Pick<Vehicle, 'trailer'>,
): string {
  const first = widths.find(({ movements }) => movements !== null);
  const froms = new Map<number, number>();
  for (const { movements, widthM } of widths.toReversed()) if (movements !== null) froms.set(movements, widthM);
  return [
    // With a trailer not every way is looked for.
    first && t(trailer ? 'widthsNotFound' : 'widthsNever', { width: first.widthM, most }),
    ...[...froms]
      .filter(([movements]) => movements <= 3)
      .sort(([, a], [, b]) => a - b)
      .map(([movements, width]) => t('widthsOf', { movements: movementsWords(movements), width })),
  ]
    .filter(Boolean)
    .join(' ');
}
