import type { Category } from '../standard';
import type { Exercise } from '../exercise';

const reverse = [
  'reversing.observation',
  'reversing.accuracy',
  'reversing.control',
  'reversing.shunt',
  'reversing.looking-back',
  'reversing.waiting',
  'reversing.contact',
];

const hillParking = ['stopping.hill-parking', 'stopping.securing', 'controls.parking-brake'];

/** What an exercise shows, by its code: behaviours of the catalogue, the likeliest first (common practice). */
const shows: Readonly<Record<string, readonly string[]>> = {
  'parallel-park': reverse,
  bay: reverse,
  'reverse-corner': reverse,
  'straight-reverse': reverse,
  reverse,
  'right-pull-up': ['moving-off.blind-spot', ...reverse, 'stopping.place'],
  'turn-in-road': ['reversing.observation', 'reversing.control', 'controls.steering', 'reversing.contact'],
  'emergency-stop': [
    'emergency-stop.reaction',
    'emergency-stop.control',
    'emergency-stop.footwork',
    'emergency-stop.moving-on',
  ],
  'hill-start': ['moving-off.hill', 'moving-off.blind-spot', 'controls.clutch', 'controls.stalled'],
  incline: ['moving-off.hill', 'controls.clutch', 'controls.stalled'],
  'hill-park': hillParking,
  'hill-park-up-kerb': hillParking,
  'hill-park-down-kerb': hillParking,
  'hill-park-up': hillParking,
  'hill-park-down': hillParking,
  'final-park': ['stopping.place', 'stopping.securing', 'controls.parking-brake'],
  'quick-stop': ['emergency-stop.reaction', 'emergency-stop.control', 'emergency-stop.moving-on'],
  'forward-park': ['yard.obstacle', 'stopping.place', 'controls.steering'],
};

/** The exercises, each with the items of these categories that it can bring. */
export function withItems(categories: readonly Category[], exercises: readonly Exercise[]): readonly Exercise[] {
  const items = categories.flatMap((category) => category.items);
  return exercises.map((exercise) => {
    const found = (shows[exercise.code] ?? []).flatMap((behaviour) =>
      items.filter((item) => item.behaviour === behaviour && item.exercise === undefined).map(({ code }) => code),
    );
    return found.length > 0 ? { ...exercise, items: found } : exercise;
  });
}
