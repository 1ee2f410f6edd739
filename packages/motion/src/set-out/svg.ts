import type { Point } from '../geometry';
import { lineWidthM, markerRadiusM, type Edge, type Layout } from '../layout/layout';
import { labelsFor, textMm } from './labels';
import { barFor, edgeMm, scaleFor } from './scale';
import { pointsOf } from './set-out';

const colours = { ink: '#1e2528', line: '#8a7f6a', wall: '#9c2f22', muted: '#5c6468' } as const;

const strokes: Readonly<Record<Edge['kind'], { readonly colour: string; readonly widthM: number }>> = {
  line: { colour: colours.line, widthM: lineWidthM },
  kerb: { colour: colours.ink, widthM: 0.06 },
  wall: { colour: colours.wall, widthM: 0.06 },
};

const number = (value: number) => String(Math.round(value * 1000) / 1000);
const escaped = (text: string) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');

/** A layout drawn to a stated scale (SVG, in millimetres of paper), with its scale bar; opens in any drawing program. */
export function layoutToSvg(layout: Layout): string {
  const { area, edges } = layout;
  const scale = scaleFor(area);
  const mm = (metres: number) => (metres * 1000) / scale;
  const [width, height] = [mm(area.right - area.left), mm(area.top - area.bottom)];
  const x = (metres: number) => number(mm(metres - area.left));
  const y = (metres: number) => number(mm(area.top - metres));
  // A kerb goes on beyond the page.
  const within = (metres: number) => Math.min(area.right, Math.max(area.left, metres));
  const points = pointsOf(layout);
  const onPaper = ({ x: at, y: up }: Point) => ({ x: mm(at - area.left), y: mm(area.top - up) });
  const labels = labelsFor(
    points.map((point) => ({ id: point.id, ...onPaper(point) })),
    edges.map(({ from, to }) => [onPaper(from), onPaper(to)]),
  );
  const bar = barFor(scale);
  const below = height + 10;
  const parts = [
    ...edges.map(({ kind, from, to }) => {
      const { colour, widthM } = strokes[kind];
      return `<line x1="${x(within(from.x))}" y1="${y(from.y)}" x2="${x(within(to.x))}" y2="${y(to.y)}" stroke="${colour}" stroke-width="${number(Math.max(0.2, mm(widthM)))}"/>`;
    }),
    ...points.map(({ kind, x: at, y: up }) =>
      kind === 'chalk'
        ? `<path d="M${number(mm(at - area.left) - 1)} ${y(up)}h2M${x(at)} ${number(mm(area.top - up) - 1)}v2" stroke="${colours.ink}" stroke-width="0.3"/>`
        : `<circle cx="${x(at)}" cy="${y(up)}" r="${number(Math.max(0.6, mm(markerRadiusM[kind])))}" fill="${colours.ink}"/>`,
    ),
    ...labels.map(
      (label) =>
        `<text x="${number(label.x)}" y="${number(label.y)}" text-anchor="${label.anchor}" font-size="${textMm}" fill="${colours.ink}">${escaped(label.id)}</text>`,
    ),
    `<path d="M0 ${number(below)}h${number(mm(bar))}M0 ${number(below - 1.2)}v2.4M${number(mm(bar))} ${number(below - 1.2)}v2.4" stroke="${colours.ink}" stroke-width="0.4" fill="none"/>`,
    `<text x="${number(mm(bar) + 2)}" y="${number(below + 1.1)}" font-size="${textMm}" fill="${colours.muted}">${bar} m, 1:${scale}</text>`,
  ];
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${number(width + 2 * edgeMm)}mm" height="${number(below + 4 + edgeMm)}mm" viewBox="${-edgeMm} ${-edgeMm} ${number(width + 2 * edgeMm)} ${number(below + 4 + edgeMm)}" font-family="sans-serif">`,
    ...parts,
    '</svg>',
    '',
  ].join('\n');
}
