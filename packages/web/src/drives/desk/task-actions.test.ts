import type { EventBody } from '@jasperwren/core/drive/event';
import { exerciseRuns } from '@jasperwren/core/drive/clock';
import { foldDrive } from '@jasperwren/core/drive/fold';
import { logOf, start } from '@jasperwren/core/drive/testing';
import { askedOn } from '@jasperwren/core/marking/asked';
import { graded, tally, timedYard } from '@jasperwren/core/marking/testing-standards';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { configureStore } from '@reduxjs/toolkit';
import { boardSwitched, deskReducer, exerciseChosen, itemChosen, panelOpened, settlingChosen } from './desk-slice';
import { taskActions } from './task-actions';

let nowMs = 0;
const makeStore = () => configureStore({ reducer: { desk: deskReducer } });
let store: ReturnType<typeof makeStore>;

jest.mock('../../base/store', () => ({
  addSlice: () => undefined,
  store: { getState: () => store.getState() },
}));
jest.mock('../log/drive-clock', () => ({ driveNowMs: () => nowMs }));

/** A desk without a screen: what is written becomes the log, what is told is kept. */
function desk(standard: EffectiveStandard = tally, running = true) {
  store = makeStore();
  nowMs = 0;
  const bodies: (readonly [number, EventBody])[] = [[0, start()]];
  const told: string[] = [];
  const driveNow = () => foldDrive(logOf(bodies));
  const write = (body: EventBody) => {
    bodies.push([nowMs / 60_000, body]);
    return Promise.resolve(logOf(bodies).at(-1));
  };
  const actions = taskActions({
    driveId: 'd',
    standard,
    running,
    write,
    tell: (text) => told.push(text),
    driveNow,
    dispatch: store.dispatch as never,
  });
  return {
    actions,
    told,
    driveNow,
    write,
    written: () => bodies.slice(1).map(([, body]) => body),
    panel: () => store.getState().desk.panel,
  };
}

describe('an exercise on the desk', () => {
  it('has an attempt fail by a touch, and another one begun', () => {
    const { actions, driveNow, told } = desk();
    nowMs = 60_000;
    actions.startExercise('bay', 'Bay park', false);
    nowMs = 90_000;
    actions.failAttempt('Bay park');
    nowMs = 120_000;
    actions.startExercise('bay', 'Bay park', false);
    expect(exerciseRuns(driveNow(), nowMs).map(({ failedAtMs }) => failedAtMs)).toEqual([90_000, undefined]);
    expect(told).toContain('Bay park: attempt failed at 1:30');
  });

  it('on the road is ended by the key that ends one in a yard, which begins none there', () => {
    const { actions, driveNow } = desk();
    nowMs = 60_000;
    actions.startExercise('bay', 'Bay park', false);
    nowMs = 120_000;
    actions.nextOrEndExercise();
    actions.nextOrEndExercise();
    expect(driveNow().spans.map(({ section, exercise }) => exercise ?? section)).toEqual(['guided', 'bay', 'guided']);
  });

  it('begins, counts what belongs to it, and leads back to the section it came from', () => {
    const { actions, driveNow, told } = desk();
    nowMs = 60_000;
    actions.startExercise('bay', 'Bay park', false);
    nowMs = 90_000;
    expect(actions.countInExercise('shunt')).toBe(true);
    nowMs = 120_000;
    actions.finishExercise('Bay park');
    expect(driveNow().spans.map(({ section, exercise }) => exercise ?? section)).toEqual(['guided', 'bay', 'guided']);
    expect(driveNow().steps.map(({ step }) => step)).toEqual(['shunt']);
    expect(told).toEqual(['Bay park started at 1:00', 'Shunt at 1:30', 'Bay park ended at 2:00']);
  });

  it('goes back to independent driving where it came from there', async () => {
    const { actions, driveNow, write } = desk();
    nowMs = 1000;
    await write({ type: 'section', section: 'independent' });
    nowMs = 2000;
    actions.startExercise('bay', 'Bay park', true);
    nowMs = 3000;
    actions.finishExercise('Bay park');
    expect(driveNow().spans.map(({ section }) => section)).toEqual([
      'guided',
      'independent',
      'exercise',
      'independent',
    ]);
    expect(driveNow().spans.find(({ exercise }) => exercise)?.retest).toBe(true);
  });

  it('counts nothing of an exercise where none is under way', () => {
    const { actions, written } = desk();
    expect(actions.countInExercise('look')).toBe(false);
    expect(written()).toEqual([]);
  });

  it('does not begin, count or pause once the drive has ended', async () => {
    const { actions, written, told } = desk(tally, false);
    actions.startExercise('bay', 'Bay park', false);
    actions.finishExercise('Bay park');
    actions.count('pull-up');
    await actions.switchPause();
    expect(written()).toEqual([]);
    expect(told).toEqual([]);
  });
});

