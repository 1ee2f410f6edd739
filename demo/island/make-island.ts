import { randomFrom } from '@jasperwren/core/safety-questions/random';
import { addBypass } from './bypass';
import { addCountry, addRoad } from './country';
import { streetNames } from './names';
import { between, distance, Plan, type Point } from './plan';
import { addTown } from './town';
import { writeOsm } from './write-osm';

/** The roads of Tarnavel as an OpenStreetMap file; the same for the same seed. Nothing on it exists. */
export function makeIsland(seed = 1926): string {
  const plan = new Plan();
  const random = randomFrom(seed);
  const name = streetNames(random);
  const ysmer = addTown(
    plan,
    {
      centre: [-200, -300],
      columns: 25,
      rows: 20,
      block: 96,
      turned: 8,
      mainRows: { 10: 'Harbour Road', 3: 'Strand Road', 16: 'Chapel Road' },
      mainColumns: { 6: 'Quenlow Road', 12: 'Lower Quay', 19: 'Mole Road' },
      rings: { '6,16': { radius: 16 }, '19,10': { radius: 24, lanes: '2' }, '12,3': { radius: 15 } },
      minis: ['9,10', '12,7', '16,10', '6,13'],
      signals: ['6,10', '12,10', '12,16', '19,3'],
      oneWay: { east: 12, west: 13, from: 7, to: 11 },
      school: { column: 15, row: 13, name: 'Port Ysmer Junior School' },
    },
    random,
    name,
  );
  const quenlow = addTown(
    plan,
    {
      centre: [4750, 2500],
      columns: 17,
      rows: 14,
      block: 92,
      turned: -17,
      mainRows: { 6: 'Market Street' },
      mainColumns: { 4: 'Mill Road', 10: 'Tower Road' },
      rings: { '10,6': { radius: 18 } },
      minis: ['4,3', '7,6'],
      signals: ['4,6'],
      school: { column: 8, row: 9, name: 'Quenlow School' },
    },
    random,
    name,
  );
  const wickfold = addTown(
    plan,
    {
      centre: [2700, -3500],
      columns: 15,
      rows: 13,
      block: 94,
      turned: 24,
      mainRows: { 5: 'Strand Parade' },
      mainColumns: { 6: 'Pier Street' },
      rings: { '6,5': { radius: 14 } },
      minis: ['6,8', '9,5'],
      oneWay: { east: 2, west: 3, from: 4, to: 8 },
    },
    random,
    name,
  );
  const [west, east] = [plan.node([-2100, 1550]), plan.node([3250, 2350])];
  plan.nodes[west]!.ring = { radius: 32, tags: { lanes: '2' } };
  plan.nodes[east]!.ring = { radius: 30, tags: { lanes: '2' } };
  const line: Point[] = [-2100, -1500, -900, -350, 50, 450, 850, 1400, 2000, 2700, 3250].map((x) => {
    const share = (x + 2100) / 5350;
    return [x, 1550 + 800 * share + 260 * Math.sin(share * Math.PI)];
  });
  const bridge = addBypass(plan, line, [west, east], 'Ysmer Bypass');
  const main = { highway: 'primary', maxspeed: '50 mph' };
  const nearest = (from: number, gates: readonly number[]) =>
    [...gates].sort((a, b) => distance(plan.at(a), plan.at(from)) - distance(plan.at(b), plan.at(from)));
  const join = (from: number, gates: readonly number[], street: string) =>
    nearest(from, gates).some((gate) => addRoad(plan, from, gate, { ...main, name: street }, random));
  join(west, ysmer, 'Western Approach');
  join(east, quenlow, 'Quenlow Approach');
  // The ring of the bridge that looks to the town.
  const [toTown] = [...bridge].sort((a, b) => plan.at(a)[1] - plan.at(b)[1]);
  join(toTown!, ysmer, 'Overgate');
  const gate: Point = between(plan.at(west), [plan.at(west)[0] + 90, plan.at(west)[1] + 70], 1);
  plan.way([west, plan.node(gate)], { highway: 'service', access: 'private', name: 'Mole Farm' });
  const shore = ([x, y]: Point) =>
    ((x - 1500) / 6300) ** 2 + ((y + 300) / 5300) ** 2 < 1 + 0.12 * Math.sin(Math.atan2(y, x) * 5);
  const approaches = [
    ...outside(plan, ysmer, random),
    ...outside(plan, quenlow, random),
    ...outside(plan, wickfold, random),
  ];
  addCountry(plan, [...approaches, west, east, ...bridge], shore, random, name);
  restrictSignals(plan);
  return writeOsm(plan);
}

/** Carries the main roads of a town out into the country; returns their ends. */
function outside(plan: Plan, gates: readonly number[], random: () => number): readonly number[] {
  return gates.flatMap((gate) => {
    const road = plan.ways.find(({ nodes }) => nodes[0] === gate || nodes.at(-1) === gate);
    if (!road) return [];
    const inner = plan.at(road.nodes.at(road.nodes[0] === gate ? 1 : -2)!);
    const at = plan.at(gate);
    const end = plan.node(between(inner, at, 1 + 320 / distance(inner, at)));
    const street = road.tags['name'];
    const tags = { highway: 'secondary', maxspeed: '50 mph', ...(street && { name: street }) };
    return addRoad(plan, gate, end, tags, random) ? [end] : [];
  });
}

/** Where two streets cross at signals, one turn across the traffic is forbidden. */
function restrictSignals(plan: Plan): void {
  plan.nodes.forEach(({ tags }, via) => {
    if (tags['highway'] !== 'traffic_signals') return;
    const through = plan.ways.flatMap(({ nodes }, way) =>
      nodes.indexOf(via) > 0 && nodes.at(-1) !== via ? [way] : [],
    );
    const [from, to] = through;
    if (from === undefined || to === undefined) return;
    const before = (way: number) => {
      const { nodes } = plan.ways[way]!;
      const [x, y] = plan.at(nodes[nodes.indexOf(via) - 1]!);
      return [x - plan.at(via)[0], y - plan.at(via)[1]] as const;
    };
    const [[fx, fy], [tx, ty]] = [before(from), before(to)];
    // One comes against the first direction and leaves along the second.
    const left = -fx * ty + fy * tx > 0;
    plan.restrictions.push({ kind: left ? 'no_left_turn' : 'no_right_turn', from, via, to });
  });
}
