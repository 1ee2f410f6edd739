import type { SessionView } from '@jasperwren/contract/accounts';
import type { EventBody } from '@jasperwren/core/drive/event';
import { foldDrive } from '@jasperwren/core/drive/fold';
import { exerciseBegins as begin, exerciseEnds as end, logOf, start } from '@jasperwren/core/drive/testing';
import { judgeDrive } from '@jasperwren/core/marking/judge';
import { attemptsYard, reversingArea, timedYard } from '@jasperwren/core/marking/testing-standards';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { courseSheet, nextExercises } from '@jasperwren/core/yard/course-sheet';
import { configureStore } from '@reduxjs/toolkit';
import { renderToStaticMarkup } from 'react-dom/server';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { SignedIn } from '../../base/signed-in';
import { settingsSlice } from '../../base/settings';
import type { DeskActions } from '../desk/desk-actions';
import { deskReducer } from '../desk/desk-slice';
import { BeforeExercise } from './BeforeExercise';
import { CourseList } from './CourseList';
import { ExerciseConsole } from './ExerciseConsole';
import { FaultTiles } from './FaultTiles';
import { LeaveCar } from './LeaveCar';
import { tileKeys } from './tile-keys';

jest.mock('../../ui/GradeSign', () => ({ GradeSign: ({ sign }: { readonly sign: string }) => <i>[{sign}]</i> }));

const store = configureStore({
  reducer: { desk: deskReducer, settings: settingsSlice.reducer, voice: () => ({ agreed: {}, kept: {} }) },
});
const actions = { running: true, canMark: true } as DeskActions;
const stopped = { running: false, canMark: false } as DeskActions;

const ada = { account: { id: 'ada', name: 'Ada' } } as SessionView;
const html = (what: ReactNode) =>
  renderToStaticMarkup(
    <Provider store={store}>
      <SignedIn value={ada}>{what}</SignedIn>
    </Provider>,
  );
const words = (markup: string) =>
  markup
    .replaceAll(/<style.*?<\/style>/g, '')
    .replaceAll(/<(\/?)(li|h2|h3|p|button|figure|section)[^>]*>/g, ' | ')
    .replaceAll(/<[^>]+>/g, ' ')
    .replaceAll(/\s+/g, ' ')
    .replaceAll(/( ?\| )+/g, ' | ');

type Timed = readonly [seconds: number, body: EventBody];

/** What the console knows at a moment of a log, so many seconds after the start. */
function at(standard: EffectiveStandard, log: readonly Timed[], nowS: number) {
  const drive = foldDrive(
    logOf([[0, start(standard.id)], ...log.map(([seconds, body]) => [seconds / 60, body] as const)]),
  );
  const verdict = judgeDrive(standard, drive, nowS * 1000);
  const sheets = courseSheet(standard, drive, verdict, nowS * 1000);
  const under = sheets.find(({ state }) => state === 'now')!;
  return { standard, drive, verdict, sheets, under, next: nextExercises(standard, drive, verdict) };
}

const console = (state: ReturnType<typeof at>, own = actions) =>
  html(
    <ExerciseConsole
      standard={state.standard}
      drive={state.drive}
      verdict={state.verdict}
      sheet={state.under}
      actions={own}
    />,
  );

