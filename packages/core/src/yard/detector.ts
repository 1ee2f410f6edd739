import type { EffectiveStandard } from '../marking/standard';
import type { Finding } from './findings';
import { startIntake, type Intake, type Taken } from './intake';
import { startLeaving } from './leaving';
import { startMoments, type Step } from './moment';
import type { SentSample } from './sample';
import { sensedItems } from './signs';
import { followBay, isBay, startsNow, startStay, type Stay } from './stay';
import {
  contactWatch,
  drySteeringWatch,
  movementWatch,
  parkingBrakeWatch,
  parkWatch,
  quickStopWatch,
  safetyWatch,
  stallWatch,
  valueWatch,
  type Scene,
  type Watch,
} from './watches';
import { mayFollow } from '../marking/way-through';

/** Finds, sample by sample, what the sensors of a car tell of a run; live, in a replay and from a file alike. */
export interface Detector extends Pick<Intake, 'leftOut' | 'span'> {
  /** Takes the next sample, as it was sent. */
  readonly take: (sent: SentSample) => readonly Finding[];
  /** The run is over. */
  readonly end: () => readonly Finding[];
}

/** Starts watching a run under a standard whose items say what sensors can tell of them. */
export function startDetector(standard: EffectiveStandard): Detector {
  const items = sensedItems(standard);
  const exercises = new Map(standard.exercises.map((exercise) => [exercise.code, exercise]));
  const intake = startIntake();
  const moments = startMoments();
  const leaving = startLeaving();
  const watches: readonly Watch[] = [
    // Before the others: they ask which way it goes.
    movementWatch(items),
    valueWatch(items, 'roll-back', ({ rollBack }) => rollBack),
    valueWatch(items, 'revs', ({ rpm }) => rpm),
    valueWatch(items, 'speed', ({ speed }) => (speed === undefined ? undefined : Math.abs(speed))),
    quickStopWatch(items, standard),
    contactWatch(items, 'line'),
    contactWatch(items, 'pole'),
    safetyWatch(items, 'belt', false),
    safetyWatch(items, 'door', true),
    stallWatch(items),
    parkingBrakeWatch(items),
    drySteeringWatch(items),
    parkWatch(items),
  ];
  const visited = new Set<string>();
  let stay: Stay | undefined;
  let hasMoved = false;
  let carLeft = false;

  /** No exercise is left; the last one counts once the car is parked in it. */
  const allDriven = (): boolean => {
    if (stay && !stay.parked) return false;
    const driven = stay?.started ? new Set([...visited, stay.exercise.code]) : visited;
    return mayFollow(standard.exercises, [...driven]).length === 0;
  };

  /** The car is being left: it stands with all exercises behind it, or secured with the engine off. */
  const isLeaving = ({ now }: Step): boolean => {
    const secured = now.parkingBrake === true && (now.gear === 'N' || now.gear === 'P');
    return now.way === 0 && (allDriven() || (secured && now.engine === false));
  };

  function leaveZone(at: number): readonly (Finding | undefined)[] {
    if (!stay) return [];
    const left = stay;
    const { code } = left.exercise;
    stay = undefined;
    if (!left.started) return [];
    visited.add(code);
    const outside = isBay(left) && !left.parkedInside && !left.hadGap ? items.item('parked-outside', code) : undefined;
    const quiet =
      left.exercise.manoeuvre === 'quick-stop' && !left.toneHeard && !left.hadGap ? left.topSpeed : undefined;
    const speed = quiet && items.item('tone-speed', code);
    return [
      outside && items.mark(outside, at, left.enteredAt, at),
      speed && items.mark(speed, quiet.at, left.enteredAt, at, quiet.value),
      { kind: 'exercise-left', at, exercise: code },
    ];
  }

  function follow(step: Step): readonly (Finding | undefined)[] {
    const { now } = step;
    const findings: (Finding | undefined)[] = [];
    if (now.way !== 0) hasMoved = true;
    const zone = now.zone === undefined ? stay?.exercise : exercises.get(now.zone);
    if (zone?.code !== stay?.exercise.code) {
      findings.push(...leaveZone(now.at));
      if (zone) stay = startStay(zone, now.at);
    }
    if (stay) {
      if (startsNow(stay, step)) {
        stay.started = true;
        findings.push({ kind: 'exercise', at: now.at, exercise: stay.exercise.code });
      }
      if (now.speed !== undefined && now.speed > (stay.topSpeed?.value ?? 0))
        stay.topSpeed = { value: now.speed, at: now.at };
    }
    const scene: Scene = { ...step, stay, hasMoved, leaving: isLeaving(step) };
    for (const watch of watches) findings.push(...watch.look(scene));
    if (stay) followBay(stay, now);
    findings.push(...followLeaving(step));
    return findings;
  }

  function followLeaving({ now, before }: Step): readonly (Finding | undefined)[] {
    leaving.follow(now);
    const done = now.door === true && before?.door !== true && now.way === 0;
    if (carLeft || !done || !allDriven()) return [];
    carLeft = true;
    const ended = leaveZone(now.at);
    const { leaving: asked } = standard.course ?? {};
    const own = asked && !leaving.inOrder(asked.order) ? items.item('leaving-order', undefined) : undefined;
    return [
      ...ended,
      own && items.mark(own, now.at, leaving.since() ?? now.at, now.at),
      { kind: 'car-left', at: now.at },
    ];
  }

  const broken = () => watches.flatMap((watch) => watch.broken?.() ?? []);

  const found = (all: readonly Taken[]): readonly Finding[] =>
    all
      .flatMap((taken): readonly (Finding | undefined)[] => {
        if (taken.kind === 'sample') return follow(moments(taken));
        if (stay) stay.hadGap = true;
        return [...broken(), { kind: 'gap', at: taken.from, to: taken.to }];
      })
      .filter((one) => one !== undefined);

  return {
    take: (sent) => (carLeft ? [] : found(intake.take(sent))),
    end: () => (carLeft ? [] : [...found(intake.end()), ...broken().filter((one) => one !== undefined)]),
    leftOut: intake.leftOut,
    span: intake.span,
  };
}
