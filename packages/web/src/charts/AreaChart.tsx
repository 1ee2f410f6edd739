import { t as charts } from '@jasperwren/words/charts';
import { t } from '@jasperwren/words/common';
import useMediaQuery from '@mui/material/useMediaQuery';
import type { DriveSummary } from '@jasperwren/contract/drives';
import type { GradeSign, EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { Outcome } from '@jasperwren/core/marking/verdict';
import { useMemo } from 'react';
import { useThemeName } from '../base/Theme';
import { tokens, type TokenName } from '../base/tokens';
import { outcomeWord } from '../ui/OutcomeWord';
import { areaFigure, type AreaFigure } from './area-figure';
import Chart from './Chart';
import type { Figures } from './ChartTable';

interface Props {
  readonly drives: readonly DriveSummary[];
  readonly standards: readonly EffectiveStandard[];
  readonly name: string;
}

const colours: Readonly<Record<GradeSign, TokenName>> = {
  noted: 'slate',
  counted: 'ochre',
  outright: 'jasper',
  highest: 'plum',
};
const shapes: Readonly<Record<GradeSign, string>> = {
  noted: 'circle-open',
  counted: 'circle',
  outright: 'triangle-up',
  highest: 'star-triangle-up',
};
const outcomeColours: Readonly<Record<Outcome, TokenName>> = { pass: 'moss', fail: 'jasper', incomplete: 'slate' };
const rowPx = 34;

/** Marks by area over a learner's drives: one dot an area and drive, larger with more marks, shaped by the gravest. */
export default function AreaChart({ drives, standards, name }: Props) {
  const theme = useThemeName();
  const narrow = useMediaQuery('(max-width: 700px)');
  const figure = useMemo(() => areaFigure(drives, standards, name), [drives, standards, name]);
  const chart = useMemo(() => {
    const colour = tokens[theme];
    const { dots, areas, drives: columns } = figure;
    return {
      data: [
        {
          type: 'scatter' as const,
          mode: 'text+markers' as const,
          x: dots.map(({ drive }) => drive),
          y: dots.map(({ area }) => area),
          text: dots.map(({ count }) => String(count)),
          textposition: 'middle right' as const,
          textfont: { color: colour.ink, size: 13 },
          marker: {
            color: dots.map(({ worst }) => colour[colours[worst]]),
            symbol: dots.map(({ worst }) => shapes[worst]),
            size: dots.map(({ count }) => 11 + 3 * Math.min(count, 5)),
            opacity: 1,
            line: { width: 0 },
          },
          customdata: dots.map(({ words }) => words),
          hovertemplate: '%{y}: %{customdata}<extra></extra>',
        },
      ],
      layout: {
        height: 90 + rowPx * areas.length,
        margin: { l: 10, r: 20, t: 10, b: narrow ? 48 : 64 },
        xaxis: {
          title: { text: narrow ? t('mockTestNumber') : t('mockTestAndDate'), standoff: 12 },
          tickangle: 0,
          tickvals: columns.map((_, i) => i),
          ticktext: columns.map(({ label, outcome }, i) => {
            const word = `<b style="color:${colour[outcomeColours[outcome]]}">${outcomeWord(outcome)}</b>`;
            // Dates do not fit below the tests of a phone; they stand in the list.
            return narrow ? String(i + 1) : `${label}<br>${word}`;
          }),
          range: [-0.5, Math.max(columns.length, 6) - 0.5],
          fixedrange: true,
          zeroline: false,
          gridcolor: colour.sunk,
        },
        yaxis: {
          categoryorder: 'array' as const,
          categoryarray: [...areas].reverse(),
          fixedrange: true,
          gridcolor: colour.rule,
          automargin: true,
        },
      },
    };
  }, [figure, theme, narrow]);
  if (figure.dots.length === 0) return <p>{figure.sentence}</p>;
  return (
    <figure style={{ margin: 0 }}>
      <figcaption>
        <p>{figure.sentence}</p>
        <p className="muted">{t('numberOfFaultsInEachArea')}</p>
      </figcaption>
      <Chart label={figure.sentence} figures={figuresOf(figure)} {...chart} />
    </figure>
  );
}

/** A row for each area, a column for each test. */
function figuresOf({ areas, drives, dots }: AreaFigure): Figures {
  return {
    head: [charts('area'), ...drives.map(({ label, outcome }, i) => `${i + 1}: ${label}, ${outcomeWord(outcome)}`)],
    rows: areas.map((area) => [
      area,
      ...drives.map((_, i) => dots.find((dot) => dot.area === area && dot.drive === i)?.words ?? '–'),
    ]),
  };
}
