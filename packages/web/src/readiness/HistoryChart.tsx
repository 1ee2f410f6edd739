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
      ? `From ${days(first.mean)} of 20 on ${dayjs(first.at).format('D MMMM')} to ${days(last.mean)} of 20 on ${dayjs(last.at).format('D MMMM')}, each with what ${name} had driven by then.`
      : 'One point so far; a line begins with the second drive.';
  const chart = useMemo(() => {
    const t = tokens[theme];
    const x = points.map(({ at }) => at.slice(0, 10));
    return {
      data: [
        {
          type: 'scatter' as const,
          mode: 'lines' as const,
          x: [...x, ...[...x].reverse()],
          y: [...points.map(({ to }) => 20 * to), ...[...points].reverse().map(({ from }) => 20 * from)],
          fill: 'toself' as const,
          fillcolor: `${t.muted}33`,
          line: { width: 0 },
          hoverinfo: 'skip' as const,
        },
        {
          type: 'scatter' as const,
          mode: 'lines+markers' as const,
          x,
          y: points.map(({ mean }) => 20 * mean),
          line: { color: t.ink, width: 2 },
          marker: { color: t.ink, size: 7 },
          hovertemplate: '%{y:.0f} of 20 on %{x}<extra></extra>',
        },
        {
          type: 'scatter' as const,
          mode: 'text+markers' as const,
          x: results.map(({ date }) => date),
          y: results.map(({ passed }) => (passed ? 20 : 0)),
          text: results.map(({ passed }) => (passed ? 'pass' : 'fail')),
          textposition: 'top center' as const,
          marker: {
            color: results.map(({ passed }) => (passed ? t.moss : t.jasper)),
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
        xaxis: { title: { text: 'day' }, fixedrange: true, gridcolor: t.sunk, tickformat: '%-d %b' },
        yaxis: {
          title: { text: 'passes of 20 test days' },
          range: [-0.6, 22.6],
          dtick: 5,
          fixedrange: true,
          gridcolor: t.sunk,
          zeroline: false,
        },
      },
    };
  }, [points, results, theme]);
  return (
    <figure style={{ margin: 0 }}>
      <figcaption>
        {sentence}
        {results.length > 0 && ' Squares are real tests.'}
      </figcaption>
      <Chart label={sentence} {...chart} />
    </figure>
  );
}
