import type { Drive, Mark, SensorRun } from '@jasperwren/core/drive/drive';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { t } from '@jasperwren/words/yard-pages';
import { lazy, Suspense, useMemo } from 'react';
import { useThemeName } from '../../base/Theme';
import { tokens } from '../../base/tokens';
import { Loading } from '../../ui/states';
import { RunAwaited } from './RunAwaited';
import { stripFigure } from './strip-figure';
import { useRunSamples } from './use-run-samples';

interface Props {
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  readonly sensors: SensorRun;
  readonly mark: Mark;
}

const Chart = lazy(() => import('../../charts/Chart'));

/** What the sensors said in the ten seconds around a fault, on the mock test that is being marked. */
export default function FaultStrip({ standard, drive, sensors: { run, clockMs, atMs }, mark }: Props) {
  // From the clock of the mock test to that of the car.
  const shift = clockMs - atMs;
  const colours = tokens[useThemeName()];
  const { samples, hearing } = useRunSamples(run);
  const times = samples?.flatMap(({ at }) => (typeof at === 'number' ? [at] : []));
  const [from, to] = [times?.at(0), times?.at(-1)];
  const figure = useMemo(
    () =>
      samples &&
      from !== undefined &&
      to !== undefined &&
      stripFigure({
        standard,
        run: { samples, findings: [], span: { from: clockMs, to } },
        marks: drive.marks.map((one) => ({ ...one, carMs: one.atMs + shift })),
        part: { kind: 'fault', atMs: mark.atMs + shift },
        colours,
        narrow: true,
      }),
    [standard, samples, from, to, clockMs, shift, drive.marks, mark.atMs, colours],
  );
  if (samples?.length === 0) return <p>{t('noValues')}</p>;
  if (!figure) return <RunAwaited hearing={hearing} what={t('strip')} />;
  return (
    <Suspense fallback={<Loading what={t('strip')} />}>
      <Chart {...figure} label={t('stripOf')} />
    </Suspense>
  );
}
