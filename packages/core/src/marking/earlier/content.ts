import type { Exercise } from '../exercise';
import type { BriefingStep } from '../briefing';
import type { Item, Standard } from '../standard';
import { riders } from '../template-parts/briefing-steps';
import { houseDefault } from '../provenance';

/** What a version brought, by code, and how what it changed stood before. */
interface Brought {
  readonly categories?: readonly string[];
  readonly items?: readonly string[];
  readonly exercises?: readonly string[];
  readonly looks?: readonly string[];
  readonly options?: readonly string[];
  readonly steps?: readonly string[];
  readonly was?: Partial<Standard>;
  /** What stands as undefined was not there. */
  readonly itemsWere?: Readonly<Record<string, { readonly [K in keyof Item]?: Item[K] | undefined }>>;
  readonly exercisesWere?: Readonly<Record<string, Partial<Exercise>>>;
  readonly stepsWere?: Readonly<Record<string, BriefingStep>>;
}

const notInPark = { name: 'Not in P after parking (automatic)', sequence: undefined };
const look = { sequence: ['mirror', 'signal', 'blind spot'] };

/** What each template was given when its practitioners had driven it: fault types, exercises, options and steps. */
const brought: Readonly<Record<string, Brought>> = {
  tally: { stepsWere: { riders } },
  graded: { items: ['mirrors.rolling'] },
  'points-off': {
    categories: ['emergency-stop'],
    items: ['stopping.hill-parking'],
    exercises: [
      'forward-park',
      'turn-in-road',
      'quick-stop',
      'hill-park-up-kerb',
      'hill-park-down-kerb',
      'hill-park-up',
      'hill-park-down',
    ],
    was: {
      units: 'metric',
      requirements: [
        { kind: 'driving-time', atLeastMin: houseDefault(15, 'A shorter drive says too little to stand for a test.') },
      ],
    },
    exercisesWere: { 'straight-reverse': { task: 'Reverse straight within the lane, turned to look back.' } },
  },
  strikes: { items: ['position.near-side', 'clearance.queue'] },
  'timed-yard': {
    items: ['brake.before-tone', 'garage-bay.brake-entering', 'parallel-bay.brake-entering'],
    options: ['rolling-brake', 'finish-order'],
    itemsWere: { 'angle-bay.in-gear': notInPark, 'parallel-bay.in-gear': notInPark },
    exercisesWere: {
      slope: { task: 'Stop on the slope and move off again without rolling back, inside the lines.' },
      'angle-bay': { task: 'Drive into the slanted bay; parking brake once the car has stopped.' },
    },
  },
  'attempts-yard': {
    categories: ['left-turn'],
    exercises: ['left-turn'],
    was: {
      summary: 'An inspection outside and inside, then six exercises with set attempts; a touched line ends the test.',
    },
  },
  'reversing-area': { looks: ['right-mirror', 'left-mirror'] },
  'sequence-checklist': {
    exercises: ['hill-park', 'final-park'],
    steps: ['bay-number', 'glasses'],
    itemsWere: {
      'moving-off.blind-spot': look,
      'mirrors.before-direction': look,
      'junctions.turn-across': look,
      'junctions.turn-near': look,
    },
  },
};

const withoutUndefined = (value: object): object =>
  Object.fromEntries(Object.entries(value).filter(([, one]) => one !== undefined));

const isIn = (codes: readonly string[], code: string | undefined): boolean =>
  code !== undefined && codes.includes(code);

/** A template as it was before that; itself where it brought nothing. */
export function beforeContent(standard: Standard): Standard {
  const {
    categories = [],
    items = [],
    exercises = [],
    looks = [],
    options = [],
    steps = [],
    was = {},
    itemsWere = {},
    exercisesWere = {},
    stepsWere = {},
  } = brought[standard.id] ?? {};
  if (!brought[standard.id]) return standard;
  return {
    ...standard,
    limits: standard.limits.filter(({ scope }) => scope.kind !== 'exercise' || !isIn(exercises, scope.exercise)),
    requirements: standard.requirements.filter((one) => one.kind !== 'exercise' || !isIn(exercises, one.exercise)),
    ...was,
    version: standard.version - 1,
    categories: standard.categories
      .filter(({ code }) => !categories.includes(code))
      .map((category) => ({
        ...category,
        items: category.items
          .filter(({ code }) => !items.includes(code))
          .map((item) => withoutUndefined({ ...item, ...itemsWere[item.code] }) as Item),
      })),
    exercises: standard.exercises
      .filter(({ code }) => !exercises.includes(code))
      .map(({ usual: _, ...exercise }) => ({
        ...exercise,
        ...exercisesWere[exercise.code],
        ...(looks.length > 0 && { looks: exercise.looks?.filter(({ code }) => !looks.includes(code)) ?? [] }),
      })),
    options: standard.options.filter(({ code }) => !options.includes(code)),
    ...(standard.briefing && {
      briefing: standard.briefing
        .filter(({ code }) => !steps.includes(code))
        .map((step) => stepsWere[step.code] ?? step),
    }),
  };
}
