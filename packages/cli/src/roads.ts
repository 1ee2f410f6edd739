import { t as say } from '@jasperwren/words/command';
import { createReadStream } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { parseArgs } from 'node:util';
import { callsOf, deviceStyle, instructorStyle } from '@jasperwren/roads/directions/calls';
import { featureKinds, type FeatureKind } from '@jasperwren/roads/features/features';
import { readGpxFixes } from '@jasperwren/roads/formats/gpx';
import type { Place } from '@jasperwren/roads/geometry';
import { buildGraph, edgeMetres, wayOf } from '@jasperwren/roads/graph/graph';
import { bansOf } from '@jasperwren/roads/graph/restrictions';
import { trafficSide, type Side } from '@jasperwren/roads/graph/side';
import { finder } from '@jasperwren/roads/graph/snap';
import { summarise } from '@jasperwren/roads/graph/summary';
import { planLoops } from '@jasperwren/roads/plan/plan-loops';
import type { Loop } from '@jasperwren/roads/plan/loop';
import { RoadsError } from '@jasperwren/roads/problem';
import { readRoads } from '@jasperwren/roads/read-roads';
import { makeRouter } from '@jasperwren/roads/route/router';
import { lineOf } from '@jasperwren/roads/route/line-of';
import { byDistance, byTime } from '@jasperwren/roads/route/time-model';
import { endAt, pathCost } from '@jasperwren/roads/route/via';
import { measuredLine, withinPath } from '@jasperwren/roads/traces/along-piece';
import { cleanFixes } from '@jasperwren/roads/traces/fix';
import { matchTrace } from '@jasperwren/roads/traces/match';
import { aheadWords, lengthWords } from '@jasperwren/words/roads/distances';
import { callSentence } from '@jasperwren/words/roads/directions';
import { featureName } from '@jasperwren/words/roads/features';
import { restrictionProblem, roadsProblem } from '@jasperwren/words/roads/problems';
import { exitCodes, printJson, UsageError, type Io } from './io';

const options = {
  json: { type: 'boolean', default: false },
  from: { type: 'string' },
  to: { type: 'string' },
  by: { type: 'string', default: 'time' },
  side: { type: 'string' },
  style: { type: 'string', default: 'instructor' },
  units: { type: 'string', default: 'miles' },
  minutes: { type: 'string' },
  seed: { type: 'string', default: '1' },
  loops: { type: 'string', default: '3' },
  want: { type: 'string', multiple: true },
} as const;

type Values = ReturnType<typeof parse>['values'];

const parse = (args: readonly string[]) => parseArgs({ args: [...args], options, allowPositionals: true });

/** `roads summary|route|plan|match FILE`: what a file of roads holds, a way between two places, loops, where a trace went. */
export async function roadsCommand([what = '', ...args]: readonly string[], io: Io): Promise<number> {
  const command = { summary, route, plan, match: matchCommand }[what];
  if (!command) throw new UsageError(say('roadsUsage'));
  const { values, positionals } = parse(args);
  const [file, ...more] = positionals;
  if (file === undefined || more.length !== (what === 'match' ? 1 : 0))
    throw new UsageError(what === 'match' ? say('matchUsage') : say('roadsFileUsage', { command: what }));
  try {
    return await command(file, values, io, more[0] ?? '');
  } catch (error) {
    if (!(error instanceof RoadsError)) throw error;
    io.err(`${file}: ${roadsProblem(error.problem)}`);
    return exitCodes.unusable;
  }
}

const read = (file: string) => readRoads(file, createReadStream(file));

async function summary(file: string, { json }: Values, io: Io): Promise<number> {
  const graph = buildGraph(await read(file));
  const found = summarise(graph, bansOf(graph));
  if (json) {
    printJson(io, found);
    return exitCodes.pass;
  }
  io.out(
    say('ways', {
      ways: found.ways,
      junctions: found.junctions,
      km: found.km,
      oneWayKm: found.oneWayKm,
    }),
  );
  for (const [highway, km] of Object.entries(found.kmByClass)) io.out(`  ${highway}: ${km} km`);
  io.out(
    say('roundabouts', {
      roundabouts: found.roundabouts,
      miniRoundabouts: found.miniRoundabouts,
      signals: found.signals,
    }),
  );
  io.out(
    say('lines', {
      stops: found.stops,
      giveWays: found.giveWays,
      crossings: found.crossings,
      schools: found.schools,
    }),
  );
  io.out(say('turnRestrictions', { kept: found.restrictions.kept }));
  for (const { id, reason } of found.restrictions.dropped)
    io.out(`  ${say('leftOut', { id, reason: restrictionProblem(reason) })}`);
  const [, ...islands] = found.components;
  if (islands.length > 0) io.out(say('partsApart', { parts: islands.length }));
  if (found.missingNodes > 0) io.out(say('placesMissing', { places: found.missingNodes }));
  return exitCodes.pass;
}

