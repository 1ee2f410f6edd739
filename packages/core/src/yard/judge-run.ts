import type { Drive } from '../drive/drive';
import type { DriveEvent, EventBody } from '../drive/event';
import { foldDrive } from '../drive/fold';
import { judgeDrive } from '../marking/judge';
import type { EffectiveStandard } from '../marking/standard';
import type { Verdict } from '../marking/verdict';
import { startDetector } from './detector';
import type { Finding } from './findings';
import type { Intake, LeftOut } from './intake';
import { startRunEvents } from './run-events';
import type { SentSample } from './sample';
import { timeSpent, type TimeSpent } from './time-spent';

/** What is known of a run besides its samples. */
export interface RunFacts {
  /** Its id. */
  readonly run: string;
  readonly learnerId: string;
  /** Wall clock at its first sample, RFC 3339. */
  readonly startedAt: string;
  readonly by: string;
  readonly car?: string;
  /** The exercises repeat ones that were failed. */
  readonly retest?: boolean;
}

/** What was found in the samples of a run. */
export interface RunFindings {
  readonly findings: readonly Finding[];
  readonly leftOut: LeftOut;
  /** The first and the last moment; undefined where no sample has a time. */
  readonly span: ReturnType<Intake['span']>;
}

/** What came of a run. */
export interface JudgedRun extends RunFindings {
  /** The log of the drive it makes. */
  readonly events: readonly DriveEvent[];
  readonly drive: Drive;
  readonly verdict: Verdict;
  /** Where the seconds of each attempt went. */
  readonly spent: readonly TimeSpent[];
}

/** Everything a detector finds in the samples of a run. */
export function findingsOf(standard: EffectiveStandard, samples: Iterable<SentSample>): RunFindings {
  const detector = startDetector(standard);
  const findings: Finding[] = [];
  for (const sample of samples) findings.push(...detector.take(sample));
  findings.push(...detector.end());
  return { findings, leftOut: detector.leftOut(), span: detector.span() };
}

/**
 * Judges a run by its samples alone: the drive it makes, by the one function that judges drives.
 * @returns undefined where no sample has a time
 */
export function judgeRun(
  standard: EffectiveStandard,
  samples: readonly SentSample[],
  facts: RunFacts,
): JudgedRun | undefined {
  const { run, by, startedAt } = facts;
  const { findings, leftOut, span } = findingsOf(standard, samples);
  if (!span) return undefined;
  const clockMs = Math.round(span.from);
  const retest = facts.retest && { retest: true };
  const found = startRunEvents({ run, atMs: 0, clockMs, wall: startedAt, by, ...retest })(findings);
  const lastMs = Math.round(span.to) - clockMs;
  const own = (id: string, seq: number, atMs: number, body: EventBody): DriveEvent => ({
    ...body,
    id: `${run}-${id}`,
    device: `${run}-log`,
    seq,
    atMs,
    wall: new Date(Date.parse(startedAt) + atMs).toISOString(),
    by,
  });
  const { id, version } = standard;
  const ends = found.some(({ type }) => type === 'ended');
  const events: readonly DriveEvent[] = [
    own('started', 0, 0, { type: 'started', learnerId: facts.learnerId, standard: { id, version } }),
    own('run', 1, 0, { type: 'run', run, clockMs, ...(facts.car && { car: facts.car }), ...retest }),
    ...found,
    ...(ends ? [] : [own('ended', 2, lastMs, { type: 'ended', ending: 'completed' })]),
  ];
  const drive = foldDrive(events);
  return {
    findings,
    leftOut,
    span,
    events,
    drive,
    verdict: judgeDrive(standard, drive),
    spent: timeSpent(samples, findings),
  };
}
