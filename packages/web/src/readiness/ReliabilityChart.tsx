import { percent } from '@jasperwren/core/marking/wording';
import type { ReliabilityBin } from '@jasperwren/core/readiness/calibration';
import { useMemo } from 'react';
import { useThemeName } from '../base/Theme';
import { tokens } from '../base/tokens';
import Chart from '../charts/Chart';

/** What was said against what came: on the line, estimates were true. */
export default function ReliabilityChart({ bins }: { readonly bins: readonly ReliabilityBin[] }) {
  const theme = useThemeName();
  const sentence = bins
    .map(({ meanChance, passed, of }) => `Of ${of} said to pass at ${percent(meanChance)}, ${passed} did.`)
    .join(' ');
  const chart = useMemo(() => {
    const t = tokens[theme];
    return {
      data: [
        {
          type: 'scatter' as const,
          mode: 'lines' as const,
          x: [0, 100],
          y: [0, 100],
          line: { color: t.rule, dash: 'dot' as const },
          hoverinfo: 'skip' as const,
        },
        {
          type: 'scatter' as const,
          mode: 'text+markers' as const,
          x: bins.map(({ meanChance }) => 100 * meanChance),
          y: bins.map(({ passed, of }) => (100 * passed) / of),
          text: bins.map(({ of }) => `${of}`),
          textposition: 'top center' as const,
          marker: { color: t.ink, size: 11 },
          hoverinfo: 'skip' as const,
        },
      ],
      layout: {
        height: 300,
        margin: { l: 54, r: 16, t: 14, b: 46 },
        xaxis: { title: { text: 'chance that was said, %' }, range: [0, 104], fixedrange: true, gridcolor: t.sunk },
        yaxis: { title: { text: 'share that passed, %' }, range: [0, 108], fixedrange: true, gridcolor: t.sunk },
      },
    };
  }, [bins, theme]);
  return <Chart label={sentence} {...chart} />;
}
