/**
 * The events of a drive. A drive is nothing but its log of events: they are appended, never changed and never
 * taken out; taking something back is an event of its own.
 */

/** What every event carries. */
export interface EventStamp {
  /** Made on the device, unique for ever. */
  readonly id: string;
  /** The device that recorded it. */
  readonly device: string;
  /** Counts the events of this device in this drive, from 0. */
  readonly seq: number;
  /** Milliseconds since the drive started, from a clock that never jumps; a whole number, 0 or more. */
  readonly atMs: number;
  /** Wall clock of the device, RFC 3339 in UTC. For people to read; durations never come from it. */
  readonly wall: string;
  /** Account of the person who recorded it. */
  readonly by: string;
}

export interface StandardRef {
  readonly id: string;
  readonly version: number;
}

/** The drive begins; carries what the record needs to stand alone. */
export interface StartedEvent extends EventStamp {
  readonly type: 'started';
  readonly learnerId: string;
  readonly standard: StandardRef;
}

/** A fault, or whatever else the standard grades. */
export interface MarkEvent extends EventStamp {
  readonly type: 'mark';
  /** Code of an item of the standard. */
  readonly item: string;
  /** Code of a grade of the standard. */
  readonly grade: string;
  /** The pin that this mark settles; the mark then happened when the pin was dropped. */
  readonly pin?: string;
  readonly note?: string;
  /** What was measured, in the unit of the item. */
  readonly measured?: number;
}

/** "Something happened here": a moment to be named at the next stop. */
export interface PinEvent extends EventStamp {
  readonly type: 'pin';
}

/** Takes an earlier event out of account. The event and the reason stay in the log. */
export interface StrikeEvent extends EventStamp {
  readonly type: 'strike';
  readonly target: string;
  readonly reason: string;
  /** True where the instructor pressed undo rather than judged again. */
  readonly undo?: boolean;
}

/** Gives a mark another grade. */
export interface RegradeEvent extends EventStamp {
  readonly type: 'regrade';
  readonly target: string;
  readonly grade: string;
  readonly reason?: string;
  /** What was measured since, in the unit of the item. */
  readonly measured?: number;
}

/** What the severity adviser was told of a mark and what it proposed. It changes no grade. */
export interface AdviceEvent extends EventStamp {
  readonly type: 'advice';
  readonly target: string;
  /** Code of the chosen answer by code of the question. */
  readonly answers: Readonly<Record<string, string>>;
  /** Code of the proposed grade, or `none` where no mark was proposed. */
  readonly proposed: string;
}

export const stepKinds = ['movement', 'look'] as const;
export type StepKind = (typeof stepKinds)[number];

/** One movement, or one look from outside, of the exercise under way. */
export interface StepEvent extends EventStamp {
  readonly type: 'step';
  readonly step: StepKind;
}

/** The instructor spoke: the learner had help. */
export interface PromptEvent extends EventStamp {
  readonly type: 'prompt';
}

/** The instructor took a control. */
export interface InterventionEvent extends EventStamp {
  readonly type: 'intervention';
}

export const sectionKinds = ['guided', 'independent', 'exercise'] as const;
export type SectionKind = (typeof sectionKinds)[number];

/** From here on the drive is of this kind, until the next section event. */
export interface SectionEvent extends EventStamp {
  readonly type: 'section';
  readonly section: SectionKind;
  /** Code of an exercise of the standard; only with the kind `exercise`. */
  readonly exercise?: string;
  /** A repeat of an exercise that was failed on an earlier test. */
  readonly retest?: boolean;
}

/** The clock stands still, or goes on. */
export interface PauseEvent extends EventStamp {
  readonly type: 'pause';
  readonly state: 'paused' | 'resumed';
  readonly reason?: string;
}

export const endings = ['completed', 'abandoned'] as const;
export type Ending = (typeof endings)[number];

export interface EndedEvent extends EventStamp {
  readonly type: 'ended';
  readonly ending: Ending;
  readonly reason?: string;
}

export type DriveEvent =
  | StartedEvent
  | MarkEvent
  | PinEvent
  | StrikeEvent
  | RegradeEvent
  | AdviceEvent
  | StepEvent
  | PromptEvent
  | InterventionEvent
  | SectionEvent
  | PauseEvent
  | EndedEvent;

/** What a caller says of an event; the stamp is added by whoever keeps the log. */
export type EventBody = DriveEvent extends infer E ? (E extends DriveEvent ? Omit<E, keyof EventStamp> : never) : never;

/** The order in which a log is read: by moment, then device, then the device's own count, then id. */
export function compareEvents(a: DriveEvent, b: DriveEvent): number {
  return a.atMs - b.atMs || compareText(a.device, b.device) || a.seq - b.seq || compareText(a.id, b.id);
}

function compareText(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0;
}
