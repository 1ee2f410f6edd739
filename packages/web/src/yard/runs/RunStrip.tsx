import type { YardRunView } from '@jasperwren/contract/yard';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { JudgedRun } from '@jasperwren/core/yard/judge-run';
import type { SentSample } from '@jasperwren/core/yard/sample';
import { t } from '@jasperwren/words/yard-pages';
import useMediaQuery from '@mui/material/useMediaQuery';
import { lazy, Suspense, useMemo, useState } from 'react';
import { useThemeName } from '../../base/Theme';
import { tokens } from '../../base/tokens';
import { Loading } from '../../ui/states';
import styles from '../yard-pages.module.css';
import { Choose } from '../../ui/Choose';
import { Replay } from './Replay';
import { stripFigure, type StripPart } from './strip-figure';
import { useOtherRun } from './use-judged-run';
import { useRunSamples } from './use-run-samples';

interface Props {
  readonly standard: EffectiveStandard;
  readonly judged: JudgedRun;
  readonly samples: readonly SentSample[];
  /** The mark that is looked at, by its id. */
  readonly fault: string | undefined;
  /** Another part was chosen. */
  readonly onPart: () => void;
  readonly others: readonly YardRunView[];
}

const Chart = lazy(() => import('../../charts/Chart'));

const nothing = '-';

/** The values of a run over time; another run under them, each from the trigger of the exercise. */
export function RunStrip({ standard, judged, samples, fault, onPart, others }: Props) {
  const colours = tokens[useThemeName()];
  const narrow = useMediaQuery('(max-width: 700px)');
  const [chosen, setChosen] = useState('');
  const [otherId, setOtherId] = useState(nothing);
  const { samples: otherSamples } = useRunSamples(otherId === nothing ? undefined : otherId);
  const other = useOtherRun(useMemo(() => ({ standard, samples: otherSamples }), [standard, otherSamples]));
  const otherName = others.find(({ id }) => id === otherId)?.name;
  const { drive, findings, span } = judged;
  const clockMs = drive.sensors?.clockMs ?? span!.from;
  const marks = useMemo(() => drive.marks.map((mark) => ({ ...mark, carMs: mark.atMs + clockMs })), [drive, clockMs]);
  const faultMs = marks.find(({ id }) => id === fault)?.carMs;
  const figure = useMemo(() => {
    const part: StripPart =
      faultMs !== undefined
        ? { kind: 'fault', atMs: faultMs }
        : chosen === ''
          ? { kind: 'run' }
          : { kind: 'exercise', exercise: chosen };
    return stripFigure({
      standard,
      run: { samples, findings, span: span! },
      marks,
      part,
      other:
        otherSamples && other?.span ? { samples: otherSamples, findings: other.findings, span: other.span } : undefined,
      colours,
      narrow,
    });
  }, [standard, samples, findings, span, marks, faultMs, chosen, otherSamples, other, colours, narrow]);
  return (
    <>
      <div className={styles.choices}>
        <Choose
          label={t('part')}
          value={faultMs === undefined ? chosen || 'run' : 'fault'}
          options={[
            ['run', t('wholeRun')],
            ...standard.exercises.map(({ code, name }): [string, string] => [code, name]),
            ...(faultMs === undefined ? [] : [['fault', t('aroundFault')] as [string, string]]),
          ]}
          onChoose={(value) => {
            onPart();
            setChosen(value === 'run' ? '' : value);
          }}
        />
        {others.length > 0 && (
          <Choose
            label={t('compare')}
            value={otherId}
            options={[[nothing, t('nothing')], ...others.map(({ id, name }): [string, string] => [id, name])]}
            onChoose={setOtherId}
          />
        )}
      </div>
      {otherName !== undefined && <p className="muted">{t('dotted', { name: otherName })}</p>}
      <Suspense fallback={<Loading what={t('strip')} />}>
        <Chart {...figure} label={t('stripOf')} />
      </Suspense>
      <Replay samples={samples} span={span!} />
    </>
  );
}
