import { between, distance, type Plan, type Point, type Tags } from './plan';

export interface TownPlan {
  readonly centre: Point;
  readonly columns: number;
  readonly rows: number;
  /** Metres between streets. */
  readonly block: number;
  /** Degrees the grid is turned by. */
  readonly turned: number;
  /** Rows and columns that are main roads, with their names. */
  readonly mainRows: Readonly<Record<number, string>>;
  readonly mainColumns: Readonly<Record<number, string>>;
  /** Junctions of main roads that are rings, mini roundabouts or signals, as `column,row`. */
  readonly rings?: Readonly<Record<string, { readonly radius: number; readonly lanes?: string }>>;
  readonly minis?: readonly string[];
  readonly signals?: readonly string[];
  /** Pairs of rows driven one way each, between two columns. */
  readonly oneWay?: { readonly east: number; readonly west: number; readonly from: number; readonly to: number };
  readonly school?: { readonly column: number; readonly row: number; readonly name: string };
}

interface Piece {
  /** From its first junction to its last, with what lies between. */
  readonly nodes: number[];
  readonly tags: Tags;
}

/** A town of bent streets; returns the junctions at the ends of its main roads. */
export function addTown(
  plan: Plan,
  town: TownPlan,
  random: () => number,
  name: (kind?: string) => string,
): readonly number[] {
  const { columns, rows, block, mainRows, mainColumns } = town;
  const grid = layOut(plan, town, random);
  const isMain = (column: number, row: number) => row in mainRows && column in mainColumns;
  const key = (column: number, row: number) => `${column},${row}`;
  for (let c = 0; c < columns; c++)
    for (let r = 0; r < rows; r++) {
      const node = plan.nodes[grid[c]![r]!]!;
      const ring = town.rings?.[key(c, r)];
      if (ring) node.ring = { radius: ring.radius, tags: ring.lanes ? { lanes: ring.lanes } : {} };
      if (town.minis?.includes(key(c, r))) node.tags['highway'] = 'mini_roundabout';
      if (town.signals?.includes(key(c, r)) && isMain(c, r)) node.tags['highway'] = 'traffic_signals';
    }
  const line = (along: 'row' | 'column', at: number) => {
    const length = along === 'row' ? columns : rows;
    const main = (along === 'row' ? mainRows : mainColumns)[at];
    let street = main ?? name();
    let run: Piece | undefined;
    const close = () => {
      if (run) plan.way(run.nodes, run.tags);
      run = undefined;
    };
    for (let i = 0; i + 1 < length; i++) {
      const [c, r, c2, r2] = along === 'row' ? [i, at, i + 1, at] : [at, i, at, i + 1];
      const [from, to] = [grid[c]![r]!, grid[c2]![r2]!];
      const edge = edgeTags(town, along, at, i, main, street);
      const gone = main === undefined && !edge['oneway'] && random() < 0.15;
      if (main === undefined && random() < 0.18) {
        close();
        street = name();
      }
      if (gone) {
        close();
        continue;
      }
      const tags = { ...edge, name: street };
      if (run && (!sameTags(run.tags, tags) || plan.nodes[from]!.ring)) close();
      run ??= { nodes: [from], tags };
      const crossesMain = (column: number, row: number) =>
        main === undefined && (along === 'row' ? column in mainColumns : row in mainRows);
      const [start, end] = [plan.at(from), plan.at(to)];
      const length_ = distance(start, end);
      const sign = (column: number, row: number, share: number, direction: string) => {
        if (!crossesMain(column, row) || town.minis?.includes(key(column, row)) || town.rings?.[key(column, row)])
          return;
        const kind = random() < 0.12 ? 'stop' : 'give_way';
        run!.nodes.push(plan.node(between(start, end, share), { highway: kind, direction }));
      };
      sign(c, r, 9 / length_, 'backward');
      // Sometimes the lower limit begins not at the mouth but a car or five inside.
      if (crossesMain(c, r) && edge['maxspeed'] === '30 mph' && random() < 0.08) {
        const inside = plan.node(between(start, end, 26 / length_));
        run.nodes.push(inside);
        close();
        run = { nodes: [inside], tags: { ...tags, maxspeed: '20 mph' } };
      }
      middle(plan, run, start, end, main !== undefined, random, name);
      sign(c2, r2, 1 - 9 / length_, 'forward');
      run.nodes.push(to);
    }
    close();
  };
  for (let r = 0; r < rows; r++) line('row', r);
  for (let c = 0; c < columns; c++) line('column', c);
  if (town.school) {
    const [x, y] = plan.at(grid[town.school.column]![town.school.row]!);
    plan.node([x + block / 3, y + block / 3], { amenity: 'school', name: town.school.name });
  }
  return [
    ...Object.keys(mainRows).flatMap((r) => [grid[0]![Number(r)]!, grid[columns - 1]![Number(r)]!]),
    ...Object.keys(mainColumns).flatMap((c) => [grid[Number(c)]![0]!, grid[Number(c)]![rows - 1]!]),
  ];
}

