import type { PlacedCall } from '@jasperwren/core/routes/read-route';
import { instructorStyle } from '@jasperwren/roads/directions/calls';
import { t } from '@jasperwren/words/rehearsal';
import { callSentence } from '@jasperwren/words/roads/directions';
import { lengthWords, type Units } from '@jasperwren/words/roads/distances';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import styles from './rehearsal.module.css';
import { paces, type usePlay } from './use-play';

interface Props {
  readonly play: ReturnType<typeof usePlay>;
  readonly calls: readonly PlacedCall[];
  readonly whole: number;
  readonly units: Units;
  /** Whether the position is that of this device, in a car that somebody else drives. */
  readonly device: readonly [boolean, (onDevice: boolean) => void];
  /** Why this device gives none. */
  readonly failed: string | undefined;
  /** Undefined where nothing is spoken. */
  readonly aloud?: readonly [boolean, (aloud: boolean) => void];
}

/** From a junction one begins this many metres before its call. */
const runUp = 60;

/** Play and pause, how fast, and from where. */
export function Controls({ play, calls, whole, units, device, failed, aloud }: Props) {
  const { metres, playing, setPlaying, times, setTimes, goTo } = play;
  return (
    <div className={styles.controls}>
      <Button variant="contained" disabled={device[0]} onClick={() => setPlaying(!playing)}>
        {playing ? t('pause') : t('play')}
      </Button>
      <TextField
        select
        size="small"
        label={t('speed')}
        value={times}
        onChange={(event) => setTimes(Number(event.target.value) as typeof times)}
      >
        {paces.map((one) => (
          <MenuItem key={one} value={one}>
            {t('speedTimes', { times: one })}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        size="small"
        label={t('fromJunction')}
        value=""
        sx={{ minWidth: '12rem' }}
        onChange={(event) => goTo(Math.max(0, Number(event.target.value) - runUp))}
      >
        {calls
          .filter(({ again }) => again === undefined)
          .map((call, i) => (
            <MenuItem key={call.at} value={call.at}>
              {i + 1}. {callSentence(call, instructorStyle, units)}
            </MenuItem>
          ))}
      </TextField>
      {aloud && 'speechSynthesis' in window && (
        <FormControlLabel
          control={<Checkbox checked={aloud[0]} onChange={(event) => aloud[1](event.target.checked)} />}
          label={t('speak')}
        />
      )}
      <FormControlLabel
        control={
          <Checkbox
            checked={device[0]}
            onChange={(event) => {
              setPlaying(false);
              device[1](event.target.checked);
            }}
          />
        }
        label={t('followDevice')}
      />
      {failed !== undefined && <span role="alert">{t('noPosition', { why: failed })}</span>}
      <span className="muted">
        {t('ofRoute', { at: lengthWords(metres, units), whole: lengthWords(whole, units) })}
      </span>
    </div>
  );
}
