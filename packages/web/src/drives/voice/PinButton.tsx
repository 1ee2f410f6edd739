import { t } from '@jasperwren/words/voice';
import { useRef, useState, type ReactNode } from 'react';
import { useAppSelector } from '../../base/hooks';
import { useSignedIn } from '../../base/signed-in';
import type { DeskActions } from '../desk/desk-actions';
import type { Recording } from './record';
import { keepVoice } from './voices';

interface Props {
  readonly driveId: string;
  readonly className: string;
  readonly actions: DeskActions;
  readonly children: ReactNode;
}

/** A touch that lasts longer than this is one to talk, in milliseconds. */
const holdMs = 400;

/** Drops a pin; held it takes a few words as well, where everybody in the car agreed. */
export function PinButton({ driveId, className, actions, children }: Props) {
  const { account } = useSignedIn();
  const agreed = useAppSelector(({ voice }) => voice.agreed[driveId] ?? false);
  const [talking, setTalking] = useState(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  /** What is under way since the finger lies on it: the pin and its recording. */
  const held = useRef<Promise<{ readonly pin: string; readonly recording: Recording } | undefined>>(undefined);
  const release = () => {
    clearTimeout(timer.current);
    const under = held.current;
    if (!under) return;
    held.current = undefined;
    setTalking(false);
    void under.then(async (one) => {
      const recorded = await one?.recording.stop();
      if (one && recorded) await keepVoice(driveId, account.id, { pin: one.pin, ...recorded });
    });
  };
  const begin = async () => {
    const event = await actions.pin();
    if (!event) return undefined;
    const { record } = await import('./record');
    const recording = await record(release).catch(() => undefined);
    if (recording) return { pin: event.id, recording };
    actions.say(t('noMicrophone'));
    setTalking(false);
    return undefined;
  };
  /** A click follows every touch, a long one too. */
  const talked = useRef(false);
  return (
    <button
      type="button"
      className={className}
      data-talking={talking}
      disabled={!actions.running}
      onPointerDown={() => {
        talked.current = false;
        if (!agreed) return;
        timer.current = setTimeout(() => {
          talked.current = true;
          setTalking(true);
          held.current = begin();
        }, holdMs);
      }}
      onPointerUp={release}
      onPointerCancel={release}
      onPointerLeave={release}
      onContextMenu={(event) => event.preventDefault()}
      onClick={() => {
        if (!talked.current) void actions.pin();
        talked.current = false;
      }}
    >
      {talking ? <span role="status">{t('talkNow')}</span> : children}
      {agreed && !talking && <small>{t('holdToTalk')}</small>}
    </button>
  );
}
