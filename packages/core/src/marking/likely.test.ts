import type { EventBody } from '../drive/event';
import { foldDrive } from '../drive/fold';
import { fullTest, logOf, start } from '../drive/testing';
import { countItems, itemsOfExercise, likelyItems } from './likely';
import { tally, templates } from './testing-standards';

const mark = (item: string, grade = 'driving') => ({ type: 'mark', item, grade }) as const;

describe('what is likely now', () => {
  const past = [fullTest([mark('roundabouts.lane'), mark('roundabouts.lane')]), fullTest([mark('signs.amber')])].map(
    (log) => countItems(foldDrive(log)),
  );

  it('ranks by the learner’s past, the last drive first, and fills up with the usual', () => {
    const now = foldDrive(fullTest([]));
    const items = likelyItems(tally, past, now, 6);
    expect(items).toHaveLength(6);
    expect(items[0]).toEqual({ item: 'roundabouts.lane', inLastDrive: 0, fits: false });
    expect(items[1]).toEqual({ item: 'signs.amber', inLastDrive: 1, fits: false });
    expect(new Set(items.map((entry) => entry.item)).size).toBe(6);
  });

  it('rises with what happens on this drive', () => {
    const now = foldDrive(fullTest([mark('controls.gears'), mark('controls.gears')]));
    expect(likelyItems(tally, past, now, 6)[0]?.item).toBe('controls.gears');
  });

  const during = (...bodies: readonly EventBody[]) =>
    foldDrive(logOf([[0, start()], ...bodies.map((body, i) => [i + 1, body] as const)]));

  it('puts what the exercise under way can bring before everything else', () => {
    const now = during({ type: 'section', section: 'exercise', exercise: 'emergency-stop' });
    const items = likelyItems(tally, past, now, 6);
    expect(items.slice(0, 4).map(({ item }) => item)).toEqual([
      'emergency-stop.reaction',
      'emergency-stop.control',
      'emergency-stop.footwork',
      'emergency-stop.moving-on',
    ]);
    expect(items.map(({ fits }) => fits)).toEqual([true, true, true, true, false, false]);
  });

  it('orders what the exercise can bring by the learner’s past', () => {
    const now = during({ type: 'section', section: 'exercise', exercise: 'bay' });
    const shunted = countItems(foldDrive(fullTest([mark('reversing.shunt')])));
    expect(likelyItems(tally, [shunted], now, 3)[0]?.item).toBe('reversing.shunt');
  });

  it('weighs what independent driving shows, while it lasts', () => {
    const on = during({ type: 'section', section: 'independent' });
    const over = during({ type: 'section', section: 'independent' }, { type: 'section', section: 'guided' });
    expect(likelyItems(tally, [], on, 3).every(({ fits }) => fits)).toBe(true);
    expect(likelyItems(tally, [], over, 3).some(({ fits }) => fits)).toBe(false);
  });

  it('knows the items of an exercise that has its own category', () => {
    const yard = templates.find(({ id }) => id === 'timed-yard')!;
    expect(itemsOfExercise(yard, 'slope')).toContain('slope.roll-back');
  });

  it.each(templates)('finds for $id something that every exercise can bring', (standard) => {
    for (const { code } of standard.exercises) expect(itemsOfExercise(standard, code)).not.toEqual([]);
  });

  it('are those of the standard in turn where it has none of the usual ones', () => {
    const few = templates.find(({ id }) => id === 'reversing-area')!;
    const now = foldDrive(logOf([[0, start('reversing-area')]]));
    const items = likelyItems(few, [], now, 7).map(({ item }) => item);
    expect(items).toHaveLength(7);
    expect(new Set(items).size).toBe(7);
    expect(items[0]).toBe(few.categories[0]!.items[0]!.code);
    expect(items[1]).toBe(few.categories[1]!.items[0]!.code);
  });
});
