import type { Shape } from 'plotly.js';

/** The colours of a strip, as the theme has them. */
export type Colours = Readonly<
  Record<'ink' | 'muted' | 'rule' | 'sunk' | 'slate' | 'ochre' | 'jasper' | 'plum', string>
>;

/** A stretch of time with another ground. */
export const rectangle = (x0: number, x1: number, colours: Colours): Partial<Shape> => ({
  type: 'rect',
  xref: 'x',
  yref: 'paper',
  x0,
  x1,
  y0: 0,
  y1: 1,
  fillcolor: colours.sunk,
  opacity: 0.7,
  line: { width: 0 },
  layer: 'below',
});

/** The value from which on it is a fault. */
export const limitLine = (limit: number, yref: 'y' | 'y2', colours: Colours): Partial<Shape> => ({
  type: 'line',
  xref: 'paper',
  yref,
  x0: 0,
  x1: 1,
  y0: limit,
  y1: limit,
  line: { color: colours.jasper, width: 1, dash: 'dash' },
});

/** The moment of a fault. */
export const faultLine = (x: number, color: string): Partial<Shape> => ({
  type: 'line',
  xref: 'x',
  yref: 'paper',
  x0: x,
  x1: x,
  y0: 0,
  y1: 1,
  line: { color, width: 2 },
});