describe('a question on the desk', () => {
  it('gives the tries of its rule, and marks only the last wrong one', async () => {
    const { actions, told, written, driveNow } = desk();
    const next = () => askedOn(tally, driveNow())[0]!;
    const { item, tries } = next().rule;
    for (let i = 0; i < tries.value; i++) await actions.answer(next(), false, 'tell.oil');
    expect(written().map(({ type }) => type)).toEqual([...Array.from({ length: tries.value }, () => 'answer'), 'mark']);
    expect(written().at(-1)).toMatchObject({ item, grade: 'driving' });
    expect(told.at(-1)).toMatch(/: wrong, driving fault\.$/);
    if (tries.value > 1) expect(told[0]).toMatch(/1 more try\.$/);
  });

  it('answered right brings no mark', async () => {
    const { actions, written, told, driveNow } = desk();
    await actions.answer(askedOn(tally, driveNow())[0]!, true);
    expect(written()).toEqual([{ type: 'answer', item: askedOn(tally, driveNow())[0]!.rule.item, right: true }]);
    expect(told.at(-1)).toMatch(/: right\.$/);
  });

  it('opens where the standard asks some, and says so where it asks none', () => {
    const withQuestions = desk();
    withQuestions.actions.openQuestions();
    expect(withQuestions.panel()).toEqual({ kind: 'questions' });
    const without = desk({ ...graded, questions: [] });
    without.actions.openQuestions();
    expect(without.panel()).toBeUndefined();
    expect(without.told).toEqual([`${graded.name} asks no questions.`]);
  });
});

describe('a pause', () => {
  it('stops the clock at once and asks why afterwards', async () => {
    const { actions, driveNow, panel, told } = desk();
    nowMs = 60_000;
    await actions.switchPause();
    expect(driveNow().phase).toBe('paused');
    expect(panel()).toMatchObject({ kind: 'pause' });
    nowMs = 120_000;
    await actions.switchPause();
    expect(driveNow().phase).toBe('running');
    expect(driveNow().pauses).toEqual([{ fromMs: 60_000, toMs: 120_000 }]);
    expect(panel()).toBeUndefined();
    expect(told).toEqual(['Paused. The timer has stopped.', 'Resumed']);
  });

  it('does not take away what was begun while it was being written', async () => {
    const { actions } = desk();
    const pausing = actions.switchPause();
    store.dispatch(panelOpened({ kind: 'tray' }));
    await pausing;
    expect(store.getState().desk.panel).toEqual({ kind: 'tray' });
    store.dispatch(settlingChosen('p1'));
    const resuming = actions.switchPause();
    store.dispatch(itemChosen('signs.lights'));
    await resuming;
    expect(store.getState().desk).toMatchObject({ settling: 'p1', item: 'signs.lights' });
  });
});

