import type { DriveSummary } from '@jasperwren/contract/drives';
import dayjs from 'dayjs';
import type { UnfinishedHere } from './log/unfinished';

/** A mock test this old is debriefed in other ways, if at all. */
const forgottenAfterDays = 14;

/** Something about a mock test that is still to be done. */
export type ToFinish = Pick<DriveSummary, 'id' | 'learnerName'> &
  (
    | { readonly kind: 'continue'; readonly unsent: number; readonly hereOnly: boolean }
    /** `decides` where nothing else keeps the result back. */
    | {
        readonly kind: 'name-pins';
        readonly startedAt: string;
        readonly pins: number;
        readonly duplicates: number;
        readonly decides: boolean;
      }
    | { readonly kind: 'debrief'; readonly startedAt: string }
  );

/**
 * What is still to be done about mock tests: those in progress first, then pins to name, then debriefs.
 * @param here what this device has still to finish or to send; those that the server does not know come too
 */
export function toFinishOf(
  drives: readonly DriveSummary[],
  here: readonly UnfinishedHere[],
  now: dayjs.Dayjs = dayjs(),
): readonly ToFinish[] {
  const unsent = new Map(here.map(({ id, unsent: n }) => [id, n]));
  const known = new Set(drives.map(({ id }) => id));
  const of = ({ id, learnerName }: DriveSummary) => ({ id, learnerName });
  const dated = ({ id, learnerName, startedAt }: DriveSummary) => ({ id, learnerName, startedAt });
  return [
    ...drives
      .filter(({ phase }) => phase !== 'ended')
      .map(
        (drive) => ({ ...of(drive), kind: 'continue', unsent: unsent.get(drive.id) ?? 0, hereOnly: false }) as const,
      ),
    ...here
      .filter(({ id }) => !known.has(id))
      .map(
        ({ id, learnerName, unsent: n }) => ({ id, learnerName, kind: 'continue', unsent: n, hereOnly: true }) as const,
      ),
    ...drives
      .filter((drive) => drive.phase === 'ended' && toName(drive) > 0)
      .map((drive) => {
        const { unsettledPins: pins, unsettledDoubles: duplicates, detail } = drive;
        const decides =
          detail.outcome === 'incomplete' && detail.missing.every(({ kind }) => kind.startsWith('unsettled'));
        return { ...dated(drive), kind: 'name-pins', pins, duplicates, decides } as const;
      }),
    ...drives
      .filter(
        (drive) =>
          drive.phase === 'ended' &&
          !drive.debriefed &&
          toName(drive) === 0 &&
          now.diff(drive.startedAt, 'day') < forgottenAfterDays,
      )
      .map((drive) => ({ ...dated(drive), kind: 'debrief' }) as const),
  ];
}

const toName = ({ unsettledPins, unsettledDoubles }: DriveSummary) => unsettledPins + unsettledDoubles;