async function route(file: string, values: Values, io: Io): Promise<number> {
  const from = placeOf(values.from, 'from');
  const to = placeOf(values.to, 'to');
  const by = oneOf(values.by, ['distance', 'time'], '--by');
  const style = oneOf(values.style, ['instructor', 'device'], '--style') === 'device' ? deviceStyle : instructorStyle;
  const units = oneOf(values.units, ['miles', 'metric'], '--units');
  const graph = buildGraph(await read(file));
  const side = sideOf(values.side) ?? trafficSide(graph.source);
  const time = byTime(graph, side);
  const [start, end] = nearest(graph, [from, to]);
  const path = makeRouter(graph, by === 'time' ? time : byDistance(graph)).find(start!, end!);
  if (!path) throw new RoadsError({ code: 'noWay' });
  const seconds = pathCost(graph, time, path);
  const calls = callsOf(graph, path, side, style).map((call) => ({
    at: round(call.at),
    distance: round(call.distance),
    say: callSentence(call, style, units),
  }));
  if (values.json) {
    const line = lineOf(graph, path, start!, end!);
    printJson(io, { metres: round(path.metres), seconds: round(seconds), line, calls });
    return exitCodes.pass;
  }
  io.out(say('lengthAndTime', { length: lengthWords(path.metres, units), minutes: Math.round(seconds / 60) }));
  for (const { at, distance, say: words } of calls)
    io.out(`  ${say('callAt', { at: lengthWords(at, units), distance: aheadWords(distance, units), words })}`);
  return exitCodes.pass;
}

function nearest(graph: ReturnType<typeof buildGraph>, [from, to]: readonly [Place, Place]) {
  const { near } = finder(graph);
  return (
    [
      ['from', from],
      ['to', to],
    ] as const
  ).map(([end, place]) => {
    const [snapped] = near(place, reach);
    if (!snapped) throw new RoadsError({ code: 'notOnRoads', end, metres: reach });
    return snapped;
  });
}

/** A place belongs to a road within this many metres. */
const reach = 1000;

async function plan(file: string, values: Values, io: Io): Promise<number> {
  const from = placeOf(values.from, 'from');
  const minutes = numberOf(values.minutes, '--minutes', 2, 240);
  const loops = numberOf(values.loops, '--loops', 1, 10);
  const seed = numberOf(values.seed, '--seed', 0, 2 ** 31);
  const wants = Object.fromEntries((values.want ?? []).map(wantOf));
  const graph = buildGraph(await read(file));
  const side = sideOf(values.side) ?? trafficSide(graph.source);
  const time = byTime(graph, side);
  const start = endAt(graph, finder(graph), from, reach, 'from');
  const found = planLoops(graph, makeRouter(graph, time), time, side, { from: start, minutes, wants, loops, seed });
  if (values.json) {
    printJson(
      io,
      found.map((loop) => ({
        metres: round(loop.path.metres),
        seconds: round(loop.seconds),
        counts: loop.counts,
        unmet: loop.unmet,
        repeated: round(loop.repeated, 3),
        shared: round(loop.shared, 3),
        line: lineOf(graph, loop.path, start, start),
      })),
    );
    return exitCodes.pass;
  }
  found.forEach((loop, i) => printLoop(loop, i, values, io));
  return exitCodes.pass;
}

