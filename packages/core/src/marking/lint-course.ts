import type { Item, SensorSign, Standard } from './standard';

type Add = (path: string, cause: string) => void;

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
  const noItem = (code: string) => `The standard has no item "${code}".`;
  const exercises = new Set(standard.exercises.map(({ code }) => code));
  standard.exercises.forEach(({ looks, next, name, code: own }, e) => {
    looks?.forEach(({ code, item }, l) => {
      const path = `/exercises/${e}/looks/${l}`;
      if (!items.has(item)) add(`${path}/item`, noItem(item));
      if (looks.findIndex((look) => look.code === code) < l)
        add(`${path}/code`, `There are two looks with the code "${code}".`);
    });
    next?.forEach((code, n) => {
      const path = `/exercises/${e}/next/${n}`;
      if (!exercises.has(code)) add(path, `The standard has no exercise "${code}".`);
      else if (code === own) add(path, `${name} cannot come after itself.`);
    });
  });
  const { leaving } = standard.course ?? {};
  if (leaving && !items.has(leaving.item)) add('/course/leaving/item', noItem(leaving.item));
  if (standard.course && exercises.size === 0) add('/course', 'A course needs at least one exercise.');
  standard.categories.forEach((category, c) =>
    category.items.forEach((item, i) =>
      checkSensors(item, (at, cause) => add(`/categories/${c}/items/${i}${at}`, cause)),
    ),
  );
}

function checkSensors({ name, measured, sensors = [] }: Item, add: Add): void {
  sensors.forEach((sign, s) => {
    const unit = unitsOfSigns[sign];
    if (unit !== undefined && measured?.unit !== unit)
      add(`/sensors/${s}`, `${name}: sensors measure this in ${unit}, so the item needs values in ${unit}.`);
  });
  if (sensors.filter((sign) => unitsOfSigns[sign] !== undefined).length > 1)
    add('/sensors', `${name}: an item can be measured in one way only.`);
}
