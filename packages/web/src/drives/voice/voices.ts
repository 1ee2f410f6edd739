import type { VoiceView } from '@jasperwren/contract/voices';
import { v7 as newId } from 'uuid';
import { deviceDb } from '../../base/device/device-db';
import { laneOfDroppedVoices, laneOfVoices } from '../../base/device/lanes';
import { external } from '../../base/external';
import { entriesOf, putInLine, takeOut } from '../../base/outbox/entries';

type Voices = ReadonlyMap<string, VoiceView>;

const none: Voices = new Map();

/** What was said with the pins of each drive, by pin. */
const known = external<ReadonlyMap<string, Voices>>(new Map());

const set = (driveId: string, voices: Voices): void => known.set(new Map(known.now()).set(driveId, voices));

/** What was said with the pins of a drive, for React's external store. */
export const voices = {
  subscribe: known.subscribe,
  of: (driveId: string): Voices => known.now().get(driveId) ?? none,
};

/** Finds what this device keeps of a drive, with what the server has where it can be reached. */
export async function findVoices(driveId: string, ofServer: readonly VoiceView[]): Promise<void> {
  const here = await deviceDb.voices
    .where({ driveId })
    .toArray()
    .catch(() => []);
  set(
    driveId,
    new Map([...ofServer, ...here.map(({ pin, type, audio }) => ({ pin, type, audio }))].map((one) => [one.pin, one])),
  );
}

/** Keeps what was said with a pin on this device, and sends it when there is a network. */
export async function keepVoice(driveId: string, owner: string, voice: VoiceView): Promise<void> {
  set(driveId, new Map(voices.of(driveId)).set(voice.pin, voice));
  await deviceDb.voices.put({ ...voice, driveId }).catch(() => undefined);
  await putInLine({ id: newId(), owner, lane: laneOfVoices(driveId), body: voice });
}

/** Lets go of what was said with a pin: here, in line, and at the server. */
export async function dropVoice(driveId: string, owner: string, pin: string): Promise<void> {
  const left = new Map(voices.of(driveId));
  left.delete(pin);
  set(driveId, left);
  await deviceDb.voices.delete(pin).catch(() => undefined);
  const waiting = (await entriesOf(owner)).filter(
    ({ lane, body }) => lane === laneOfVoices(driveId) && (body as VoiceView).pin === pin,
  );
  await takeOut(waiting.map(({ id }) => id));
  // It may be on its way all the same.
  await putInLine({ id: newId(), owner, lane: laneOfDroppedVoices(driveId), body: { pin } });
}