/** Where the trace of a GPX file went on roads, and how sure that is. */
async function matchCommand(file: string, values: Values, io: Io, trace: string): Promise<number> {
  const units = oneOf(values.units, ['miles', 'metric'], '--units');
  const graph = buildGraph(await read(file));
  const side = sideOf(values.side) ?? trafficSide(graph.source);
  const { fixes, leftOut, outOfOrder } = cleanFixes(readGpxFixes(await readFile(trace, 'utf8')));
  const { pieces, unmatched, noise } = matchTrace({ graph, finder: finder(graph), time: byTime(graph, side) }, fixes);
  const start = fixes[0]?.at ?? 0;
  const seconds = (at: number) => round((at - start) / 1000, 1);
  const found = pieces.map(({ path, sure, times }) => ({
    from: seconds(times[0]![0]),
    to: seconds(times.at(-1)![0]),
    metres: round(path.metres),
    line: withinPath(measuredLine(graph, path), path.metres).map(([lat, lon]) => [round(lat, 7), round(lon, 7)]),
    roads: path.edges.map((edge, i) => {
      const { name, ref } = wayOf(graph, edge);
      return { name: name ?? ref ?? null, metres: round(edgeMetres(graph, edge)), sure: round(sure[i]!, 3) };
    }),
  }));
  const beside = unmatched.map(({ from, to }) => ({ from: seconds(from), to: seconds(to) }));
  if (values.json) {
    printJson(io, { fixes: fixes.length, leftOut, outOfOrder, noise: round(noise), pieces: found, unmatched: beside });
    return exitCodes.pass;
  }
  io.out(say('positions', { positions: fixes.length, noise: Math.round(noise) }));
  for (const { from, to, metres, roads } of found) {
    const unsure = roads.filter(({ sure }) => sure < 0.8).reduce((sum, road) => sum + road.metres, 0);
    io.out(
      `  ${say('stretch', { from, to, length: lengthWords(metres, units), unsure: Math.round((100 * unsure) / Math.max(1, metres)) })}`,
    );
    const names = roads.map(({ name }) => name ?? 'unnamed').filter((name, i, all) => name !== all[i - 1]);
    io.out(`    ${names.join(', ')}`);
  }
  for (const { from, to } of beside) io.out(`  ${say('offRoads', { from, to })}`);
  return exitCodes.pass;
}

function printLoop({ path, seconds, counts, unmet, repeated, shared }: Loop, i: number, values: Values, io: Io): void {
  const units = oneOf(values.units, ['miles', 'metric'], '--units');
  io.out(
    say('loop', {
      nth: i + 1,
      minutes: Math.round(seconds / 60),
      length: lengthWords(path.metres, units),
      repeated: Math.round(repeated * 100),
    }),
  );
  if (i > 0) io.out(`  ${say('shared', { shared: Math.round(shared * 100) })}`);
  for (const kind of featureKinds) if (counts[kind]) io.out(`  ${featureName(kind)}: ${counts[kind]}`);
  for (const { kind, wanted, found, nearest: away } of unmet) {
    const near = away === undefined ? 'none within reach' : `the nearest is ${Math.round(away / 60)} min away`;
    io.out(`  ${say('lacks', { feature: featureName(kind), found, wanted, near })}`);
  }
}

function placeOf(text: string | undefined, name: string): Place {
  const [lat, lon] = (text ?? '').split(',').map((part) => (part.trim() === '' ? NaN : Number(part)));
  if (lat === undefined || lon === undefined || !(Math.abs(lat) <= 90 && Math.abs(lon) <= 180))
    throw new UsageError(say('placeInDegrees', { name }));
  return { lat, lon };
}

function numberOf(text: string | undefined, name: string, least: number, most: number): number {
  const value = text === undefined || text.trim() === '' ? NaN : Number(text);
  if (!(value >= least && value <= most)) throw new UsageError(say('numberFrom', { name, least, most }));
  return value;
}

function oneOf<const T extends string>(text: string, allowed: readonly T[], name: string): T {
  const found = allowed.find((one) => one === text);
  if (found === undefined) throw new UsageError(say('isOneOf', { name, allowed: allowed.join(', ') }));
  return found;
}

const sideOf = (text: string | undefined): Side | undefined =>
  text === undefined ? undefined : oneOf(text, ['left', 'right'], '--side');

function wantOf(text: string): [FeatureKind, number] {
  const [name = '', count = '1'] = text.split('=');
  return [oneOf(name, featureKinds, '--want'), numberOf(count, '--want', 1, 99)];
}

const round = (value: number, digits = 1) => Number(value.toFixed(digits));
