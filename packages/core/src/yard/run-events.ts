import type { SensorRun } from '../drive/drive';
import type { DriveEvent, EventBody } from '../drive/event';
import type { Finding } from './findings';

/** A run on the log of a drive: when the clock of the car showed what. */
export type RunOnLog = Pick<SensorRun, 'run' | 'atMs' | 'clockMs' | 'wall' | 'by' | 'retest'>;

/** Makes the events that follow from findings, which come in their order. */
export type RunEvents = (findings: readonly Finding[]) => readonly DriveEvent[];

/**
 * Makes events of what a detector finds. The same findings make the same events, ids and all, so that a run that is read
 * again after a reload adds nothing.
 */
export function startRunEvents(run: RunOnLog): RunEvents {
  let seq = 0;
  const stamped = (at: number, body: EventBody): DriveEvent => {
    const atMs = Math.max(0, Math.round(run.atMs + at - run.clockMs));
    return {
      ...body,
      id: `${run.run}.${seq}`,
      device: run.run,
      seq: seq++,
      atMs,
      wall: new Date(Date.parse(run.wall) + atMs - run.atMs).toISOString(),
      by: run.by,
    };
  };
  return (findings) => findings.flatMap((one) => bodiesOf(run, one).map((body) => stamped(one.at, body)));
}

function bodiesOf({ run, retest = false }: RunOnLog, finding: Finding): readonly EventBody[] {
  switch (finding.kind) {
    case 'exercise':
      return [{ type: 'section', section: 'exercise', exercise: finding.exercise, ...(retest && { retest }) }];
    case 'exercise-left':
      return [{ type: 'section', section: 'guided' }];
    case 'movement':
      return [{ type: 'step', step: 'movement' }];
    case 'mark': {
      const { item, grade, measured, from, to } = finding;
      return [
        {
          type: 'mark',
          item,
          grade,
          ...(measured !== undefined && { measured }),
          detected: { run, fromMs: Math.round(from), toMs: Math.round(to) },
        },
      ];
    }
    case 'car-left':
      return [{ type: 'ended', ending: 'completed' }];
    case 'fact':
    case 'gap':
      return [];
  }
}
