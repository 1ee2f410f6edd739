import type { MessagePort } from 'node:worker_threads';
import type { SharedRehearsal } from '@jasperwren/contract/driving-routes';
import type { SheetView } from '@jasperwren/contract/sheets';
import { callNow } from '../call';
import type { Db } from '../db/database';
import { chanceBefore, type BeforeTask } from '../readiness/before';
import { readRoadsFile, type RoadsTask } from '../roads/read-roads';
import { rehearsalOf } from '../route-shares/rehearsal';
import type { OpenLink } from '../route-shares/store';
import { refresh, type Refreshed, type RefreshTask } from '../readiness/refresh';
import type { SharedRoad } from '@jasperwren/contract/traces';
import { sharedRoad, type RoadTask } from '../traces/shared-road';
import { workOutTrace, type TraceTask, type WorkedOut } from '../traces/work-out';

/** What takes longer than a request may: it reads the database by a connection of its own and writes nothing. */
export type Task =
  | ({ readonly kind: 'refresh' } & RefreshTask & { readonly news: MessagePort })
  | ({ readonly kind: 'read-roads' } & RoadsTask & { readonly news: MessagePort })
  | ({ readonly kind: 'chance-before' } & BeforeTask)
  | ({ readonly kind: 'work-out-trace'; readonly schoolId: string } & TraceTask)
  | ({ readonly kind: 'shared-road'; readonly schoolId: string } & RoadTask)
  | ({ readonly kind: 'rehearsal' } & OpenLink);

/** What a task answers with, by its kind; the others tell through their port. */
interface Answers {
  readonly 'chance-before': SheetView['before'];
  readonly rehearsal: SharedRehearsal;
  readonly 'shared-road': SharedRoad | null;
  readonly 'work-out-trace': WorkedOut | undefined;
}
export type AnswerTo<T extends Task> = T['kind'] extends keyof Answers ? Answers[T['kind']] : undefined;

/** What is told through the port of a refresh, `done` at the end. */
export type News = Refreshed | { readonly kind: 'done' };

/** Whether a task reads the database. */
export const readsDatabase = ({ kind }: Task): boolean => kind !== 'read-roads';

/**
 * Does a task. What comes of a refresh is told through its port, bit by bit.
 * Its answer is that of its kind.
 * @param stopped is asked between two steps of a task that reads the database
 */
export async function work(db: () => Db, task: Task, stopped: () => boolean): Promise<unknown> {
  if (task.kind === 'chance-before') return chanceBefore({ ...callNow(db()), who: { schoolId: task.schoolId } }, task);
  if (task.kind === 'shared-road') return sharedRoad({ ...callNow(db()), who: { schoolId: task.schoolId } }, task);
  if (task.kind === 'work-out-trace') return workOutTrace({ ...callNow(db()), who: { schoolId: task.schoolId } }, task);
  if (task.kind === 'rehearsal') return rehearsalOf({ ...callNow(db()), who: { schoolId: task.schoolId } }, task);
  if (task.kind === 'read-roads') {
    await readRoadsFile(task, task.news);
    return undefined;
  }
  const { news, schoolId, now } = task;
  const call = { db: db(), who: { schoolId }, now: new Date(now) };
  for await (const bit of refresh(call, task, stopped)) news.postMessage(bit satisfies News);
  if (!stopped()) news.postMessage({ kind: 'done' } satisfies News);
  return undefined;
}
