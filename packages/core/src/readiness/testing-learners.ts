import { behaviours } from '../catalogue/catalogue';
import { pick, randomFrom } from '../checks/random';
import { drawGamma, drawPoisson } from './gamma';
import type { Evidence } from './evidence';
import { severities } from './evidence';

/** A learner made up, whose true rates are known. */
export interface SyntheticLearner {
  readonly evidence: readonly Evidence[];
  /** The day on which the chance is asked for. */
  readonly on: Date;
  /** True faults per test on that day, by behaviour and severity. */
  readonly truth: { readonly counted: ReadonlyMap<string, number>; readonly outright: ReadonlyMap<string, number> };
}

const dayMs = 86_400_000;
const start = Date.parse('2026-01-05T10:00:00Z');

/** What roads leave of the faults that strange ones bring (made up). */
const easier = { known: 0.8, partly: 0.9, new: 1 } as const;

/**
 * A learner with 2 to 10 drives, one every 4 to 9 days, on roads they know, know in part, or do not know; known
 * roads bring fewer faults, and the test is on strange ones.
 * Levels are log-normal around 8 faults that add up and 0.35 that fail at once; a few behaviours hold most of them.
 * @param improving whether rates fall from drive to drive, by 0 to 12 % each
 */
export function syntheticLearner(seed: number, improving: boolean): SyntheticLearner {
  const random = randomFrom(seed * 7919 + (improving ? 1 : 0));
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const level = Math.exp(0.55 * normal());
  const totals = { counted: 8 * level, outright: 0.35 * level ** 0.8 * Math.exp(0.4 * normal()) };
  const drives = 2 + Math.floor(random() * 9);
  const step = improving ? 1 - 0.12 * random() : 1;
  const pattern = behaviours.map(() => drawGamma(0.12, random));
  const sum = pattern.reduce((all, one) => all + one, 0);
  const rate = (severity: 'counted' | 'outright', i: number, drive: number) =>
    ((totals[severity] * pattern[i]!) / sum) * step ** (drive - drives + 1);
  let atMs = start;
  const evidence = Array.from({ length: drives }, (_, drive): Evidence => {
    atMs += (4 + 5 * random()) * dayMs;
    const minutes = 30 + 20 * random();
    const familiarity = pick(random, ['known', 'partly', 'new', 'new'] as const);
    const counts = Object.fromEntries(
      behaviours.flatMap(({ code }, i) => {
        const [counted, outright] = severities.map((severity) =>
          drawPoisson((rate(severity, i, drive) * easier[familiarity] * minutes) / 40, random),
        );
        return counted! + outright! > 0 ? [[code, { counted: counted!, outright: outright! }] as const] : [];
      }),
    );
    return {
      kind: 'drive',
      at: new Date(atMs).toISOString(),
      counts,
      exposure: minutes / 40,
      minutes,
      independentMin: 20,
      familiarity,
      prompts: 0,
      interventions: 0,
      promptsAlone: 0,
      interventionsAlone: 0,
      cleanExercises: [],
      completed: true,
    };
  });
  const truth = (severity: 'counted' | 'outright') =>
    new Map(behaviours.map(({ code }, i) => [code, rate(severity, i, drives - 1)]));
  return {
    evidence,
    on: new Date(atMs + 2 * dayMs),
    truth: { counted: truth('counted'), outright: truth('outright') },
  };
}

/** A clean test of forty minutes on strange roads at a moment (RFC 3339), with what a test of the code says besides. */
export function cleanDrive(at: string, more: Partial<Evidence> = {}): Evidence {
  return {
    kind: 'drive',
    at,
    counts: {},
    exposure: 1,
    minutes: 40,
    independentMin: 20,
    familiarity: 'new',
    prompts: 0,
    interventions: 0,
    promptsAlone: 0,
    interventionsAlone: 0,
    cleanExercises: [],
    completed: true,
    ...more,
  };
}
