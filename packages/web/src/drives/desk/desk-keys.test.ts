import { itemsOfExercise } from '@jasperwren/core/marking/likely';
import { graded, tally, timedYard } from '@jasperwren/core/marking/testing-standards';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { gradesOf, rulesOf } from '@jasperwren/core/marking/rules';
import { configureStore } from '@reduxjs/toolkit';
import { commandKeys, deskKeys } from './desk-keys';
import { deskReducer, panelOpened, type DeskPanel } from './desk-slice';

jest.mock('../../base/store', () => ({ addSlice: () => undefined }));

/** A desk that notes what is asked of it. */
function desk(standard: EffectiveStandard = tally, inExercise = false, inHand?: string) {
  const store = configureStore({ reducer: { desk: deskReducer } });
  const asked: unknown[] = [];
  const actions = new Proxy({} as never, {
    get:
      (_, name: string) =>
      (...args: readonly unknown[]) => {
        asked.push([name, ...args]);
        return name === 'countInExercise' ? inExercise : name === 'exerciseInHand' ? inHand : undefined;
      },
  });
  const take = deskKeys(standard, actions, store.dispatch as never, () => store.getState().desk);
  return {
    store,
    press: (keys: readonly string[], onControl = false) => keys.map((key) => take(key, onControl)),
    asked: () => asked.filter((one) => !['countInExercise', 'exerciseInHand'].includes((one as string[])[0]!)),
    counted: () => asked.filter((one) => (one as string[])[0] === 'countInExercise').map((one) => (one as string[])[1]),
    said: () => store.getState().desk.receipt,
  };
}

describe('marking by keyboard', () => {
  it.each([tally, graded])('reaches every item of $name in every grade it has, by three keys', (standard) => {
    for (const category of standard.categories)
      for (const item of category.items)
        for (const grade of gradesOf(standard, item)) {
          const { press, asked } = desk(standard);
          press([category.letter, item.letter, String(standard.grades.indexOf(grade) + 1)]);
          expect(asked()).toEqual([['mark', item.code, grade.code]]);
        }
  });

  it('begins anew with a letter that the category at hand does not have, so that a slip costs no fault after it', () => {
    const { press, asked, said } = desk();
    // S is a category, X is no item of it and a category, Z is neither.
    press(['s', 'x', 'j', 'o', '1']);
    expect(asked()).toEqual([['mark', 'junctions.observation', 'driving']]);
    const lost = desk();
    lost.press(['s', 'z']);
    expect([lost.asked(), lost.said()]).toEqual([[], 'No Z in Set-up.']);
    expect(said()).not.toBe('No X in Set-up.');
  });

  it('marks every fault of an exercise on a course by one key, but for those that are measured', () => {
    const { items } = rulesOf(timedYard);
    for (const { code } of timedYard.exercises)
      for (const itemCode of itemsOfExercise(timedYard, code)) {
        const { item } = items.get(itemCode)!;
        const { press, asked, store } = desk(timedYard, false, code);
        press([item.letter]);
        if (item.measured) expect(store.getState().desk.panel).toEqual({ kind: 'measure', item: itemCode });
        else if (item.grades?.length === 1) expect(asked()).toEqual([['mark', itemCode, item.grades[0]]]);
        else {
          press(['1']);
          expect(asked()).toEqual([['mark', itemCode, timedYard.grades[0]!.code]]);
        }
      }
    const { press, asked, said } = desk(timedYard, false, 'slope');
    press(['z']);
    expect([asked(), said()]).toEqual([[], 'No Z in Slope.']);
  });

  it('takes capitals and small letters alike', () => {
    const { press, asked } = desk();
    press(['j', 'o', '1']);
    const other = desk();
    other.press(['J', 'O', '1']);
    expect(asked()).toEqual(other.asked());
    expect(asked()).toHaveLength(1);
  });

  it('says what a key does not lead to, and marks nothing', () => {
    const first = desk();
    first.press(['1']);
    expect(first.said()).toBe('Choose an area and a fault first.');
    first.press(['j', '#', 'z']);
    expect(first.said()).toBe('No Z in Junctions.');
    first.press(['o', '9']);
    expect(first.said()).toMatch(/has no grade 9\.$/);
    expect(first.asked()).toEqual([]);
  });

  it('begins anew with a letter once an item is chosen', () => {
    const { press, store } = desk();
    press(['j', 'o', 'p']);
    expect(store.getState().desk).toMatchObject({
      category: tally.categories.find(({ letter }) => letter === 'P')!.code,
    });
    expect(store.getState().desk.item).toBeUndefined();
  });
});

