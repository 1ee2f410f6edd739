import type { Road } from '@jasperwren/motion/stopping/road';
import { inWhole, stoppingDistance, type Driver } from '@jasperwren/motion/stopping/stopping';
import { t } from '@jasperwren/words/stopping';
import type { Data, Layout } from 'plotly.js';

type Colours = Readonly<Record<'ink' | 'muted' | 'rule' | 'slate' | 'ochre' | 'jasper', string>>;

interface Asked {
  /** In the unit that is shown. */
  readonly speed: number;
  readonly unit: 'mph' | 'kmh';
  /** m/s of one of the unit. */
  readonly mps: number;
  readonly driver: Driver;
  readonly road: Road;
}

const speeds = (unit: Asked['unit']): readonly number[] =>
  Array.from({ length: 7 }, (_, i) => (unit === 'mph' ? 10 + i * 10 : 20 + i * 20));

/** Stopping distances by speed, in parts laid end to end; the speed that is asked about among them. */
export function stoppingFigure({ speed, unit, mps, driver, road }: Asked, colours: Colours) {
  const asked = [...new Set([...speeds(unit), speed])].sort((a, b) => a - b);
  const known = asked.flatMap((one) => {
    const stop = stoppingDistance(one * mps, driver, road);
    return stop ? [{ one, stop }] : [];
  });
  const shown = known.map(({ one }) => one);
  const stops = known.map(({ stop }) => stop);
  const names = shown.map((one) => t('speedIn', { speed: one, unit: t(unit) }));
  const bar = (name: 'thinking' | 'clutch' | 'braking', color: string, metres: readonly number[]): Data => ({
    type: 'bar',
    orientation: 'h',
    name: t(name),
    y: names,
    x: [...metres],
    marker: { color, opacity: shown.map((one) => (one === speed ? 1 : 0.5)) },
    hovertemplate: '%{x:.0f} m<extra>%{fullData.name}</extra>',
  });
  const data = [
    bar(
      'thinking',
      colours.slate,
      stops.map(({ thinkingM }) => thinkingM),
    ),
    ...(driver.clutchFirstS > 0
      ? [
          bar(
            'clutch',
            colours.ochre,
            stops.map(({ clutchM }) => clutchM),
          ),
        ]
      : []),
    bar(
      'braking',
      colours.ink,
      stops.map(({ brakingM }) => brakingM),
    ),
  ];
  const layout: Partial<Layout> = {
    barmode: 'stack',
    height: 44 * shown.length + 90,
    margin: { l: 76, r: 54, t: 26, b: 46 },
    xaxis: { title: { text: t('distance') }, gridcolor: colours.rule, zeroline: false },
    yaxis: { autorange: 'reversed', type: 'category' },
    showlegend: true,
    legend: { orientation: 'h', x: 0, y: 1.02, yanchor: 'bottom', traceorder: 'normal' },
    annotations: stops.map((stop, i) => ({
      x: stop.totalM,
      y: names[i]!,
      text: `${inWhole(stop, 1).total} m`,
      showarrow: false,
      xanchor: 'left' as const,
      xshift: 6,
    })),
  };
  return {
    data,
    layout,
    figures: {
      head: [t('speed'), t('thinking'), t('clutch'), t('braking'), t('distance')],
      rows: stops.map(({ thinkingM, clutchM, brakingM, totalM }, i) => [
        names[i]!,
        ...[thinkingM, clutchM, brakingM, totalM].map((metres) => metres.toFixed(1)),
      ]),
    },
  };
}
