import { exerciseName } from '@jasperwren/core/marking/exercise';
import type { Mark } from '@jasperwren/core/drive/drive';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard, GradeSign, SensorSign } from '@jasperwren/core/marking/standard';
import type { Finding } from '@jasperwren/core/yard/findings';
import { readSample, type Sample, type SentSample } from '@jasperwren/core/yard/sample';
import { t } from '@jasperwren/words/yard-pages';
import type { Data, Layout } from 'plotly.js';
import { faultLine, limitLine, rectangle, type Colours } from './strip-shapes';

/** Which part of a run is shown. */
export type StripPart =
  | { readonly kind: 'run' }
  | { readonly kind: 'exercise'; readonly exercise: string }
  | { readonly kind: 'fault'; readonly atMs: number };

/** A run as something to draw. */
export interface StripRun {
  readonly samples: readonly SentSample[];
  readonly findings: readonly Finding[];
  readonly span: { readonly from: number; readonly to: number };
}

/** Five seconds on either side of a fault are shown, two before an exercise and after it. */
const aroundFaultMs = 5000;
const aroundExerciseMs = 2000;
/** The most points of a line. */
const mostPoints = 1500;
const mostRows = 40;

/** Where the lines stand, from the bottom (0) to the top (1). */
const domains = { speed: [0.66, 1], rpm: [0.4, 0.61], pedals: [0.18, 0.35], gear: [0, 0.13] } as const;

const gearLevels: Readonly<Record<string, number>> = { R: -1, P: 0, N: 0, D: 1 };
const levelOf = (gear: Sample['gear']) => (gear === undefined ? null : (gearLevels[gear] ?? Number(gear)));

/** When an exercise began in a run, and when it ended, in milliseconds of the car's clock; its first attempt. */
function spanOf(
  { findings, span }: StripRun,
  exercise: string,
): { readonly from: number; readonly to: number } | undefined {
  const from = findings.find((one) => one.kind === 'exercise' && one.exercise === exercise)?.at;
  if (from === undefined) return undefined;
  const to = findings.find((one) => one.kind === 'exercise-left' && one.exercise === exercise && one.at >= from)?.at;
  return { from, to: to ?? span.to };
}

/** The moment that stands at 0, and what is shown around it, in milliseconds of the car's clock. */
export function windowOf(
  run: StripRun,
  part: StripPart,
): { readonly zero: number; readonly from: number; readonly to: number } {
  const { from, to } = run.span;
  switch (part.kind) {
    case 'run':
      return { zero: from, from, to };
    case 'fault':
      return { zero: from, from: part.atMs - aroundFaultMs, to: part.atMs + aroundFaultMs };
    case 'exercise': {
      const own = spanOf(run, part.exercise) ?? { from, to };
      return { zero: own.from, from: own.from - aroundExerciseMs, to: own.to + aroundExerciseMs };
    }
  }
}

/** The samples that are shown, in their order, at most so many of them. */
function shownIn({ samples }: StripRun, from: number, to: number): readonly Sample[] {
  const inside = samples
    .flatMap((sent) => readSample(sent) ?? [])
    .filter(({ at }) => at >= from && at <= to)
    .sort((a, b) => a.at - b.at);
  const every = Math.max(1, Math.ceil(inside.length / mostPoints));
  return inside.filter((_, i) => i % every === 0);
}

interface Strip {
  readonly standard: EffectiveStandard;
  readonly run: StripRun;
  /** Marks with their moments on the car's clock, in milliseconds. */
  readonly marks: readonly (Mark & { readonly carMs: number })[];
  readonly part: StripPart;
  readonly other?: StripRun | undefined;
  readonly colours: Colours;
  /** Too narrow for names: exercises stand by their number. */
  readonly narrow?: boolean;
}

