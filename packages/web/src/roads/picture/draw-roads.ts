import { signs as bits } from '@jasperwren/roads/road-tags';
import { kmhPerMph } from '@jasperwren/roads/units';
import type { TokenName } from '../../base/tokens';
import type { PreparedRoads } from './prepare';

/** What part of the world is drawn: pixels = place x scale - offset. */
export interface View {
  readonly scale: number;
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
  readonly zoom: number;
}

type Colours = Readonly<Record<TokenName, string>>;
type Pen = CanvasRenderingContext2D;

/** Width in pixels at zoom 15, from motorways to tracks. */
const widths = [8, 8, 7, 6.2, 5.4, 4, 4, 3, 2.6, 1.8, 1.6];
/** Classes up to this one are drawn as two lines with paper between; close by all are. */
const doubledAt = (zoom: number) => (zoom >= 15.5 ? 11 : 5);

const widthAt = (rank: number, zoom: number) => Math.max(0.6, (widths[rank] ?? 2) * 2 ** ((zoom - 15) * 0.62));

/** Draws roads as a plan in ink: large ones as two lines, small ones as one, with names and our own small signs. */
export function drawRoads(pen: Pen, roads: PreparedRoads, view: View, colours: Colours, font: string): void {
  const { x, y } = roads;
  const { scale, left, top, width, height, zoom } = view;
  const px = (node: number) => x[node]! * scale - left;
  const py = (node: number) => y[node]! * scale - top;
  const seen = roads.ways.filter(
    ({ box, rank }) =>
      box[2] * scale - left > -20 &&
      box[0] * scale - left < width + 20 &&
      box[3] * scale - top > -20 &&
      box[1] * scale - top < height + 20 &&
      (zoom >= 13 || rank < 7),
  );
  pen.lineJoin = 'round';
  pen.lineCap = 'round';
  const trace = (nodes: readonly number[]) => {
    pen.moveTo(px(nodes[0]!), py(nodes[0]!));
    for (let i = 1; i < nodes.length; i++) pen.lineTo(px(nodes[i]!), py(nodes[i]!));
  };
  const stroke = (list: typeof seen, colour: string, more: number, alpha = 1) => {
    pen.strokeStyle = colour;
    pen.globalAlpha = alpha;
    let rank = -1;
    for (const one of list) {
      if (one.rank !== rank) {
        if (rank >= 0) pen.stroke();
        rank = one.rank;
        pen.lineWidth = Math.max(0.5, widthAt(rank, zoom) + more);
        pen.beginPath();
      }
      trace(one.way.nodes);
    }
    if (rank >= 0) pen.stroke();
    pen.globalAlpha = 1;
  };
  const doubled = doubledAt(zoom);
  const open = seen.filter(({ closed }) => !closed);
  const large = open.filter(({ rank }) => rank < doubled);
  pen.setLineDash([4, 4]);
  stroke(
    seen.filter(({ closed }) => closed),
    colours.muted,
    -0.4,
    0.6,
  );
  pen.setLineDash([]);
  stroke(
    open.filter(({ rank }) => rank >= doubled),
    colours.muted,
    0,
    0.5,
  );
  stroke(large, colours.muted, 1.8, 0.85);
  stroke(large, colours.surface, -0.4);
  if (zoom >= 14.5) {
    drawArrows(pen, open, view, px, py, colours);
    drawSigns(pen, roads, view, px, py, colours);
  }
  drawNames(pen, open, view, px, py, colours, font);
}

type Drawn = readonly PreparedRoads['ways'][number][];
type At = (node: number) => number;

/** A chevron on each piece of a one-way road. */
function drawArrows(pen: Pen, ways: Drawn, { width, height }: View, px: At, py: At, { ink }: Colours): void {
  pen.strokeStyle = ink;
  pen.lineWidth = 1.4;
  for (const { way } of ways) {
    if (way.flow === 'both' || way.nodes.length < 2) continue;
    const at = Math.floor((way.nodes.length - 1) / 2);
    const [a, b] = way.flow === 'along' ? [way.nodes[at]!, way.nodes[at + 1]!] : [way.nodes[at + 1]!, way.nodes[at]!];
    const [dx, dy] = [px(b) - px(a), py(b) - py(a)];
    const length = Math.hypot(dx, dy);
    const [mx, my] = [(px(a) + px(b)) / 2, (py(a) + py(b)) / 2];
    if (length < 14 || mx < 0 || my < 0 || mx > width || my > height) continue;
    const angle = Math.atan2(dy, dx);
    pen.save();
    pen.translate(mx, my);
    pen.rotate(angle);
    pen.beginPath();
    pen.moveTo(-3, -3.5);
    pen.lineTo(2, 0);
    pen.lineTo(-3, 3.5);
    pen.stroke();
    pen.restore();
  }
}

/** Signs of our own: three dots for lights, a bar for a stop line, a ring for a mini roundabout, bars for a crossing. */
function drawSigns(
  pen: Pen,
  { signs }: PreparedRoads,
  { width, height }: View,
  px: At,
  py: At,
  colours: Colours,
): void {
  signs.forEach((sign, node) => {
    if (!sign) return;
    const [cx, cy] = [px(node), py(node)];
    if (cx < -10 || cy < -10 || cx > width + 10 || cy > height + 10) return;
    if (sign & bits.signals) lights(pen, cx, cy, colours);
    else if (sign & bits.mini) ring(pen, cx, cy, colours);
    else if (sign & bits.stop) box(pen, cx, cy, 9, 3, colours.ink);
    else if (sign & bits.crossing) for (const dx of [-4, -1, 2]) box(pen, cx + dx + 0.9, cy, 1.8, 8, colours.ink);
    else if (sign & bits.brow) caret(pen, cx, cy, colours);
  });
}