describe('the exercise under way', () => {
  it('shows its time, what it allows and what comes next', () => {
    const shown = words(console(at(timedYard, [[5, begin('slope')]], 47)));
    expect(shown).toContain('Slope');
    expect(shown).toMatch(/0:42.*of 1:30/);
    expect(shown).toContain('Then: Emergency brake');
    expect(shown).not.toMatch(/left \||Over time/);
  });

  it('warns fifteen seconds before its time is up, and says when it is', () => {
    const begun: readonly Timed[] = [[0, begin('slope')]];
    expect(words(console(at(timedYard, begun, 74)))).not.toContain('seconds left');
    expect(words(console(at(timedYard, begun, 76)))).toContain('14 seconds left');
    expect(words(console(at(timedYard, begun, 89)))).toContain('1 second left');
    const late = console(at(timedYard, begun, 91));
    expect(words(late)).toContain('Over time');
    // At once, and without anything being touched.
    expect(late).toMatch(/role="alert"/);
    expect(words(late)).toContain('This exercise is failed, 1:30.');
  });

  it('adds up demerits, and says what failed it', () => {
    const demerit = (seconds: number): Timed => [seconds, { type: 'mark', item: 'garage-bay.dry', grade: 'demerit' }];
    const five = at(timedYard, [[0, begin('garage-bay')], ...[1, 2, 3, 4, 5].map(demerit)], 6);
    expect(words(console(five))).toContain('Demerits in one exercise 5 of 5');
    expect(console(five)).not.toMatch(/role="alert"/);
    const six = at(timedYard, [[0, begin('garage-bay')], ...[1, 2, 3, 4, 5, 6].map(demerit)], 7);
    expect(words(console(six))).toMatch(/This exercise is failed, 0:06.*6 of 5/);
    expect(console(six)).toMatch(/data-over="true"/);
  });

  it('counts movements where the car goes to and fro, and only then', () => {
    expect(words(console(at(timedYard, [[0, begin('parallel-bay')]], 1)))).toContain('Movements 0');
    expect(words(console(at(timedYard, [[0, begin('slope')]], 1)))).not.toContain('Movements');
    const moved: readonly Timed[] = [
      [0, begin('parallel-left')],
      [2, { type: 'step', step: 'movement' }],
      [3, { type: 'step', step: 'movement' }],
    ];
    expect(words(console(at(attemptsYard, moved, 4)))).toContain('Movements 2 of 3');
  });

  it('counts looks from outside where they are limited', () => {
    const [exercise] = reversingArea.exercises;
    const looked: readonly Timed[] = [
      [0, begin(exercise!.code)],
      [2, { type: 'step', step: 'look' }],
    ];
    expect(words(console(at(reversingArea, looked, 4)))).toMatch(/Looks from outside 1 of \d/);
  });

  it('says which attempt it is, that one failed, and whether another is left', () => {
    const fail: EventBody = { type: 'attempt', result: 'failed' };
    const first: readonly Timed[] = [
      [0, begin('alley-left')],
      [5, fail],
    ];
    const shown = words(console(at(attemptsYard, first, 6)));
    expect(shown).toContain('Attempt 1 of 2');
    expect(shown).toContain('This attempt failed, 0:05.');
    expect(shown).toContain('1 attempt left.');
    const second = words(console(at(attemptsYard, [...first, [7, end], [8, begin('alley-left')], [9, fail]], 10)));
    expect(second).toContain('Attempt 2 of 2');
    expect(second).toContain('This exercise is failed');
    expect(second).not.toContain('1 attempt left.');
  });

  it('shows each look as still to come, seen or missed', () => {
    const look = timedYard.exercises.find(({ code }) => code === 'slope')!.looks![0]!;
    const state = (...log: readonly Timed[]) =>
      /data-look="([^"]+)"/.exec(console(at(timedYard, [[0, begin('slope')], ...log], 9)))?.[1];
    expect(state()).toBe('to-come');
    expect(state([2, { type: 'look', look: look.code }])).toBe('seen');
    expect(state([2, { type: 'mark', item: look.item, grade: 'demerit', look: look.code }])).toBe('missed');
  });

  it('takes nothing while the test does not run', () => {
    const buttons = console(at(timedYard, [[0, begin('garage-bay')]], 1), stopped).match(/<button[^>]*>/g) ?? [];
    expect(buttons.length).toBeGreaterThan(2);
    for (const button of buttons) expect(button).toContain('disabled');
  });
});

describe('before an exercise', () => {
  const before = (state: ReturnType<typeof at>, branches = state.next) =>
    words(
      html(
        <BeforeExercise
          standard={state.standard}
          sheet={state.sheets.find(({ exercise }) => exercise.code === state.next[0]!.code)!}
          branches={branches}
          actions={actions}
        />,
      ),
    );

  it('stands what to read aloud, how long it may take and what starts its timer', () => {
    const shown = before(at(timedYard, [], 0));
    expect(shown).toContain('Next: Slope');
    expect(shown).toContain('1:30 allowed');
    expect(shown).toMatch(/Read aloud.*Please drive onto the slope/);
    expect(shown).toContain('Start the timer on the slope');
    expect(shown).toMatch(/Ends when .*\./);
    expect(shown).toContain('Repeat of an exercise failed on an earlier test');
    expect(shown).not.toContain('Next, one of these');
  });

  it('stands its side and which attempt comes, without a timer where there is no limit', () => {
    const shown = before(at(attemptsYard, [], 0));
    expect(shown).toContain('left side, Attempt 1 of 2');
    expect(shown).not.toContain('allowed');
    const failed: readonly Timed[] = [
      [0, begin('alley-left')],
      [5, { type: 'attempt', result: 'failed' }],
      [6, end],
    ];
    expect(before(at(attemptsYard, failed, 7))).toContain('Again: Alley dock left');
  });

  it('offers the branches of which one comes next', () => {
    const forked = {
      ...timedYard,
      exercises: timedYard.exercises.map((one) =>
        one.code === 'slope' ? { ...one, next: ['garage-bay', 'parallel-bay'] } : one,
      ),
    } as EffectiveStandard;
    const shown = before(
      at(
        forked,
        [
          [0, begin('slope')],
          [5, end],
        ],
        6,
      ),
    );
    expect(shown).toMatch(/Next: Garage bay.*Garage bay at 90 degrees \| Parallel bay/);
  });
});

