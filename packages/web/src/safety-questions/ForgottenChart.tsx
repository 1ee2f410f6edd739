import type { ForgottenQuestion } from '@jasperwren/contract/safety-questions';
import { percent } from '@jasperwren/core/marking/wording';
import { useMemo } from 'react';
import { useThemeName } from '../base/Theme';
import { tokens } from '../base/tokens';
import Chart from '../charts/Chart';

const rowPx = 30;

/** Share of answers that were forgotten, by question, the worst on top. */
export default function ForgottenChart({ forgotten }: { readonly forgotten: readonly ForgottenQuestion[] }) {
  const theme = useThemeName();
  const worst = forgotten[0];
  const sentence = worst
    ? `Most forgotten: ${worst.topic}, ${worst.forgotten} of ${worst.asked} answers.`
    : 'Nothing was forgotten.';
  const chart = useMemo(() => {
    const t = tokens[theme];
    const rows = [...forgotten].reverse();
    return {
      data: [
        {
          type: 'bar' as const,
          orientation: 'h' as const,
          x: rows.map(({ asked, forgotten: n }) => (100 * n) / asked),
          y: rows.map(({ topic }) => topic),
          text: rows.map(({ asked, forgotten: n }) => `${percent(n / asked)} of ${asked}`),
          textposition: 'outside' as const,
          marker: { color: t.muted },
          hoverinfo: 'skip' as const,
        },
      ],
      layout: {
        height: 80 + rowPx * rows.length,
        margin: { l: 10, r: 20, t: 6, b: 46 },
        xaxis: {
          title: { text: 'share of answers forgotten, %' },
          range: [0, 100],
          fixedrange: true,
          gridcolor: t.sunk,
          zeroline: false,
        },
        yaxis: { automargin: true, fixedrange: true },
      },
    };
  }, [forgotten, theme]);
  return (
    <figure style={{ margin: 0 }}>
      <figcaption>{sentence}</figcaption>
      <Chart label={sentence} {...chart} />
    </figure>
  );
}
