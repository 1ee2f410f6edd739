import { noSuch, type Add } from './problem';
import type { Item, SensorSign, Standard } from '../standard';

/** What is measured for each sign that is a value and not a yes or no. */
const unitsOfSigns: Readonly<Partial<Record<SensorSign, string>>> = {
  'roll-back': 'cm',
  revs: 'rpm',
  speed: 'km/h',
  'tone-speed': 'km/h',
};

/** What contradicts itself in the course of a standard: its order, looks, the leaving of the car, what sensors tell. */
export function checkCourse(standard: Standard, add: Add): void {
  const items = new Map(standard.categories.flatMap((category) => category.items.map((item) => [item.code, item])));
  const exercises = new Set(standard.exercises.map(({ code }) => code));
  standard.exercises.forEach(({ looks, next, name, code: own }, e) => {
    looks?.forEach(({ code, item }, l) => {
      const path = `/exercises/${e}/looks/${l}`;
      if (!items.has(item)) add(`${path}/item`, noSuch('item', item));
      if (looks.findIndex((look) => look.code === code) < l)
        add(`${path}/code`, { code: 'twice', list: 'looks', field: 'code', value: code });
    });
    next?.forEach((code, n) => {
      const path = `/exercises/${e}/next/${n}`;
      if (!exercises.has(code)) add(path, noSuch('exercise', code));
      else if (code === own) add(path, { code: 'afterItself', exercise: name });
    });
  });
  const { leaving } = standard.course ?? {};
  if (leaving && !items.has(leaving.item)) add('/course/leaving/item', noSuch('item', leaving.item));
  if (standard.course && exercises.size === 0) add('/course', { code: 'courseWithoutExercise' });
  standard.categories.forEach((category, c) =>
    category.items.forEach((item, i) =>
      checkSensors(item, (at, text) => add(`/categories/${c}/items/${i}${at}`, text)),
    ),
  );
}

function checkSensors({ name, measured, sensors = [] }: Item, add: Add): void {
  sensors.forEach((sign, s) => {
    const unit = unitsOfSigns[sign];
    if (unit !== undefined && measured?.unit !== unit) add(`/sensors/${s}`, { code: 'otherUnit', item: name, unit });
  });
  if (sensors.filter((sign) => unitsOfSigns[sign] !== undefined).length > 1)
    add('/sensors', { code: 'measuredTwice', item: name });
}
