import { t } from '@jasperwren/words/voice';
import Button from '@mui/material/Button';
import { useSyncExternalStore } from 'react';
import { useAppDispatch, useAppSelector } from '../../base/hooks';
import { useSignedIn } from '../../base/signed-in';
import { clockTime } from '../../ui/format';
import { keptSet } from './voice-slice';
import styles from './voice.module.css';
import { dropVoice, voices } from './voices';

interface Props {
  readonly driveId: string;
  readonly pinId: string;
  /** When the pin was dropped, on the drive's clock. */
  readonly atMs: number;
  /** Named already: the words were kept, and may be deleted. */
  readonly named?: boolean;
}

/**
 * What was said with a pin, to be heard: kept where it is not to go when the pin is named, and deleted afterwards. Nothing
 * where nothing was said.
 */
export function VoiceOfPin({ driveId, pinId, atMs, named = false }: Props) {
  const dispatch = useAppDispatch();
  const { account } = useSignedIn();
  const all = useSyncExternalStore(voices.subscribe, () => voices.of(driveId));
  const kept = useAppSelector(({ voice }) => voice.kept[pinId] ?? false);
  const voice = all.get(pinId);
  if (!voice) return null;
  const time = clockTime(atMs);
  return (
    <span className={styles.voice}>
      <Button
        variant="outlined"
        aria-label={t('hearPinAtTime', { time })}
        onClick={() => void new Audio(`data:${voice.type};base64,${voice.audio}`).play().catch(() => undefined)}
      >
        {t('hear')}
      </Button>
      {named ? (
        <Button
          variant="text"
          aria-label={t('deletePinAtTime', { time })}
          onClick={() => void dropVoice(driveId, account.id, pinId)}
        >
          {t('delete')}
        </Button>
      ) : (
        <Button
          variant="text"
          aria-pressed={kept}
          aria-label={t('keepPinAtTime', { time })}
          onClick={() => dispatch(keptSet({ pin: pinId, kept: !kept }))}
        >
          {kept ? t('kept') : t('keep')}
        </Button>
      )}
    </span>
  );
}
