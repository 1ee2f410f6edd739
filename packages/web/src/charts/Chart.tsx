import Plotly from 'plotly.js-basic-dist-min';
import type { Config, Data, Layout } from 'plotly.js';
import { useEffect, useMemo, useRef } from 'react';
import { useThemeName } from '../base/Theme';
import { fonts, tokens } from '../base/tokens';
import { ChartTable, type Figures } from './ChartTable';

interface Props {
  readonly data: Data[];
  readonly layout: Partial<Layout>;
  /** What the picture shows, for those who cannot see it. */
  readonly label: string;
  /** The same figures in rows. */
  readonly figures: Figures;
}

const config: Partial<Config> = { responsive: true, displayModeBar: false };

/** A Plotly chart in our type and colours. */
export default function Chart({ data, layout, label, figures }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const theme = useThemeName();
  const styled = useMemo((): Partial<Layout> => {
    const t = tokens[theme];
    return {
      paper_bgcolor: 'rgba(0,0,0,0)',
      plot_bgcolor: 'rgba(0,0,0,0)',
      font: { family: fonts.text, color: t.ink, size: 14 },
      hoverlabel: { bgcolor: t.surface, bordercolor: t.rule, font: { family: fonts.text, color: t.ink } },
      showlegend: false,
      ...layout,
    };
  }, [layout, theme]);
  useEffect(() => {
    if (box.current) void Plotly.react(box.current, data, styled, config);
  }, [data, styled]);
  useEffect(() => {
    const element = box.current;
    return () => {
      if (element) Plotly.purge(element);
    };
  }, []);
  return (
    <>
      {/* When the window changes, the chart measures what it stands in: that has its height without it. */}
      <div ref={box} role="img" aria-label={label} style={{ height: layout.height }} />
      <ChartTable {...figures} />
    </>
  );
}
