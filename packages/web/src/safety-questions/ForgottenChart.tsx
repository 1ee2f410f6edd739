import { t as charts } from '@jasperwren/words/charts';
import { t } from '@jasperwren/words/questions';
import type { ForgottenQuestion } from '@jasperwren/contract/safety-questions';
import { percent } from '@jasperwren/words/lists';
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
    ? t('missedMostTopicForgottenOfAsked', { topic: worst.topic, forgotten: worst.forgotten, asked: worst.asked })
    : t('nothingMissed');
  const chart = useMemo(() => {
    const colour = tokens[theme];
    const rows = [...forgotten].reverse();
    return {
      data: [
        {
          type: 'bar' as const,
          orientation: 'h' as const,
          x: rows.map(({ asked, forgotten: n }) => (100 * n) / asked),
          y: rows.map(({ topic }) => topic),
          text: rows.map(({ asked, forgotten: n }) => t('percentOfAsked', { percent: percent(n / asked), asked })),
          textposition: 'outside' as const,
          marker: { color: colour.muted },
          hoverinfo: 'skip' as const,
        },
      ],
      layout: {
        height: 80 + rowPx * rows.length,
        margin: { l: 10, r: 20, t: 6, b: 46 },
        xaxis: {
          title: { text: t('answersMissed') },
          range: [0, 100],
          fixedrange: true,
          gridcolor: colour.sunk,
          zeroline: false,
        },
        yaxis: { automargin: true, fixedrange: true },
      },
    };
  }, [forgotten, theme]);
  return (
    <figure style={{ margin: 0 }}>
      <figcaption>{sentence}</figcaption>
      <Chart
        label={sentence}
        figures={{
          head: [charts('question'), charts('missed'), charts('asked')],
          rows: forgotten.map(({ topic, forgotten: n, asked }) => [topic, n, asked]),
        }}
        {...chart}
      />
    </figure>
  );
}
