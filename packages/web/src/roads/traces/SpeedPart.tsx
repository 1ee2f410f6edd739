import type { MarkOnRoad } from '@jasperwren/contract/traces';
import type { TraceReading } from '@jasperwren/core/traces/reading';
import { speedsIn, type DriveSpeeds } from '@jasperwren/core/traces/drive-speeds';
import { kmhPerMph, metresPerMile } from '@jasperwren/roads/units';
import { lengthWords, type Units } from '@jasperwren/words/roads/distances';
import { speedWords, t } from '@jasperwren/words/traces';
import { lazy, Suspense, useMemo } from 'react';
import { useThemeName } from '../../base/Theme';
import { tokens } from '../../base/tokens';
import { clockTime } from '../../ui/format';
import { Section } from '../../ui/Page';
import { Loading } from '../../ui/states';
import styles from './drive-road.module.css';

const Chart = lazy(() => import('../../charts/Chart'));

interface Props {
  readonly reading: TraceReading;
  readonly zeroMs: number;
  readonly marks: readonly MarkOnRoad[];
  readonly units: Units;
  readonly onMoment: (atMs: number) => void;
}

/** How fast it was driven, against the limits, with what to look at. */
export function SpeedPart({ reading, zeroMs, marks, units, onMoment }: Props) {
  const found = useMemo(() => speedsIn(reading), [reading]);
  const over = found.stretches.filter(({ kind }) => kind === 'over');
  const under = found.stretches.length - over.length;
  const seconds = Math.round(over.reduce((sum, one) => sum + one.seconds, 0));
  const within = median(found.speeds.map((one) => one.within));
  const by = Math.max(0, ...over.map(({ kmh, limit }) => kmh - limit));
  const lines = [...found.stretches, ...found.stands.map((stand) => ({ ...stand, kind: 'stand' as const }))]
    .sort((a, b) => a.fromAt - b.fromAt)
    .slice(0, mostLines);
  return (
    <Section title={t('speed')}>
      <p>
        {over.length === 0
          ? t('speedFine')
          : t('speedOver', { seconds, by: speedWords(by, units), within: speedWords(within, units) })}{' '}
        {under > 0 && `${t('speedUnder', { count: under })} `}
        {t('limitIsNoAim')}
      </p>
      <Suspense fallback={<Loading what={t('speed')} />}>
        <SpeedChart found={found} marks={marks} units={units} />
      </Suspense>
      {reading.brakings.length > 0 && (
        <p>
          {t('brakedHard', { count: reading.brakings.length })}{' '}
          {reading.brakings.map(({ at, rate, within: off }) => (
            <button key={at} type="button" className={styles.link} onClick={() => onMoment(at - zeroMs)}>
              {t('brakedAt', { time: clockTime(at - zeroMs), rate: rate.toFixed(1), within: off.toFixed(1) })}
            </button>
          ))}
        </p>
      )}
      {lines.length > 0 && <h3>{t('stretches')}</h3>}
      <ul className={styles.lines}>
        {lines.map((line) => (
          <li key={`${line.kind} ${line.fromAt}`}>
            <button type="button" onClick={() => onMoment(line.fromAt - zeroMs)}>
              {line.kind === 'stand'
                ? t('standLine', { seconds: Math.round(line.seconds) })
                : t(line.kind === 'over' ? 'overLine' : 'underLine', {
                    limit: speedWords(line.limit, units),
                    speed: speedWords(line.kmh, units),
                    seconds: Math.round(line.seconds),
                  })}
            </button>{' '}
            <span className="muted">
              {t('after', { distance: lengthWords('metres' in line ? line.metres : line.from, units) })}
            </span>
          </li>
        ))}
      </ul>
    </Section>
  );
}

const mostLines = 24;

const median = (values: readonly number[]) => values.toSorted((a, b) => a - b)[values.length >> 1] ?? 0;

interface ChartProps {
  readonly found: DriveSpeeds;
  readonly marks: readonly MarkOnRoad[];
  readonly units: Units;
}

/** Speed over distance, the limits as steps and the faults below. */
function SpeedChart({ found, marks, units }: ChartProps) {
  const theme = useThemeName();
  const chart = useMemo(() => {
    const colours = tokens[theme];
    const far = (metres: number) => metres / (units === 'miles' ? metresPerMile : 1000);
    const fast = (kmh: number) => kmh / (units === 'miles' ? kmhPerMph : 1);
    const [speedUnit, unit] = units === 'miles' ? ['mph', 'miles'] : ['km/h', 'km'];
    const limits = [...found.limits, [found.metres, found.limits.at(-1)?.[1] ?? 0] as const];
    const shown = found.speeds.filter((_, i) => i % Math.max(1, Math.floor(found.speeds.length / 900)) === 0);
    return {
      data: [
        {
          type: 'scatter' as const,
          mode: 'lines' as const,
          name: t('limit'),
          x: limits.map(([metres]) => far(metres)),
          y: limits.map(([, kmh]) => fast(kmh)),
          line: { color: colours.ink, width: 1.5, shape: 'hv' as const },
          hovertemplate: `%{y:.0f} ${speedUnit}<extra>${t('limit')}</extra>`,
        },
        {
          type: 'scatter' as const,
          mode: 'lines' as const,
          name: t('speed'),
          x: shown.map(({ metres }) => far(metres)),
          y: shown.map(({ kmh }) => fast(kmh)),
          line: { color: colours.slate, width: 2 },
          hovertemplate: `%{y:.0f} ${speedUnit}<extra></extra>`,
        },
        {
          type: 'scatter' as const,
          mode: 'markers' as const,
          name: t('faults'),
          x: marks.map(({ piece, metres }) => far(metres + (found.begins[piece] ?? 0))),
          y: marks.map(() => 0),
          marker: { color: colours.ochre, symbol: 'circle', size: 9 },
          hoverinfo: 'skip' as const,
        },
      ],
      layout: {
        height: 250,
        margin: { l: 48, r: 8, t: 8, b: 44 },
        annotations: namesOf(found, far, fast, colours.ink),
        xaxis: { title: { text: t('distance', { unit }) }, gridcolor: colours.rule, zeroline: false },
        yaxis: {
          title: { text: t('speedAxis', { unit: speedUnit }) },
          gridcolor: colours.rule,
          rangemode: 'tozero' as const,
        },
      },
      figures: {
        head: [t('distance', { unit }), t('speedAxis', { unit: speedUnit })],
        rows: shown
          .filter((_, i) => i % Math.max(1, Math.floor(shown.length / 40)) === 0)
          .map(({ metres, kmh }) => [far(metres).toFixed(2), Math.round(fast(kmh))]),
      },
    };
  }, [found, marks, units, theme]);
  return <Chart {...chart} label={t('speedChart')} />;
}

/** The two lines by their names, where they are highest. */
function namesOf(
  { limits, speeds }: DriveSpeeds,
  far: (metres: number) => number,
  fast: (kmh: number) => number,
  color: string,
) {
  const top = limits.reduce((a, b) => (b[1] > a[1] ? b : a), limits[0] ?? [0, 0]);
  const quick = speeds.reduce((a, b) => (b.kmh > a.kmh ? b : a), speeds[0] ?? { metres: 0, kmh: 0 });
  const name = (x: number, y: number, text: string, yshift: number) => ({
    x,
    y,
    text,
    yshift,
    showarrow: false,
    font: { color, size: 13 },
  });
  return [
    { ...name(far(top[0]), fast(top[1]), t('limit'), 10), xanchor: 'left' as const },
    name(far(quick.metres), fast(quick.kmh), t('speed'), -16),
  ];
}
