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
  /** The drive opens with its briefing: the clock waits for `moved-off`, and all before it happens at 0. */
  readonly briefing?: boolean;
  /** Accounts that mark as well, besides whoever started the drive. */
  readonly helpers?: readonly string[];
}

/** The briefing is over and the car moves: the clock of the drive starts. */
export interface MovedOffEvent extends EventStamp {
  readonly type: 'moved-off';
}

export const checkResults = ['done', 'failed', 'skipped'] as const;
export type CheckResult = (typeof checkResults)[number];

/** A step of the briefing; the last word on a step holds. */
export interface CheckEvent extends EventStamp {
  readonly type: 'check';
  /** Code of a step of the standard's briefing. */
  readonly check: string;
  readonly result: CheckResult;
  /** Why it was skipped, or what was wrong. */
  readonly reason?: string;
  /** What else is worth knowing, such as "with glasses". */
  readonly detail?: string;
}

/** An answer to a question of the standard's oral part. A wrong last answer is followed by a mark of its own. */
export interface AnswerEvent extends EventStamp {
  readonly type: 'answer';
  /** Code of the item that the question belongs to. */
  readonly item: string;
  readonly right: boolean;
  /** The question that was asked, by its id in the bank. */
  readonly question?: string;
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

/** What is counted within a go at an exercise. */
export const exerciseStepKinds = ['movement', 'shunt', 'correction', 'look'] as const;
export type ExerciseStepKind = (typeof exerciseStepKinds)[number];

/** What is counted over the whole drive. */
export const roadStepKinds = ['pull-up', 'move-off'] as const;

export const stepKinds = [...exerciseStepKinds, ...roadStepKinds] as const;
export type StepKind = (typeof stepKinds)[number];

/** One movement, shunt, correction or look of the exercise under way; or one pull-up or move-off on the road. */
export interface StepEvent extends EventStamp {
  readonly type: 'step';
  readonly step: StepKind;
}

export const attemptResults = ['failed'] as const;
export type AttemptResult = (typeof attemptResults)[number];

/** How the attempt at the exercise under way went. Outside an exercise it says nothing. */
export interface AttemptEvent extends EventStamp {
  readonly type: 'attempt';
  readonly result: AttemptResult;
  readonly reason?: string;
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

/** Whose doing it is that a drive is broken off: the standard says what each amounts to. */
export const endingCauses = ['learner', 'safety', 'car', 'conditions'] as const;
export type EndingCause = (typeof endingCauses)[number];

export interface EndedEvent extends EventStamp {
  readonly type: 'ended';
  readonly ending: Ending;
  /** Only with the ending `abandoned`. */
  readonly cause?: EndingCause;
  readonly reason?: string;
}

/** Words about the drive, or about one event of it; on a pause, why it was made. */
export interface NoteEvent extends EventStamp {
  readonly type: 'note';
  readonly text: string;
  readonly target?: string;
  /** For the instructor's eyes: in no record, print or link that a learner gets. */
  readonly private?: boolean;
}

/** Two marks of the same item, made on two devices, are two faults and not one seen twice. */
export interface DistinctEvent extends EventStamp {
  readonly type: 'distinct';
  readonly target: string;
  readonly other: string;
}

/** The drive was talked through with the learner. */
export interface DebriefedEvent extends EventStamp {
  readonly type: 'debriefed';
  /** Codes of the items to work on next. */
  readonly workOn: readonly string[];
}

export const familiarities = ['known', 'partly', 'new'] as const;
/** How well the learner knew the roads. */
export type Familiarity = (typeof familiarities)[number];

/** How well the learner knew the roads of this drive; the last word holds. */
export interface RoadsEvent extends EventStamp {
  readonly type: 'roads';
  readonly familiarity: Familiarity;
}

export type DriveEvent =
  | StartedEvent
  | CheckEvent
  | MovedOffEvent
  | AnswerEvent
  | MarkEvent
  | PinEvent
  | StrikeEvent
  | RegradeEvent
  | AdviceEvent
  | StepEvent
  | AttemptEvent
  | PromptEvent
  | InterventionEvent
  | SectionEvent
  | PauseEvent
  | EndedEvent
  | NoteEvent
  | DistinctEvent
  | DebriefedEvent
  | RoadsEvent;

/** What a caller says of an event; the stamp is added by whoever keeps the log. */
export type EventBody = DriveEvent extends infer E ? (E extends DriveEvent ? Omit<E, keyof EventStamp> : never) : never;

/** The order in which a log is read: by moment, then device, then the device's own count, then id. */
export function compareEvents(a: DriveEvent, b: DriveEvent): number {
  return a.atMs - b.atMs || compareText(a.device, b.device) || a.seq - b.seq || compareText(a.id, b.id);
}

function compareText(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0;
}
