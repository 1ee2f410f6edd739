import type { Why } from '@jasperwren/core/drive/why';
import { t } from '@jasperwren/words/desk';
import { counterTargetS, readCounter, type CounterKind } from '@jasperwren/core/drive/counter';
import { currentSpan } from '@jasperwren/core/drive/clock';
import type { Drive } from '@jasperwren/core/drive/drive';
import { nextExercises } from '@jasperwren/core/yard/course-sheet';
import type {
  DriveEvent,
  EventBody,
  ExerciseStepKind,
  Familiarity,
  SectionKind,
  StepKind,
} from '@jasperwren/core/drive/event';
import { isLastTry, usualGrade, type Asked } from '@jasperwren/core/marking/asked';
import { judgeDrive } from '@jasperwren/core/marking/judge';
import { isChosen } from '@jasperwren/core/marking/options';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { AppDispatch } from '../../base/store';
import { store } from '../../base/store';
import { clockTime } from '../../ui/format';
import { driveNowMs } from '../log/drive-clock';
import { counterChanged, done, exerciseChosen, panelOpened, stepBack } from './desk-slice';

interface Tools {
  readonly driveId: string;
  readonly standard: EffectiveStandard;
  readonly running: boolean;
  readonly write: (body: EventBody) => Promise<DriveEvent | undefined>;
  readonly tell: (text: string) => void;
  readonly driveNow: () => Drive;
  readonly dispatch: AppDispatch;
}

const counterNames: Readonly<Record<CounterKind, string>> = {
  stop: t('stop'),
  signal: t('signal'),
  mirrors: t('mirrors'),
};

const stepWords: Readonly<Record<StepKind, string>> = {
  movement: t('movement'),
  shunt: t('shunt'),
  correction: t('correction'),
  look: t('lookFromOutside'),
  'pull-up': t('pulledUp'),
  'move-off': t('movedOff'),
};

/** What is driven on after an exercise: what was driven before it. */
export const sectionBefore = ({ spans }: Drive): SectionKind =>
  spans.findLast(({ exercise }) => exercise === undefined)?.section ?? 'guided';