it('lists the course with what became of each exercise', () => {
  const { sheets } = at(
    timedYard,
    [
      [0, begin('slope')],
      [95, end],
      [100, begin('brake')],
      [120, end],
      [130, begin('angle-bay')],
    ],
    140,
  );
  const shown = words(
    html(
      <CourseList sheets={sheets} shown="angle-bay" choosable={false}>
        {null}
      </CourseList>,
    ),
  );
  expect(shown).toContain('Slope failed, 1:35 of 1:30');
  expect(shown).toContain('Emergency brake done, 0:20 of 1:30');
  expect(shown).toContain('Angle bay at 60 degrees now, 0:10 of 2:00');
  expect(shown).toContain('Garage bay at 90 degrees still to come, 3:00');
});

describe('leaving the car', () => {
  const leaving = (log: readonly Timed[]) => {
    const { drive } = at(timedYard, log, 10);
    return words(html(<LeaveCar standard={timedYard} drive={drive} actions={actions} />));
  };

  it('names the order of the school, and asks whether it was kept', () => {
    const shown = leaving([]);
    const places = ['Parking brake', 'Neutral', 'Belt', 'Door'].map((step) =>
      shown.toLowerCase().indexOf(step.toLowerCase()),
    );
    expect(places.every((place) => place >= 0)).toBe(true);
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect(shown).toMatch(/In this order \| In another order/);
  });

  it('asks no more once it was marked', () => {
    const marked = leaving([[1, { type: 'mark', item: 'whole.finish', grade: 'demerit' }]]);
    expect(marked).toContain('Recorded. End the test when you are ready.');
    expect(marked).not.toContain('In another order');
  });
});

describe('the faults', () => {
  const slope = timedYard.exercises[0];
  const tiles = (log: readonly Timed[], exercise = slope, own = actions) => {
    const { drive } = at(timedYard, log, 10);
    return html(
      <FaultTiles
        driveId="d"
        standard={timedYard}
        drive={drive}
        exercise={exercise}
        settling={undefined}
        actions={own}
      />,
    );
  };

  it('of the exercise stand first, then those of anywhere in the yard, each once', () => {
    const shown = words(tiles([]));
    expect(shown.indexOf('Rolled back')).toBeLessThan(shown.indexOf('Anywhere in the yard'));
    expect(shown.match(/Engine stopped/g)).toHaveLength(1);
    // The order of leaving the car is asked for at the end.
    expect(shown).not.toContain('order');
  });

  it('carry the sign of each fault that stands', () => {
    const look = { type: 'mark', item: 'slope.look', grade: 'demerit' } as const;
    expect(words(tiles([]))).not.toContain('[counted]');
    expect(words(tiles([[1, look]])).match(/\[counted\]/g)).toHaveLength(1);
    expect(words(tiles([1, 2, 3, 4, 5].map((s) => [s, look])))).toMatch(/(\[counted\] ){3}5/);
  });

  it('are shut while nothing may be marked', () => {
    for (const tile of tiles([], slope, stopped).match(/<button[^>]*>/g) ?? [])
      if (!tile.includes('undo')) expect(tile.includes('disabled') || !tile.includes('data-sign')).toBe(true);
  });

  it('have one key each, the first that wants it', () => {
    const item = (code: string, letter: string) => ({ code, letter, name: code, behaviour: '' });
    expect([...tileKeys([item('a', 'X'), item('b', 'Y'), item('c', 'X')])]).toEqual([
      ['a', 'X'],
      ['b', 'Y'],
    ]);
  });
});

it('lists an exercise whose last attempt failed as open until it is repeated', () => {
  const failed: readonly Timed[] = [
    [0, begin('alley-left')],
    [20, { type: 'attempt', result: 'failed' }],
    [30, end],
  ];
  const shown = (log: readonly Timed[]) =>
    words(
      html(
        <CourseList sheets={at(attemptsYard, log, 60).sheets} shown={undefined} choosable>
          {null}
        </CourseList>,
      ),
    );
  expect(shown(failed)).toContain('Alley dock left attempt failed, 0:30');
  expect(shown([...failed, [40, begin('alley-left')], [55, end]])).toContain('Alley dock left done, 0:15');
});
