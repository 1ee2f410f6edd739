import { deviceDb } from '../device/device-db';
import type { Lane } from '../device/lanes';
import type { Entry, Refusal } from './entry';

/** Where storage is denied, entries live as long as the page and are sent all the same. */
const held: Entry[] = [];

/** Is told that something waits to be sent. */
let send: () => void = () => undefined;

/** Has this called whenever something waits to be sent. */
export function onWaiting(listener: () => void): void {
  send = listener;
}

/** Asks for what waits to be sent soon. */
export const sendSoon = (): void => send();

/** Puts an entry in line. */
export async function putInLine(entry: Entry): Promise<void> {
  await deviceDb.outbox.add(entry).catch(() => void held.push(entry));
  sendSoon();
}

/** Puts a setting in line, in the place of one for the same address that still waits. */
export async function putLatest(entry: Entry): Promise<void> {
  const before = (await entriesOf(entry.owner)).filter(({ lane, refused }) => lane === entry.lane && !refused);
  await takeOut(before.map(({ id }) => id));
  await putInLine(entry);
}

/** Everything of a person, in its order. */
export async function entriesOf(owner: string): Promise<readonly Entry[]> {
  const stored = await deviceDb.outbox
    .where({ owner })
    .sortBy('n')
    .catch(() => []);
  return [...stored, ...held.filter((entry) => entry.owner === owner)];
}

/** The first of a lane that wait. */
export async function nextOf(owner: string, lane: Lane, most: number): Promise<readonly Entry[]> {
  return (await entriesOf(owner)).filter((entry) => entry.lane === lane && !entry.refused).slice(0, most);
}

/** Whose entries this device has: everybody's, by lane. */
export async function lanesInUse(): Promise<ReadonlySet<Lane>> {
  const stored = await deviceDb.outbox.toArray().catch(() => []);
  return new Set([...stored, ...held].map(({ lane }) => lane));
}

/** Takes entries out: the server has them on disk, or their owner gave them up. */
export async function takeOut(ids: readonly string[]): Promise<void> {
  for (const id of ids) {
    const at = held.findIndex((entry) => entry.id === id);
    if (at >= 0) held.splice(at, 1);
  }
  await deviceDb.outbox
    .where('id')
    .anyOf([...ids])
    .delete()
    .catch(() => 0);
}

/** Sets an entry aside with the reason, or, without one, puts it back in line. */
export async function setAside(id: string, refused: Refusal | undefined): Promise<void> {
  const at = held.findIndex((entry) => entry.id === id);
  if (at >= 0) held[at] = withRefusal(held[at]!, refused);
  await deviceDb.outbox
    .where('id')
    .equals(id)
    .modify((entry, ref) => {
      ref.value = withRefusal(entry, refused);
    })
    .catch(() => 0);
}

function withRefusal(entry: Entry, refused: Refusal | undefined): Entry {
  const { refused: before, ...rest } = entry;
  return refused ? { ...rest, refused } : before ? rest : entry;
}