describe('the counters', () => {
  it('say how long a stop was held, in seconds of the drive, and whether that is enough', () => {
    const { actions, told, written } = desk();
    nowMs = 10_000;
    actions.switchCounter('stop');
    nowMs = 12_000;
    actions.switchCounter('stop');
    expect(told).toEqual(['Stop: 2.0 s of 3 s, too short.']);
    actions.switchCounter('signal');
    nowMs = 17_500;
    actions.switchCounter('signal');
    expect(told.at(-1)).toBe('Signal: 5.5 s of 5 s.');
    // A help for the instructor, and no part of the drive.
    expect(written()).toEqual([]);
  });

  it('are one at a time, and the mirrors end in silence', () => {
    const { actions, told } = desk();
    actions.switchCounter('stop');
    actions.switchCounter('mirrors');
    expect(store.getState().desk.counter?.kind).toBe('mirrors');
    actions.switchCounter('mirrors');
    expect(store.getState().desk.counter).toBeUndefined();
    expect(told).toEqual([]);
  });
});

describe('words', () => {
  it('are noted at their moment, about an event where one is meant', () => {
    const { actions, driveNow } = desk();
    nowMs = 61_000;
    actions.note('Rain');
    actions.note('It was the sun', 'e1');
    expect(driveNow().notes.map(({ text, target, atMs }) => [text, target, atMs])).toEqual([
      ['Rain', undefined, 61_000],
      ['It was the sun', 'e1', 61_000],
    ]);
    expect(store.getState().desk.receipt).toBe('Note saved at 1:01');
  });

  it('about the roads hold the last that was said', () => {
    const { actions, driveNow } = desk();
    actions.sayRoads('known');
    nowMs = 1000;
    actions.sayRoads('new');
    expect(driveNow().familiarity).toBe('new');
  });
});

describe('a course on the desk', () => {
  it('starts the exercise that is next by a key and ends it by the same', () => {
    const { actions, written, driveNow } = desk(timedYard);
    expect(actions.exerciseInHand()).toBe('slope');
    actions.nextOrEndExercise();
    nowMs = 60_000;
    expect(actions.exerciseInHand()).toBe('slope');
    actions.nextOrEndExercise();
    expect(actions.exerciseInHand()).toBe('brake');
    expect(written()).toEqual([
      { type: 'section', section: 'exercise', exercise: 'slope' },
      { type: 'section', section: 'guided' },
    ]);
    expect(exerciseRuns(driveNow(), nowMs)).toMatchObject([{ exercise: 'slope', timeMs: 60_000 }]);
  });

  it('starts the one that was chosen, and has none at hand where all faults are shown or there is no course', () => {
    const { actions } = desk(timedYard);
    store.dispatch(exerciseChosen('garage-bay'));
    expect(actions.exerciseInHand()).toBe('garage-bay');
    actions.nextOrEndExercise();
    nowMs = 1000;
    expect(actions.exerciseInHand()).toBe('garage-bay');
    expect(store.getState().desk.exercise).toBeUndefined();
    store.dispatch(boardSwitched());
    expect(actions.exerciseInHand()).toBeUndefined();
    expect(desk(tally).actions.exerciseInHand()).toBeUndefined();
  });

  it('notes a look that was seen, and the sensors that are read', () => {
    const { actions, written, told } = desk(timedYard);
    actions.seeLook('shoulder', 'Over the left shoulder');
    actions.readSensors({ run: 'r1', car: 'Car 3', clockMs: 1200 });
    expect(written()).toEqual([
      { type: 'look', look: 'shoulder' },
      { type: 'run', run: 'r1', car: 'Car 3', clockMs: 1200 },
    ]);
    expect(told).toEqual(['Over the left shoulder: seen, 0:00.', 'Sensors of Car 3 are read from 0:00.']);
    const still = desk(timedYard, false);
    still.actions.seeLook('shoulder', 'Over the left shoulder');
    still.actions.readSensors({ run: 'r1', car: 'Car 3', clockMs: 0 });
    expect(still.written()).toEqual([]);
  });
});