function box(pen: Pen, cx: number, cy: number, w: number, h: number, colour: string): void {
  pen.fillStyle = colour;
  pen.fillRect(cx - w / 2, cy - h / 2, w, h);
}

function lights(pen: Pen, cx: number, cy: number, { ink, surface }: Colours): void {
  pen.fillStyle = surface;
  pen.strokeStyle = ink;
  pen.lineWidth = 1.2;
  pen.beginPath();
  pen.roundRect(cx - 4, cy - 8, 8, 16, 2.5);
  pen.fill();
  pen.stroke();
  pen.fillStyle = ink;
  for (const dy of [-4.5, 0, 4.5]) {
    pen.beginPath();
    pen.arc(cx, cy + dy, 1.5, 0, 7);
    pen.fill();
  }
}

function ring(pen: Pen, cx: number, cy: number, { ink, surface }: Colours): void {
  pen.fillStyle = surface;
  pen.strokeStyle = ink;
  pen.lineWidth = 2;
  pen.beginPath();
  pen.arc(cx, cy, 5, 0, 7);
  pen.fill();
  pen.stroke();
}

function caret(pen: Pen, cx: number, cy: number, { ink }: Colours): void {
  pen.strokeStyle = ink;
  pen.lineWidth = 2;
  pen.beginPath();
  pen.moveTo(cx - 5, cy + 2);
  pen.lineTo(cx, cy - 4);
  pen.lineTo(cx + 5, cy + 2);
  pen.stroke();
}

/** Names lie along the longest straight piece of their road, each once in a while, none over another. */
function drawNames(
  pen: Pen,
  ways: Drawn,
  { width, height, zoom }: View,
  px: At,
  py: At,
  { ink, ground }: Colours,
  font: string,
): void {
  const most = zoom >= 16 ? 11 : zoom >= 15 ? 8 : zoom >= 13.5 ? 5 : 3;
  const taken: (readonly [x: number, y: number, r: number])[] = [];
  const last = new Map<string, readonly [number, number]>();
  pen.font = `${zoom >= 16 ? 13 : 12}px ${font}`;
  pen.textAlign = 'center';
  pen.textBaseline = 'middle';
  pen.lineWidth = 3;
  // The largest roads choose first.
  for (const { way, rank } of ways.toReversed()) {
    const above = widthAt(rank, zoom) / 2 + 8;
    if (rank > most || way.roundabout) continue;
    const limit =
      rank < 6 && zoom >= 15 && !way.implied ? `  ${Math.round(way.mph ? way.limit / kmhPerMph : way.limit)}` : '';
    const text = (way.name ?? way.ref ?? '') + limit;
    if (!text.trim()) continue;
    const long = longest(way.nodes, px, py);
    const wide = pen.measureText(text).width;
    if (long.length < wide * 0.8 || long.x < 20 || long.y < 10 || long.x > width - 20 || long.y > height - 10) continue;
    const before = last.get(text);
    if (before && Math.hypot(before[0] - long.x, before[1] - long.y) < 320) continue;
    const r = wide / 2;
    if (taken.some(([tx, ty, tr]) => Math.abs(tx - long.x) < (tr + r) * 0.85 && Math.abs(ty - long.y) < 16)) continue;
    taken.push([long.x, long.y, r]);
    last.set(text, [long.x, long.y]);
    pen.save();
    pen.translate(long.x, long.y);
    pen.rotate(Math.abs(long.angle) > Math.PI / 2 ? long.angle + Math.PI : long.angle);
    pen.strokeStyle = ground;
    pen.strokeText(text, 0, -above);
    pen.fillStyle = ink;
    pen.globalAlpha = 0.85;
    pen.fillText(text, 0, -above);
    pen.restore();
  }
}

/** The stretch of a line that runs straightest for longest: its middle, direction and length in pixels. */
function longest(nodes: readonly number[], px: At, py: At) {
  let best = { x: 0, y: 0, angle: 0, length: 0 };
  for (let i = 0; i + 1 < nodes.length; i++) {
    let j = i + 1;
    const angle = Math.atan2(py(nodes[j]!) - py(nodes[i]!), px(nodes[j]!) - px(nodes[i]!));
    while (j + 1 < nodes.length) {
      const next = Math.atan2(py(nodes[j + 1]!) - py(nodes[j]!), px(nodes[j + 1]!) - px(nodes[j]!));
      if (Math.abs(Math.atan2(Math.sin(next - angle), Math.cos(next - angle))) > 0.16) break;
      j++;
    }
    const [dx, dy] = [px(nodes[j]!) - px(nodes[i]!), py(nodes[j]!) - py(nodes[i]!)];
    const length = Math.hypot(dx, dy);
    if (length > best.length)
      best = { x: px(nodes[i]!) + dx / 2, y: py(nodes[i]!) + dy / 2, angle: Math.atan2(dy, dx), length };
  }
  return best;
}
