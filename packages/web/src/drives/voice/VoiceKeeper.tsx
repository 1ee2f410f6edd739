import type { Drive } from '@jasperwren/core/drive/drive';
import { useEffect, useRef } from 'react';
import { api } from '../../base/api';
import { useAppSelector } from '../../base/hooks';
import { useSignedIn } from '../../base/signed-in';
import { dropVoice, findVoices, voices } from './voices';

/** Knows what was said with the pins of a drive, and lets go of it as its pin is named here or discarded, unless it is kept. */
export default function VoiceKeeper({ driveId, drive }: { readonly driveId: string; readonly drive: Drive }) {
  const { account } = useSignedIn();
  const { data } = api.useVoicesQuery({ driveId });
  const kept = useAppSelector(({ voice }) => voice.kept);
  const agreed = useAppSelector(({ voice }) => voice.agreed[driveId] ?? false);
  // Without a network it could not be fetched when it is wanted.
  useEffect(() => {
    if (agreed) void import('./record').catch(() => undefined);
  }, [agreed]);
  const before = useRef(new Set<string>());
  useEffect(() => void findVoices(driveId, data ?? []), [driveId, data]);
  useEffect(() => {
    for (const { id, state } of drive.pins) {
      if (state === 'unsettled') before.current.add(id);
      else if (before.current.delete(id) && voices.of(driveId).has(id) && !kept[id])
        void dropVoice(driveId, account.id, id);
    }
  }, [driveId, drive.pins, kept, account.id]);
  return null;
}