/** What the desk does besides marking: exercises, questions, notes, counts and pauses. */
export function taskActions({ driveId, standard, running, write, tell, driveNow, dispatch }: Tools) {
  const at = () => clockTime(driveNowMs(driveId));

  function exerciseInHand(): string | undefined {
    const { allFaults, exercise } = store.getState().desk;
    if (!standard.course || allFaults) return undefined;
    const drive = driveNow();
    return (
      currentSpan(drive)?.exercise ?? exercise ?? nextExercises(standard, drive, judgeDrive(standard, drive))[0]?.code
    );
  }

  function count(step: StepKind): void {
    if (!running) return;
    void write({ type: 'step', step });
    tell(t('stepAt', { step: stepWords[step], at: at() }));
  }

  function startExercise(exercise: string, name: string, retest: boolean): void {
    if (!running) return;
    dispatch(exerciseChosen(undefined));
    void write({ type: 'section', section: 'exercise', exercise, ...(retest && { retest }) });
    dispatch(stepBack());
    tell(t('nameStartedAtAt', { name, at: at() }));
  }

  function finishExercise(name: string): void {
    if (!running) return;
    void write({ type: 'section', section: sectionBefore(driveNow()) });
    dispatch(stepBack());
    tell(t('nameEndedAtAt', { name, at: at() }));
  }

  return {
    count,
    openMore(): void {
      dispatch(panelOpened({ kind: 'more' }));
    },
    openQuestions(): void {
      if (standard.questions.length > 0) dispatch(panelOpened({ kind: 'questions' }));
      else tell(t('standardAsksNoQuestions', { standard: standard.name }));
    },
    openSensors(): void {
      dispatch(panelOpened({ kind: 'sensors' }));
    },
    openTrace(): void {
      dispatch(panelOpened({ kind: 'trace' }));
    },
    openVoice(): void {
      dispatch(panelOpened({ kind: 'voice' }));
    },
    openNote(target?: string): void {
      dispatch(panelOpened({ kind: 'note', target }));
    },
    /** Why the clock was stopped, said after it was. */
    sayWhyPaused(why: Why, pauseId: string): void {
      const said = 'because' in why ? why : { text: why.reason };
      void write({ type: 'note', ...said, target: pauseId });
      dispatch(done(t('noteSavedAtAt', { at: at() })));
    },
    note(text: string, target?: string): void {
      void write({ type: 'note', text, ...(target && { target }) });
      dispatch(done(t('noteSavedAtAt', { at: at() })));
    },
    sayRoads(familiarity: Familiarity): void {
      void write({ type: 'roads', familiarity });
    },
    /** Writes an answer, and the mark that a last wrong one brings. */
    async answer(asked: Asked, right: boolean, question?: string): Promise<void> {
      const { item, name } = asked.rule;
      const last = isLastTry(asked);
      const grade = usualGrade(standard, item);
      await write({ type: 'answer', item, right, ...(question && { question }) });
      if (!right && last && grade) await write({ type: 'mark', item, grade: grade.code });
      tell(
        `${name}: ${right ? 'right' : last ? t('wrongGrade', { grade: grade?.name ?? t('noFault') }) : t('wrong1MoreTry')}.`,
      );
    },
    /** Counts a step where an exercise is under way, and says whether one is. */
    countInExercise(step: ExerciseStepKind): boolean {
      if (driveNow().spans.at(-1)?.exercise === undefined) return false;
      count(step);
      return true;
    },
    /** Starts a counter, or ends it and says how long it was. */
    switchCounter(kind: CounterKind): void {
      const { counter } = store.getState().desk;
      const nowMs = driveNowMs(driveId);
      if (counter?.kind !== kind) {
        dispatch(counterChanged({ kind, fromMs: nowMs }));
        return;
      }
      dispatch(counterChanged(undefined));
      if (kind === 'mirrors') return;
      const targetS = counterTargetS(kind, isChosen(standard, 'stop-hold', 'count-5'));
      const { seconds, reached } = readCounter(counter, nowMs, targetS);
      tell(
        t('counterNamesSecondsSOfTargetSS', {
          counterNames: counterNames[kind],
          seconds: seconds.toFixed(1),
          targetS,
          part: reached ? '' : t('tooShort'),
        }),
      );
    },
    /** On a course, the exercise under way, or else the one that comes next; undefined where all faults are shown. */
    exerciseInHand,
    /** Ends the exercise under way; on a course, where none is, it starts the one that comes next. */
    nextOrEndExercise(): void {
      const code = currentSpan(driveNow())?.exercise ?? exerciseInHand();
      const exercise = standard.exercises.find((one) => one.code === code);
      if (!exercise) return;
      if (currentSpan(driveNow())?.exercise === code) finishExercise(exercise.name);
      else startExercise(exercise.code, exercise.name, false);
    },
    /** From now on what the sensors of a car see goes into the log. */
    readSensors(run: {
      readonly run: string;
      readonly car: string;
      readonly clockMs: number;
      readonly retest?: boolean;
    }): void {
      if (!running) return;
      const { car } = run;
      void write({ type: 'run', ...run });
      dispatch(stepBack());
      tell(t('sensorsReadAt', { car, at: at() }));
    },
    seeLook(look: string, name: string): void {
      if (!running) return;
      void write({ type: 'look', look });
      tell(t('lookSeenAt', { look: name, at: at() }));
    },
    startExercise,
    /** Says that the attempt under way failed; what follows from that, the standard says. */
    failAttempt(name: string): void {
      if (!running) return;
      void write({ type: 'attempt', result: 'failed' });
      tell(t('nameAttemptFailedAtAt', { name, at: at() }));
    },
    finishExercise,
    /** Stops the clock at once and asks why afterwards, or lets it go on. */
    async switchPause(): Promise<void> {
      if (!running) return;
      if (driveNow().phase === 'paused') {
        const { panel } = store.getState().desk;
        if (panel?.kind === 'pause') dispatch(stepBack());
        void write({ type: 'pause', state: 'resumed' });
        tell(t('resumed'));
        return;
      }
      tell(t('pausedTheTimerHasStopped'));
      const before = store.getState().desk;
      const sameAs = ({ panel, category, settling }: typeof before) =>
        panel === before.panel && category === before.category && settling === before.settling;
      const event = await write({ type: 'pause', state: 'paused' });
      // Whoever has gone on to something else meanwhile is not asked why.
      if (event && sameAs(store.getState().desk)) dispatch(panelOpened({ kind: 'pause', pauseId: event.id }));
    },
  };
}