describe('the commands', () => {
  it('are each asked for by their key, and by no letter or digit', () => {
    const commands = Object.values(commandKeys).filter(({ key }) => !['Escape', '?'].includes(key));
    for (const { key } of commands) {
      const { press, asked } = desk();
      expect([key, ...press([key])]).toEqual([key, true]);
      expect([key, asked().length]).toEqual([key, 1]);
      expect(key).not.toMatch(/^[a-z1-9]$/i);
    }
    expect(new Set(Object.values(commandKeys).map(({ key }) => key)).size).toBe(Object.keys(commandKeys).length);
  });

  it('leave the space bar to a button of a panel that has the focus', () => {
    const { press, asked, store } = desk();
    store.dispatch(panelOpened({ kind: 'end' }));
    expect(press([' '], true)).toEqual([false]);
    expect(press([' '], false)).toEqual([true]);
    expect(asked()).toEqual([['pin']]);
  });

  it('count by the arrows within an exercise, and leave them to the page outside', () => {
    const arrows = ['ArrowUp', 'ArrowDown', 'ArrowRight', 'ArrowLeft'];
    const within = desk(tally, true);
    expect(within.press(arrows)).toEqual([true, true, true, true]);
    expect(within.counted()).toEqual(['movement', 'shunt', 'correction', 'look']);
    expect(desk(tally, false).press(arrows)).toEqual([false, false, false, false]);
  });

  it('leave every other key alone', () => {
    const { press, asked } = desk();
    expect(press(['Tab', 'F5', 'Enter', 'Shift', '#', 'é'])).toEqual([false, false, false, false, false, false]);
    expect(asked()).toEqual([]);
  });
});

describe('while a panel asks for something', () => {
  const all = [
    ...Object.values(commandKeys).map(({ key }) => key),
    ...'abcdefghijklmnopqrstuvwxyz0123456789.,',
    'Enter',
    'ArrowUp',
    'Tab',
  ];
  const through = ['Escape', ' ', ',', '.'];
  it.each([
    [{ kind: 'measure', item: 'slope.roll-back' }, ['Escape']],
    [{ kind: 'note' }, through],
    [{ kind: 'drop-pin', pinId: 'p' }, through],
  ] as const)('no key passes through it but those it lets: %j', (panel, passed) => {
    for (const standard of [tally, timedYard])
      for (const key of all) {
        const { store, press, asked } = desk(standard, true, standard === timedYard ? 'slope' : undefined);
        store.dispatch(panelOpened(panel));
        const [taken] = press([key]);
        expect([key, taken]).toEqual([key, (passed as readonly string[]).includes(key)]);
        if (!taken) expect([key, asked(), store.getState().desk.panel]).toEqual([key, [], panel]);
      }
  });

  const others: readonly DeskPanel[] = Object.values({
    mark: { kind: 'mark', markId: 'm' },
    advise: { kind: 'advise', markId: 'm' },
    help: { kind: 'help', helpId: 'h' },
    pause: { kind: 'pause', pauseId: 'p' },
    more: { kind: 'more' },
    questions: { kind: 'questions' },
    trace: { kind: 'trace' },
    voice: { kind: 'voice' },
    sensors: { kind: 'sensors' },
    tray: { kind: 'tray' },
    end: { kind: 'end' },
    keys: { kind: 'keys' },
  } satisfies {
    readonly [K in Exclude<DeskPanel['kind'], 'measure' | 'note' | 'drop-pin'>]: DeskPanel & { readonly kind: K };
  });

  it.each(others)('every key means the same in every other panel as on the desk: $kind', (panel) => {
    for (const standard of [tally, timedYard])
      for (const key of all) {
        const inHand = standard === timedYard ? 'slope' : undefined;
        const [open, bare] = [desk(standard, true, inHand), desk(standard, true, inHand)];
        open.store.dispatch(panelOpened(panel));
        // Back closes the panel; from the desk itself there is nowhere to go.
        if (key === commandKeys.back.key) {
          open.press([key]);
          expect(open.store.getState().desk.panel).toBeUndefined();
        } else {
          expect([key, open.press([key])]).toEqual([key, bare.press([key])]);
          expect([key, open.asked(), open.counted()]).toEqual([key, bare.asked(), bare.counted()]);
          expect(open.store.getState().desk.category).toBe(bare.store.getState().desk.category);
        }
      }
  });
});
