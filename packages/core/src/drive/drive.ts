import type { Why } from './why';
import type { CheckResult, Ending, EndingCause, Familiarity, SectionKind, StandardRef, StepKind } from './event';

/** A mark as it stands after every regrade and strike. */
export interface Mark {
  readonly id: string;
  readonly item: string;
  /** The grade that holds now. */
  readonly grade: string;
  /** The grade first given, where a regrade changed it. */
  readonly firstGrade?: string | undefined;
  /**
   * When it happened, in milliseconds of the drive's clock: the pin's moment where it settles one, and the end of the
   * drive where it was entered after that.
   */
  readonly atMs: number;
  /** The exercise under way at that moment, if any. */
  readonly exercise?: string | undefined;
  readonly pin?: string | undefined;
  readonly note?: string | undefined;
  /** What was measured, in the unit of the item. */
  readonly measured?: number | undefined;
  readonly advice?: Advised | undefined;
  /** Where it was made, as somebody has said. */
  readonly place?: { readonly lat: number; readonly lon: number } | undefined;
  /** The expected look that was missed, by its code. */
  readonly look?: string | undefined;
  /** The step of its item's sequence that was missed, by its name. */
  readonly step?: string | undefined;
  /** What sensors saw, in milliseconds of the clock of the car. */
  readonly detected?: { readonly run: string; readonly fromMs: number; readonly toMs: number } | undefined;
  readonly by: string;
  /** The device it was made on. */
  readonly device: string;
  readonly struck?: Struck | undefined;
}

/** What the severity adviser was last told of a mark, and what it proposed. */
export interface Advised {
  readonly answers: Readonly<Record<string, string>>;
  /** Code of a grade, or `none`. */
  readonly proposed: string;
}

export interface Struck {
  readonly strikeId: string;
  readonly why?: Why | undefined;
  readonly undo: boolean;
}

export type PinState = 'unsettled' | 'settled' | 'dropped';

export interface Pin {
  readonly id: string;
  readonly atMs: number;
  readonly state: PinState;
  readonly struck?: Struck;
}

/** A moment of the drive's clock, by the event that says so. */
export interface TimedEvent {
  readonly id: string;
  readonly atMs: number;
}

/** A prompt or an intervention, and what made it necessary where that was said. */
export interface Help extends TimedEvent {
  /** The fault that made it necessary; one that still stands. */
  readonly mark?: string;
  /** A reason in words. */
  readonly reason?: string;
}

export type HelpKind = 'prompt' | 'intervention';

/** One thing counted: a movement, a look, a pull-up. */
export interface CountedMove extends TimedEvent {
  readonly step: StepKind;
}

/** A stretch of the drive; `toMs` is missing while it lasts. */
export interface Span {
  readonly section: SectionKind;
  readonly exercise?: string;
  readonly retest?: boolean;
  readonly fromMs: number;
  readonly toMs?: number;
}

export interface Pause {
  readonly fromMs: number;
  readonly toMs?: number;
  readonly why?: Why;
}

/** An expected look that was seen. */
export interface LookSeen extends TimedEvent {
  readonly look: string;
}

/** Sensors that are read from a moment on. */
export interface SensorRun extends TimedEvent {
  readonly run: string;
  readonly car?: string;
  /** What the clock of the car showed at that moment, in milliseconds. */
  readonly clockMs: number;
  /** Its exercises repeat ones that were failed on an earlier test. */
  readonly retest?: boolean;
  /** RFC 3339. */
  readonly wall: string;
  readonly by: string;
}

/** What became of a step of the briefing. */
export interface BriefingResult {
  readonly id: string;
  readonly check: string;
  readonly result: CheckResult;
  readonly why?: Why | undefined;
  readonly detail?: string | undefined;
  /** The parts of the step that were missed, by name. */
  readonly missed?: readonly string[] | undefined;
  readonly atMs: number;
}

/** An answer to a question of the oral part. */
export interface Answer extends TimedEvent {
  readonly item: string;
  readonly right: boolean;
  /** The question that was asked, by its id in the bank. */
  readonly question?: string | undefined;
}

export interface Note extends TimedEvent {
  readonly text: string;
  readonly target?: string | undefined;
  readonly private: boolean;
  readonly by: string;
}

/** That the drive was talked through, and what was agreed. */
export interface Debriefed {
  readonly id: string;
  /** RFC 3339. */
  readonly wall: string;
  readonly workOn: readonly string[];
}

/** Two standing marks of one item, made on two devices at nearly the same moment: one fault seen twice, or two. */
export interface Double {
  readonly first: Mark;
  readonly second: Mark;
}

/** In the briefing the clock stands at 0. */
export type DrivePhase = 'not-started' | 'briefing' | 'running' | 'paused' | 'ended';

/** Everything that follows from a log. */
export interface Drive {
  readonly phase: DrivePhase;
  readonly learnerId?: string;
  readonly standard?: StandardRef;
  /** Wall clock at the start, RFC 3339. */
  readonly startedAt?: string;
  /** The planned route it is driven on. */
  readonly route?: { readonly id: string; readonly name: string };
  /** Every mark in order of its moment, struck ones included. */
  readonly marks: readonly Mark[];
  readonly pins: readonly Pin[];
  readonly prompts: readonly Help[];
  readonly interventions: readonly Help[];
  readonly steps: readonly CountedMove[];
  readonly looks: readonly LookSeen[];
  /** The sensors that are read, the last word holds. */
  readonly sensors?: SensorRun;
  /** Attempts said to have failed. */
  readonly failedAttempts: readonly TimedEvent[];
  /** When the car moved off, in milliseconds of the drive's clock; missing while it has not. */
  readonly movedOffMs?: number;
  /** Without gaps from the moving off to the end, or to now. */
  readonly spans: readonly Span[];
  readonly pauses: readonly Pause[];
  readonly checks: readonly BriefingResult[];
  readonly answers: readonly Answer[];
  readonly notes: readonly Note[];
  /** Doubles nobody has settled yet. */
  readonly doubles: readonly Double[];
  readonly debriefed?: Debriefed;
  /** How well the learner knew the roads; missing where nobody said. */
  readonly familiarity?: Familiarity;
  /** Meant to be shorter than a whole test, by the event that says so, and why. */
  readonly short?: { readonly id: string; readonly why?: Why | undefined };
  readonly ended?: {
    readonly atMs: number;
    readonly ending: Ending;
    readonly cause?: EndingCause;
    readonly why?: Why;
  };
  /** Moment of the last event, in milliseconds. */
  readonly lastMs: number;
}

/** The section under way at a moment of the drive's clock; the one that begins at it, where one does. */
export function spanAt(spans: readonly Span[], atMs: number): Span | undefined {
  let [low, high] = [0, spans.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (spans[middle]!.fromMs <= atMs) low = middle + 1;
    else high = middle;
  }
  return spans[low - 1];
}

/** The marks that count for anything: those not struck. */
export function standingMarks(drive: Drive): readonly Mark[] {
  return drive.marks.filter((mark) => !mark.struck);
}

/** Every prompt and intervention, in order of time. */
export function helpIn({ prompts, interventions }: Drive): readonly (Help & { readonly kind: HelpKind })[] {
  return [
    ...prompts.map((help) => ({ ...help, kind: 'prompt' as const })),
    ...interventions.map((help) => ({ ...help, kind: 'intervention' as const })),
  ].sort((a, b) => a.atMs - b.atMs);
}

/** The pins nobody has settled or dropped yet. */
export function unsettledPins(drive: Drive): readonly Pin[] {
  return drive.pins.filter((pin) => pin.state === 'unsettled');
}
