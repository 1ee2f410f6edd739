import { t as charts } from '@jasperwren/words/charts';
import { t } from '@jasperwren/words/readiness';
import type { RealResult } from '@jasperwren/contract/readiness';
import type { HistoryPoint } from '@jasperwren/core/readiness/estimate';
import dayjs from 'dayjs';
import { useMemo } from 'react';
import { useThemeName } from '../base/Theme';
import { tokens } from '../base/tokens';
import Chart from '../charts/Chart';

interface Props {
  readonly points: readonly HistoryPoint[];
  readonly results: readonly RealResult[];
  readonly name: string;
}

/** The estimate as of each drive, with its band, and the real tests beside it. */
export default function HistoryChart({ points, results, name }: Props) {
  const theme = useThemeName();
  const first = points[0];
  const last = points.at(-1);
  const days = (chance: number) => Math.round(20 * chance);
  const sentence =
    first && last && points.length > 1
      ? t('fromDaysOf20OnDayjs', {
          days: days(first.mean),
          dayjs: dayjs(first.at).format('D MMMM'),
          days2: days(last.mean),
          dayjs2: dayjs(last.at).format('D MMMM'),
          name,
        })
      : t('onePointSoFarASecond');
  const chart = useMemo(() => {
    const colour = tokens[theme];
    const x = points.map(({ at }) => at.slice(0, 10));
    return {
      data: [
        {
          type: 'scatter' as const,
          mode: 'lines' as const,
          x: [...x, ...[...x].reverse()],
          y: [...points.map(({ to }) => 20 * to), ...[...points].reverse().map(({ from }) => 20 * from)],
          fill: 'toself' as const,
          fillcolor: `${colour.muted}33`,
          line: { width: 0 },
          hoverinfo: 'skip' as const,
        },
        {
          type: 'scatter' as const,
          mode: 'lines+markers' as const,
          x,
          y: points.map(({ mean }) => 20 * mean),
          line: { color: colour.ink, width: 2 },
          marker: { color: colour.ink, size: 7 },
          hovertemplate: t('y0fOf20OnX'),
        },
        {
          type: 'scatter' as const,
          mode: 'text+markers' as const,
          x: results.map(({ date }) => date),
          y: results.map(({ passed }) => (passed ? 20 : 0)),
          text: results.map(({ passed }) => charts(passed ? 'passed' : 'failed')),
          textposition: 'top center' as const,
          marker: {
            color: results.map(({ passed }) => (passed ? colour.moss : colour.jasper)),
            symbol: 'square',
            size: 11,
          },
          cliponaxis: false,
          hoverinfo: 'skip' as const,
        },
      ],
      layout: {
        height: 270,
        margin: { l: 54, r: 20, t: 12, b: 46 },
        xaxis: { title: { text: charts('day') }, fixedrange: true, gridcolor: colour.sunk, tickformat: '%-d %b' },
        yaxis: {
          title: { text: t('passesIn20Tests') },
          range: [-0.6, 22.6],
          dtick: 5,
          fixedrange: true,
          gridcolor: colour.sunk,
          zeroline: false,
        },
      },
    };
  }, [points, results, theme]);
  return (
    <figure style={{ margin: 0 }}>
      <figcaption>
        {sentence}
        {results.length > 0 && ` ${t('squaresAreDrivingTests')}`}
      </figcaption>
      <Chart
        label={sentence}
        figures={{
          head: [charts('day'), charts('passesOf20'), charts('from'), charts('to')],
          rows: [
            ...points.map(({ at, mean, from, to }) => [dayjs(at).format('D MMM YYYY'), ...[mean, from, to].map(days)]),
            ...results.map(({ date, passed }) => [
              dayjs(date).format('D MMM YYYY'),
              `${charts('drivingTest')}: ${charts(passed ? 'passed' : 'failed')}`,
              '',
              '',
            ]),
          ],
        }}
        {...chart}
      />
    </figure>
  );
}
