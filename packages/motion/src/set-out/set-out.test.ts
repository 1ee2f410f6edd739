import DxfParser from 'dxf-parser';
import { distance } from '../geometry';
import { exerciseCodes, layOut } from '../layout/exercises';
import { markerRadiusM } from '../layout/layout';
import { vehicleClasses } from '../vehicle/classes';
import { layoutToDxf } from './dxf';
import { barFor, drawingMm, edgeMm, scaleFor } from './scale';
import { fits, setOut, tapesFor, toleranceFor } from './set-out';
import { layoutToSvg } from './svg';

const car = vehicleClasses.car;
const all = exerciseCodes.flatMap((code) =>
  (['left', 'right'] as const).map((side) => [code, side, layOut({ code, side, space: {} }, car)] as const),
);

it.each(all.filter(([code]) => code !== 'turn-in-road'))(
  '%s on the %s: offsets and diagonals put every point where it stands',
  (_, __, layout) => {
    const out = setOut(layout)!;
    const points = new Map([...layout.markers.map((one) => [one.id, one] as const)]);
    for (const { id, x, y, alongM, offM, toFirstM, toSecondM } of out.points) {
      // Pythagoras, twice.
      expect(Math.hypot(alongM, offM)).toBeCloseTo(toFirstM, 9);
      expect(Math.hypot(out.base.lengthM - alongM, offM)).toBeCloseTo(toSecondM, 9);
      const marker = points.get(id);
      if (marker) expect([x, y]).toEqual([marker.x, marker.y]);
    }
    const named = new Set([out.base.from, out.base.to, ...out.points.map(({ id }) => id)]);
    for (const { id } of layout.markers) expect(named.has(id)).toBe(true);
    expect(out.parts.cones + out.parts.poles).toBe(layout.markers.length);
  },
);

it('sets a bay out along its mouth or its end, the diagonals of the rectangle equal', () => {
  const layout = layOut({ code: 'alley-dock', side: 'right', space: {} }, car);
  const { base, points } = setOut(layout)!;
  const at = (id: string) => layout.markers.find((marker) => marker.id === id)!;
  expect(distance(at('A'), at('C'))).toBeCloseTo(distance(at('B'), at('D')), 9);
  // A long side of the bay, not a diagonal of it: the line itself, and not the poles 15 cm beside it.
  expect([base.from, base.to]).toEqual(['p1', 'p2']);
  expect(base.lengthM).toBeCloseTo(5.1, 9);
  const poles = points.filter(({ kind }) => kind === 'pole');
  expect(poles.map(({ id }) => id)).toEqual(['B', 'C', 'D', 'A']);
  expect(poles.map(({ offM }) => Math.abs(offM).toFixed(2))).toEqual(['3.05', '3.05', '0.15', '0.15']);
});

it.each(['left', 'right'] as const)(
  'sets an angle bay on the %s out from a side of its own, at its true width',
  (side) => {
    const layout = layOut({ code: 'angle-bay', side, space: {} }, car);
    const bay = layout.goal.kind === 'poses' ? layout.goal.bay! : undefined!;
    const { base, points } = setOut(layout)!;
    expect([base.from, base.to].every((id) => id.startsWith('p'))).toBe(true);
    // The other side of the bay is chalked at its width; the cones of that side stand 15 cm outside it.
    const off = (kind: string) =>
      points.filter((one) => one.kind === kind).map(({ offM }) => Math.abs(offM).toFixed(2));
    expect(off('chalk')).toEqual([bay.widthM.toFixed(2), bay.widthM.toFixed(2)]);
    expect(off('cone').sort()).toEqual([
      '0.15',
      '0.15',
      (bay.widthM + 0.15).toFixed(2),
      (bay.widthM + 0.15).toFixed(2),
    ]);
    // No foot of a cone stands in the bay.
    for (const { x, y } of layout.markers) {
      const [dx, dy] = [x - bay.mouth.x, y - bay.mouth.y];
      const across = dy * Math.cos(bay.mouth.heading) - dx * Math.sin(bay.mouth.heading);
      expect(Math.abs(across)).toBeGreaterThan(bay.widthM / 2 + markerRadiusM.cone);
    }
  },
);

it('says what a distance can be measured to by hand: less well the longer it is, and the oftener the tape is laid', () => {
  expect(toleranceFor(5)).toBeCloseTo(0.02, 9);
  expect(toleranceFor(30)).toBeCloseTo(0.03, 9);
  expect(tapesFor(66)).toBe(3);
  expect(toleranceFor(66)).toBeCloseTo(0.02 + 0.046 + 0.02, 9);
});

it('has nothing to set out on a road between kerbs', () => {
  expect(setOut(layOut({ code: 'turn-in-road', side: 'left', space: {} }, car))).toBeUndefined();
});

it('says whether it fits the ground either way round, and what is missing', () => {
  expect(fits({ lengthM: 20, widthM: 8 }, { lengthM: 9, widthM: 21 })).toMatchObject({ fits: true, turned: true });
  expect(fits({ lengthM: 20, widthM: 8 }, { lengthM: 18.5, widthM: 8 })).toMatchObject({
    fits: false,
    turned: false,
    missingLengthM: 1.5,
  });
});

// Read back by dxf-parser, a library of somebody else.
it.each(all)('%s on the %s: another program reads the DXF as the same lines and circles', (_, __, layout) => {
  const read = new DxfParser().parseSync(layoutToDxf(layout))!;
  const lines = read.entities.filter(({ type }) => type === 'LINE') as unknown as {
    vertices: { x: number; y: number }[];
    layer: string;
  }[];
  const digits = (layer: string, ...numbers: readonly number[]) =>
    [layer, ...numbers.map((n) => (n + 0).toFixed(6))].join(' ');
  expect(lines.map(({ layer, vertices: [a, b] }) => digits(layer, a!.x, a!.y, b!.x, b!.y)).sort()).toEqual(
    layout.edges.map(({ kind, from, to }) => digits(kind.toUpperCase(), from.x, from.y, to.x, to.y)).sort(),
  );
  expect(read.entities.filter(({ type }) => type === 'CIRCLE')).toHaveLength(layout.markers.length);
});

it.each(all)('%s on the %s: the drawing is to its scale and fits the page', (_, __, layout) => {
  const { area } = layout;
  const scale = scaleFor(area);
  const svg = layoutToSvg(layout);
  const width = Number(/width="([\d.]+)mm"/.exec(svg)![1]);
  expect(width).toBeCloseTo(((area.right - area.left) * 1000) / scale + 2 * edgeMm, 2);
  expect(width).toBeLessThanOrEqual(drawingMm.width);
  expect(svg).toContain(`${barFor(scale)} m, 1:${scale}`);
});

it('sets an area out from its edge, where its markers stand along nothing', () => {
  const layout = layOut({ code: 'reversing-area', side: 'left', space: {} }, vehicleClasses['car-with-trailer']);
  const { base, points } = setOut(layout)!;
  expect(base.lengthM).toBeCloseTo(66, 9);
  expect([base.from, base.to].every((id) => id.startsWith('p'))).toBe(true);
  const pole = points.find(({ id }) => id === 'B')!;
  expect(pole.alongM).toBeCloseTo(33, 9);
  expect(Math.abs(pole.offM)).toBeCloseTo(5.5, 9);
});
