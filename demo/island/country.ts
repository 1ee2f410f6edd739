import { between, distance, type Plan, type Point, type Tags } from './plan';

/** A road of one or more bends between two junctions, where there is room for it. */
export function addRoad(
  plan: Plan,
  from: number,
  to: number,
  tags: Tags,
  random: () => number,
  extra: { brow?: boolean } = {},
): boolean {
  const [a, b] = [plan.at(from), plan.at(to)];
  const length = distance(a, b);
  for (const sway of [0.13, 0.07, 0.03, 0]) {
    const pieces = Math.max(2, Math.round(length / 70));
    const phase = random() * 6;
    const line: Point[] = [a];
    for (let i = 1; i < pieces; i++) {
      const share = i / pieces;
      const swing = Math.sin(share * Math.PI) * (Math.sin(share * 8 + phase) + 0.35 * Math.sin(share * 17 + phase));
      line.push(between(a, b, share, swing * length * sway));
    }
    line.push(b);
    if (!plan.isFree(line)) continue;
    const middle = Math.floor(line.length / 2);
    const inner = line
      .slice(1, -1)
      .map((point, i) => plan.node(point, extra.brow && i + 1 === middle ? { hazard: 'blind_summit' } : {}));
    plan.way([from, ...inner, to], tags);
    return true;
  }
  return false;
}

/** Lanes between villages: each pair with no third village within the circle over them (a Gabriel graph). */
export function addCountry(
  plan: Plan,
  gates: readonly number[],
  inside: (point: Point) => boolean,
  random: () => number,
  name: (kind?: string) => string,
): void {
  const villages: number[] = [];
  for (let tries = 0; tries < 6000 && villages.length < 150; tries++) {
    const point: Point = [(random() - 0.5) * 13_000 + 1500, (random() - 0.5) * 11_000 - 300];
    const clear = [...villages, ...gates].every((other) => distance(plan.at(other), point) > 430);
    if (inside(point) && clear && plan.isFree([point, [point[0] + 1, point[1]]], 200)) villages.push(plan.node(point));
  }
  const all = [...villages, ...gates];
  const pairs = all.flatMap((a, i) => all.slice(i + 1).map((b) => [a, b] as const));
  const joined = pairs
    .filter(([a, b]) => !(gates.includes(a) && gates.includes(b)))
    .filter(([a, b]) => {
      const [p, q] = [plan.at(a), plan.at(b)];
      const middle = between(p, q, 0.5);
      return all.every((other) => other === a || other === b || distance(plan.at(other), middle) >= distance(p, q) / 2);
    })
    .sort(([a, b], [c, d]) => distance(plan.at(a), plan.at(b)) - distance(plan.at(c), plan.at(d)));
  for (const [a, b] of joined) {
    const dice = random();
    const single = dice < 0.4;
    addRoad(
      plan,
      a,
      b,
      {
        highway: dice > 0.75 ? 'tertiary' : 'unclassified',
        maxspeed: dice > 0.6 && dice < 0.7 ? '40 mph' : '60 mph',
        name: name(single ? 'Lane' : undefined),
        ...(single && { lanes: '1', width: '3' }),
        ...(random() < 0.12 && { incline: '12%' }),
      },
      random,
      { brow: random() < 0.2 },
    );
  }
  // Farm tracks and lanes that end at a house.
  for (const village of villages) {
    if (random() > 0.55) continue;
    const [x, y] = plan.at(village);
    const turn = random() * 2 * Math.PI;
    const tip: Point = [x + 210 * Math.cos(turn), y + 210 * Math.sin(turn)];
    if (plan.isFree([[x, y], tip]))
      plan.way([village, plan.node(tip)], { highway: 'service', ...(random() < 0.4 && { access: 'private' }) });
  }
}
