import { t as say } from '@jasperwren/words/command';
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { planGround, roomNeeded } from '@jasperwren/motion/planner/plan-exercise';
import { readSpec, type Spec } from '@jasperwren/motion/read-spec';
import { layoutToDxf } from '@jasperwren/motion/set-out/dxf';
import { followRule, whatHelps } from '@jasperwren/motion/sight/rule-of-thumb';
import { setOut } from '@jasperwren/motion/set-out/set-out';
import { layoutToSvg } from '@jasperwren/motion/set-out/svg';
import { surfaces, tableReactionS, type Surface } from '@jasperwren/motion/stopping/road';
import { stoppingDistance } from '@jasperwren/motion/stopping/stopping';
import { mpsPerKmh, mpsPerMph } from '@jasperwren/motion/stopping/units';
import { t } from '@jasperwren/words/motion';
import {
  movementsWords,
  helpsSentence,
  neededSentence,
  noPlanSentence,
  partName,
  ruleSentence,
  stepSentence,
  thingName,
  toleranceWords,
} from '@jasperwren/words/motion-sentences';
import { exitCodes, printJson, printLines, UsageError, type Io } from './io';

const options = {
  json: { type: 'boolean', default: false },
  svg: { type: 'boolean', default: false },
  dxf: { type: 'boolean', default: false },
  speed: { type: 'string' },
  unit: { type: 'string', default: 'mph' },
  surface: { type: 'string', default: 'dry' },
  reaction: { type: 'string', default: String(tableReactionS) },
  'clutch-first': { type: 'string', default: '0' },
} as const;

const parse = (args: readonly string[]) => parseArgs({ args: [...args], options, allowPositionals: true });
type Values = ReturnType<typeof parse>['values'];

/**
 * `motion plan SPEC` finds a way, `motion setout SPEC` says how to set it out, `motion rule SPEC` what becomes of a rule of
 * thumb, `motion stopping` how far a car goes.
 */
export function motionCommand([what = '', ...args]: readonly string[], io: Io): number {
  const { values, positionals } = parse(args);
  const [file] = positionals;
  if (what === 'stopping' && file === undefined) return stopping(values, io);
  if ((what === 'plan' || what === 'setout' || what === 'rule') && file !== undefined && positionals.length === 1) {
    const spec = specOf(file, io);
    if (!spec) return exitCodes.unusable;
    return { plan, setout, rule }[what](spec, values, io);
  }
  throw new UsageError(say('motionUsage'));
}

function specOf(file: string, io: Io): Spec | undefined {
  let value: unknown;
  try {
    value = JSON.parse(readFileSync(file, 'utf8'));
  } catch (error) {
    io.err(say('cannotBeRead', { file, why: error instanceof Error ? error.message : String(error) }));
    return undefined;
  }
  const read = readSpec(value);
  if ('spec' in read) return read.spec;
  for (const problem of read.problems) io.err(`${file}: ${problem}`);
  return undefined;
}

function plan({ vehicle, exercise, layout, ...limits }: Spec, { json }: Values, io: Io): number {
  const found = planGround(vehicle, { layout, ...(exercise && { exercise }) }, limits);
  if (found.found) {
    if (json) printJson(io, found);
    else {
      const near = found.check.closest;
      io.out(
        near
          ? t('summary', {
              movements: movementsWords(found.movements),
              way: found.wayM.toFixed(1),
              gap: Math.round(near.gapM * 100),
              part: partName(near.part),
              thing: thingName(near),
            })
          : t('summaryFree', { movements: movementsWords(found.movements), way: found.wayM.toFixed(1) }),
      );
      found.steps.forEach((step, i) => io.out(`  ${i + 1}. ${stepSentence(step, vehicle.lockDeg)}`));
      if (vehicle.trailer) io.out(t('towingWhy'));
      io.out(t('caution'));
    }
    return exitCodes.pass;
  }
  const needed = found.why === 'start-blocked' || !exercise ? undefined : roomNeeded(vehicle, exercise, limits);
  if (json) printJson(io, { ...found, needed: needed ?? null });
  else {
    io.out(noPlanSentence(found, limits.mostMovements));
    if (found.why !== 'start-blocked' && exercise) io.out(neededSentence(needed));
  }
  return exitCodes.fail;
}

function setout({ layout }: Spec, { svg, dxf, json }: Values, io: Io): number {
  if (svg) printLines(io.out, layoutToSvg(layout).trimEnd());
  else if (dxf) printLines(io.out, layoutToDxf(layout).trimEnd());
  else {
    const out = setOut(layout);
    if (json) printJson(io, { layout, setOut: out ?? null });
    else if (!out) io.out(t('nothingToSet'));
    else {
      const { base, points } = out;
      io.out(t('baseLine', { from: base.from, to: base.to, length: t('m', { value: base.lengthM.toFixed(2) }) }));
      for (const { id, alongM, offM, toFirstM, toSecondM } of points)
        io.out(
          `  ${id}: ${alongM.toFixed(2)} m, ${offM.toFixed(2)} m; ${base.from} ${toFirstM.toFixed(2)} m, ${base.to} ${toSecondM.toFixed(2)} m`,
        );
      io.out(toleranceWords(out));
    }
  }
  return exitCodes.pass;
}

function rule({ vehicle, layout, rule: parts }: Spec, { json }: Values, io: Io): number {
  if (!parts) {
    io.err(t('ruleMissing'));
    return exitCodes.unusable;
  }
  const followed = followRule(vehicle, layout, parts);
  const helps = whatHelps(vehicle, layout, parts);
  if (json) printJson(io, { ...followed, helps: helps ?? null });
  else {
    io.out(ruleSentence(followed));
    if (followed.outcome !== 'works') io.out(helpsSentence(helps));
  }
  return followed.outcome === 'works' ? exitCodes.pass : exitCodes.fail;
}

function stopping(values: Values, io: Io): number {
  const number = (name: 'speed' | 'reaction' | 'clutch-first', most: number): number => {
    const value = Number(values[name]);
    if (values[name] === undefined || !(value >= 0 && value <= most))
      throw new UsageError(say('takesANumber', { name, most }));
    return value;
  };
  if (values.unit !== 'mph' && values.unit !== 'km/h') throw new UsageError(say('takesAUnit'));
  if (!(values.surface in surfaces))
    throw new UsageError(say('takesASurface', { surfaces: Object.keys(surfaces).join(', ') }));
  const surface = values.surface as Surface;
  const speed = number('speed', 200);
  const driver = { reactionS: number('reaction', 5), clutchFirstS: number('clutch-first', 5) };
  // On the level every surface brings a car to stand.
  const level = { surface, slopePercent: 0 };
  const stop = stoppingDistance(speed * (values.unit === 'mph' ? mpsPerMph : mpsPerKmh), driver, level)!;
  if (values.json) printJson(io, { speed, unit: values.unit, surface, ...driver, ...stop });
  else {
    const round = (metres: number) => metres.toFixed(1);
    io.out(
      `${speed} ${values.unit}: ${round(stop.totalM)} m (${round(stop.thinkingM)} + ${round(stop.clutchM)} + ${round(stop.brakingM)} m), ${round(stop.seconds)} s`,
    );
  }
  return exitCodes.pass;
}
