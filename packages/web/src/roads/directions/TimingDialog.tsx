import type { CallTimingView } from '@jasperwren/contract/call-timing';
import type { CallTiming } from '@jasperwren/roads/directions/calls';
import { kmhPerMph, metresPerYard } from '@jasperwren/roads/units';
import { t as common } from '@jasperwren/words/common';
import type { Units } from '@jasperwren/words/roads/distances';
import { t } from '@jasperwren/words/routes';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { api } from '../../base/api';
import { apiError } from '../../base/client';
import { failureOf } from '../../ui/failure';
import { Failed, Loading } from '../../ui/states';
import { typedNumber } from '../../ui/typed-number';
import styles from './directions.module.css';

interface Props {
  readonly speaker: 'instructor' | 'device';
  readonly units: Units;
  readonly onClose: () => void;
}

/** Sets when directions are spoken, for the whole school. */
export function TimingDialog({ speaker, units, onClose }: Props) {
  const { data, ...asked } = api.useCallTimingQuery();
  const failed = failureOf(asked);
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth>
      <DialogTitle>{t(speaker === 'device' ? 'whenASatNavSpeaks' : 'whenAnInstructorSpeaks')}</DialogTitle>
      {failed && <Failed {...failed} />}
      {!failed && !data && <Loading what={t('whenToSpeak')} />}
      {data && <Fields key={data.version} {...{ data, speaker, units, onClose }} />}
    </Dialog>
  );
}

/** Figures as they are typed, in the units of the page. */
interface Typed {
  readonly steps: readonly { readonly speed: string; readonly distance: string }[];
  readonly again: string;
  readonly least: string;
}

const unitOf = (units: Units) =>
  units === 'miles' ? { speed: kmhPerMph, distance: metresPerYard } : { speed: 1, distance: 1 };

function typedOf({ first, againSeconds, leastSeconds }: CallTiming, units: Units): Typed {
  const { speed, distance } = unitOf(units);
  return {
    steps: first.map(([kmh, metres]) => ({
      speed: String(Math.round(kmh / speed)),
      distance: String(Math.round(metres / distance)),
    })),
    again: againSeconds === undefined ? '' : String(againSeconds),
    least: String(leastSeconds),
  };
}

/** What was typed as the server takes it; undefined where something is no number. */
function inputOf({ steps, again, least }: Typed, units: Units) {
  const { speed, distance } = unitOf(units);
  const figures = steps.map((step) => [typedNumber(step.speed), typedNumber(step.distance)] as const);
  const read = figures.flatMap(([from, before]) =>
    from === undefined || before === undefined ? [] : [{ kmh: from * speed, metres: before * distance }],
  );
  const leastSeconds = typedNumber(least);
  const againSeconds = typedNumber(again);
  const once = again.trim() === '';
  if (read.length < steps.length || leastSeconds === undefined || (againSeconds === undefined && !once))
    return undefined;
  return { steps: read, leastSeconds, ...(againSeconds !== undefined && { againSeconds }) };
}

/** A timing as the server takes it. */
const asInput = ({ first, ...rest }: CallTiming) => ({
  steps: first.map(([kmh, metres]) => ({ kmh, metres })),
  ...rest,
});

function Fields({ data, speaker, units, onClose }: Props & { readonly data: CallTimingView }) {
  const [typed, setTyped] = useState(() => typedOf(data[speaker], units));
  const [set, { isLoading, error }] = api.useSetCallTimingMutation();
  const [tried, setTried] = useState(false);
  const refused = apiError(error);
  const save = async () => {
    const own = inputOf(typed, units);
    setTried(true);
    if (!own) return;
    const { data: saved } = await set({
      body: {
        instructor: speaker === 'instructor' ? own : asInput(data.instructor),
        device: speaker === 'device' ? own : asInput(data.device),
        version: data.version,
      },
    });
    if (saved) onClose();
  };
  const setStep = (at: number, change: Partial<Typed['steps'][number]>) =>
    setTyped({ ...typed, steps: typed.steps.map((step, i) => (i === at ? { ...step, ...change } : step)) });
  const figure = (text: string, help?: string, optional = false) => {
    const error = tried && typedNumber(text) === undefined && !(optional && text.trim() === '');
    return {
      size: 'small' as const,
      value: text,
      error,
      helperText: error ? common('aNumber0OrMore') : help,
      slotProps: { htmlInput: { inputMode: 'decimal' as const } },
    };
  };
  return (
    <>
      <DialogContent>
        <p className={styles.help}>{t('timingHelp')}</p>
        {typed.steps.map((step, i) => (
          <div key={i} className={styles.step}>
            <TextField
              {...figure(step.speed)}
              label={t(units === 'miles' ? 'fromMph' : 'fromKmh')}
              onChange={(event) => setStep(i, { speed: event.target.value })}
            />
            <TextField
              {...figure(step.distance)}
              label={t(units === 'miles' ? 'yardsBefore' : 'metresBefore')}
              onChange={(event) => setStep(i, { distance: event.target.value })}
            />
            <Button
              variant="text"
              aria-label={t('removeStep', { nth: i + 1 })}
              disabled={typed.steps.length === 1}
              onClick={() => setTyped({ ...typed, steps: typed.steps.filter((_, other) => other !== i) })}
            >
              {t('delete')}
            </Button>
          </div>
        ))}
        <Button
          variant="text"
          disabled={typed.steps.length >= 8}
          onClick={() => setTyped({ ...typed, steps: [...typed.steps, { speed: '', distance: '' }] })}
        >
          {t('addStep')}
        </Button>
        <div className={styles.step}>
          <TextField
            {...figure(typed.again, t('againHelp'), true)}
            label={t('againSeconds')}
            onChange={(event) => setTyped({ ...typed, again: event.target.value })}
          />
          <TextField
            {...figure(typed.least, t('leastHelp'))}
            label={t('leastSeconds')}
            onChange={(event) => setTyped({ ...typed, least: event.target.value })}
          />
        </div>
        {refused && (
          <p role="alert">
            {refused.problems && refused.problems.length > 0
              ? refused.problems.map(({ message }) => message).join(' ')
              : refused.message}
          </p>
        )}
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {t('cancel')}
        </Button>
        <Button variant="contained" disabled={isLoading} onClick={() => void save()}>
          {t('saveTiming')}
        </Button>
      </DialogActions>
    </>
  );
}