/** The junctions of a town: a grid that is turned, bent and shaken. */
function layOut(plan: Plan, { centre, columns, rows, block, turned }: TownPlan, random: () => number): number[][] {
  const angle = (turned * Math.PI) / 180;
  return Array.from({ length: columns }, (_, c) =>
    Array.from({ length: rows }, (_, r) => {
      const u = (c - (columns - 1) / 2) * block + (random() - 0.5) * block * 0.34;
      const v = (r - (rows - 1) / 2) * block + (random() - 0.5) * block * 0.34;
      const x = u + block * 0.9 * Math.sin(v / (block * 4.1));
      const y = v + block * 0.9 * Math.sin(u / (block * 5.3) + 1);
      return plan.node([
        centre[0] + x * Math.cos(angle) - y * Math.sin(angle),
        centre[1] + x * Math.sin(angle) + y * Math.cos(angle),
      ]);
    }),
  );
}

function edgeTags(
  { oneWay, school, mainRows }: TownPlan,
  along: 'row' | 'column',
  at: number,
  i: number,
  main: string | undefined,
  street: string,
): Record<string, string> {
  if (main !== undefined) {
    const first = Object.keys(mainRows)[0] === String(at) && along === 'row';
    return { highway: first ? 'primary' : 'secondary', maxspeed: i < 2 ? '40 mph' : '30 mph' };
  }
  const near =
    school &&
    Math.abs((along === 'row' ? school.row : school.column) - at) <= 1 &&
    Math.abs((along === 'row' ? school.column : school.row) - i) <= 2;
  const tags: Record<string, string> = {
    highway: 'residential',
    maxspeed: near || street.endsWith('Walk') || street.endsWith('Row') ? '20 mph' : '30 mph',
  };
  if (along === 'row' && oneWay && i >= oneWay.from && i < oneWay.to) {
    if (at === oneWay.east) tags['oneway'] = 'yes';
    if (at === oneWay.west) tags['oneway'] = '-1';
  }
  return tags;
}

const sameTags = (a: Tags, b: Tags) => JSON.stringify(a) === JSON.stringify(b);

/** What lies between two junctions: a bend, a crossing, a close that leads nowhere. */
function middle(
  plan: Plan,
  run: Piece,
  start: Point,
  end: Point,
  main: boolean,
  random: () => number,
  name: (kind?: string) => string,
): void {
  const bend = (random() - 0.5) * 12;
  const [bx, by] = between(start, end, 0.5, bend);
  if (main) {
    const crossing = random() < 0.3;
    const raised = crossing && random() < 0.35;
    run.nodes.push(
      plan.node([bx, by], crossing ? { highway: 'crossing', ...(raised && { traffic_calming: 'table' }) } : {}),
    );
    return;
  }
  const at = plan.node([bx, by]);
  run.nodes.push(at);
  if (random() > 0.36 || run.tags['oneway']) return;
  const reach = distance(start, end) * (0.28 + random() * 0.12);
  const side = random() < 0.5 ? 1 : -1;
  const tip = between(start, end, 0.5 + (random() - 0.5) * 0.1, side * reach);
  if (!plan.isFree([[bx, by], tip], 6)) return;
  plan.way([at, plan.node(between([bx, by], tip, 0.6, 4)), plan.node(tip)], {
    highway: random() < 0.25 ? 'living_street' : 'residential',
    maxspeed: '20 mph',
    name: name('Close'),
  });
}