/** The values of a run over time, with its exercises, faults and limits, and another run under them. */
export function stripFigure({ standard, run, marks, part, other, colours, narrow = false }: Strip) {
  const { zero, from, to } = windowOf(run, part);
  const second = (at: number) => (at - zero) / 1000;
  const shown = shownIn(run, from, to);
  const data = [
    ...(other ? linesOf(...ofOther(other, part, to - from), colours, true) : []),
    ...linesOf(shown, zero, colours, false),
  ];
  const exercises = standard.exercises.flatMap(({ code, name: full }, i) => {
    const name = narrow ? String(i + 1) : full;
    const own = spanOf(run, code);
    return own && own.to > from && own.from < to
      ? [{ name, from: second(Math.max(own.from, from)), to: second(Math.min(own.to, to)) }]
      : [];
  });
  const seen = marks.filter(({ carMs }) => carMs >= from && carMs <= to);
  const layout: Partial<Layout> = {
    height: 440,
    margin: { l: 62, r: 10, t: 22, b: 44 },
    xaxis: {
      title: {
        text:
          part.kind === 'exercise'
            ? t('fromTrigger', { exercise: exerciseName(standard, part.exercise) })
            : t('fromStart'),
      },
      range: [second(from), second(to)],
      gridcolor: colours.rule,
      zeroline: false,
      anchor: 'y4',
    },
    yaxis: { ...axis('speed', colours), rangemode: 'tozero' },
    yaxis2: { ...axis('engine', colours, 'rpm'), rangemode: 'tozero' },
    yaxis3: { ...axis('pedals', colours), range: [0, 105] },
    yaxis4: {
      ...axis('gear', colours),
      tickvals: [-1, 0, 1, 2, 3],
      ticktext: ['R', 'N', '1', '2', '3'],
      range: [-1.5, 3.5],
    },
    shapes: [
      ...exercises.map((one) => rectangle(one.from, one.to, colours)),
      ...limitsOf(standard, 'speed').map((limit) => limitLine(limit, 'y', colours)),
      ...limitsOf(standard, 'revs').map((limit) => limitLine(limit, 'y2', colours)),
      ...seen.map((mark) => faultLine(second(mark.carMs), colourOf(standard, mark, colours))),
    ],
    annotations: exercises.map(({ name, from: at }) => ({
      x: at,
      y: 1.0,
      yref: 'paper' as const,
      xanchor: 'left' as const,
      yanchor: 'bottom' as const,
      text: name,
      showarrow: false,
      font: { size: 12, color: colours.muted },
    })),
  };
  const every = Math.max(1, Math.ceil(shown.length / mostRows));
  return {
    data,
    layout,
    figures: {
      head: [t('secondsHead'), t('speed'), t('engine'), t('brake'), t('gear')],
      rows: shown
        .filter((_, i) => i % every === 0)
        .map(({ at, speed, rpm, brake, gear }) => [
          second(at).toFixed(1),
          speed?.toFixed(1) ?? '',
          rpm ?? '',
          brake === undefined ? '' : Math.round(brake * 100),
          gear ?? '',
        ]),
    },
  };
}

/** Another run over the same stretch of time, from its own trigger on. */
function ofOther(
  other: StripRun,
  part: StripPart,
  lengthMs: number,
): readonly [samples: readonly Sample[], zero: number] {
  const { zero, from } = windowOf(other, part);
  return [shownIn(other, from, from + lengthMs), zero];
}

function linesOf(samples: readonly Sample[], zero: number, colours: Colours, isOther: boolean): Data[] {
  const x = samples.map(({ at }) => (at - zero) / 1000);
  const line = (
    name: string,
    yaxis: 'y' | 'y2' | 'y3' | 'y4',
    color: string,
    value: (sample: Sample) => number | null | undefined,
    shape: 'linear' | 'hv' = 'linear',
  ): Data => ({
    type: 'scatter',
    mode: 'lines',
    name,
    x,
    y: samples.map((sample) => value(sample) ?? null),
    yaxis,
    line: {
      color: isOther ? colours.muted : color,
      width: isOther ? 1 : 2,
      shape,
      ...(isOther && { dash: 'dot' as const }),
    },
    hoverinfo: isOther ? 'skip' : 'y+name',
  });
  const share = (value: number | undefined) => (value === undefined ? undefined : value * 100);
  return [
    line(t('speed'), 'y', colours.ink, ({ speed }) => (speed === undefined ? undefined : Math.abs(speed))),
    line(t('engine'), 'y2', colours.slate, ({ rpm }) => rpm),
    line(t('brake'), 'y3', colours.ink, ({ brake }) => share(brake)),
    line(t('clutch'), 'y3', colours.slate, ({ clutch }) => share(clutch)),
    line(t('gear'), 'y4', colours.ink, ({ gear }) => levelOf(gear), 'hv'),
  ];
}

const axis = (
  title: 'speed' | 'engine' | 'pedals' | 'gear',
  colours: Colours,
  row: keyof typeof domains = title as never,
) => ({
  domain: [...domains[row]] as [number, number],
  title: { text: t(title), font: { size: 12 } },
  gridcolor: colours.rule,
  zeroline: false,
  tickfont: { size: 11 },
});

/** The values from which on a sign is a fault. */
function limitsOf(standard: EffectiveStandard, sign: SensorSign): readonly number[] {
  const items = standard.categories
    .flatMap((category) => category.items)
    .filter(({ sensors }) => sensors?.includes(sign));
  return [...new Set(items.flatMap(({ measured }) => measured?.bands.flatMap(({ over }) => over ?? []) ?? []))];
}

const colourNames: Readonly<Record<GradeSign, keyof Colours>> = {
  noted: 'slate',
  counted: 'ochre',
  outright: 'jasper',
  highest: 'plum',
};

const colourOf = (standard: EffectiveStandard, { grade }: Mark, colours: Colours) =>
  colours[colourNames[rulesOf(standard).grades.get(grade)?.sign ?? 'noted']];
