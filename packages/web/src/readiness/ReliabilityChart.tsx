import { t as charts } from '@jasperwren/words/charts';
import { t } from '@jasperwren/words/readiness';
import { percent } from '@jasperwren/words/lists';
import type { ReliabilityBin } from '@jasperwren/core/readiness/calibration';
import { useMemo } from 'react';
import { useThemeName } from '../base/Theme';
import { tokens } from '../base/tokens';
import Chart from '../charts/Chart';

/** What was said against what came: on the line, estimates were true. */
export default function ReliabilityChart({ bins }: { readonly bins: readonly ReliabilityBin[] }) {
  const theme = useThemeName();
  const sentence = bins
    .map(({ meanChance, passed, of }) =>
      t('ofOfLearnersEstimatedAtPercent', { of, percent: percent(meanChance), passed }),
    )
    .join(' ');
  const chart = useMemo(() => {
    const colour = tokens[theme];
    return {
      data: [
        {
          type: 'scatter' as const,
          mode: 'lines' as const,
          x: [0, 100],
          y: [0, 100],
          line: { color: colour.rule, dash: 'dot' as const },
          hoverinfo: 'skip' as const,
        },
        {
          type: 'scatter' as const,
          mode: 'text+markers' as const,
          x: bins.map(({ meanChance }) => 100 * meanChance),
          y: bins.map(({ passed, of }) => (100 * passed) / of),
          text: bins.map(({ of }) => `${of}`),
          textposition: 'top center' as const,
          marker: { color: colour.ink, size: 11 },
          hoverinfo: 'skip' as const,
        },
      ],
      layout: {
        height: 300,
        margin: { l: 54, r: 16, t: 14, b: 46 },
        xaxis: { title: { text: t('estimatedChance') }, range: [0, 104], fixedrange: true, gridcolor: colour.sunk },
        yaxis: { title: { text: t('passed') }, range: [0, 108], fixedrange: true, gridcolor: colour.sunk },
      },
    };
  }, [bins, theme]);
  return (
    <Chart
      label={sentence}
      figures={{
        head: [charts('estimated'), charts('learners'), charts('passed')],
        rows: bins.map(({ meanChance, of, passed }) => [percent(meanChance), of, passed]),
      }}
      {...chart}
    />
  );
}
