import { exerciseName } from '@jasperwren/core/marking/exercise';
import type { UsualReason, Why } from '@jasperwren/core/drive/why';
import { capital } from '@jasperwren/words/lists';
import { sectionName } from '@jasperwren/words/names';
import { t } from '@jasperwren/words/desk';
import { eventName } from '@jasperwren/words/events';
import { standingMarks, unsettledPins, type Pin } from '@jasperwren/core/drive/drive';
import { currentSpan } from '@jasperwren/core/drive/clock';
import type { DriveEvent, Ending, EndingCause, EventBody } from '@jasperwren/core/drive/event';
import { usualGrade } from '@jasperwren/core/marking/asked';
import { leavesExercise } from '@jasperwren/core/marking/leaves-exercise';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { Place } from '@jasperwren/roads/geometry';
import type { AppDispatch } from '../../base/store';
import { store } from '../../base/store';
import { clockTime } from '../../ui/format';
import { driveNowMs } from '../log/drive-clock';
import { eventsOf, folded } from '../log/folded';
import { done, panelOpened, settlingChosen } from './desk-slice';
import { sectionBefore, taskActions } from './task-actions';

interface Means {
  readonly driveId: string;
  readonly standard: EffectiveStandard;
  readonly running: boolean;
  readonly canMark: boolean;
  readonly write: (body: EventBody) => Promise<DriveEvent | undefined>;
  /** Takes back what this device did last, and says what it was. */
  readonly undoLast: () => DriveEvent | undefined;
  readonly tell: (text: string, kind?: 'taken' | 'undone') => void;
  /** Says by sound and touch that a mark was taken. */
  readonly receipt: () => void;
  readonly dispatch: AppDispatch;
}

/** What a mark can say besides its item and grade. */
export interface MarkedWith {
  readonly measured?: number;
  /** Code of the look that was missed. */
  readonly look?: string;
}

export type DeskActions = ReturnType<typeof deskActions>;

/** Everything the desk can do, each with its receipt. */
export function deskActions({ driveId, standard, running, canMark, write, undoLast, tell, receipt, dispatch }: Means) {
  const at = () => clockTime(driveNowMs(driveId));
  // Read when something is done, so that the actions stay the same from mark to mark and little is drawn anew.
  const driveNow = () => folded(eventsOf(store.getState(), driveId));
  function mark(item: string, grade: string, more: MarkedWith = {}): void {
    const pin = store.getState().desk.settling;
    if (!running && !pin) return;
    const over = pin ? undefined : exerciseLeftBy(item);
    if (over) void write({ type: 'section', section: sectionBefore(driveNow()) });
    void write({ type: 'mark', item, grade, ...(pin && { pin }), ...more });
    const { grades, items } = rulesOf(standard);
    const placed = items.get(item);
    const pinned = pin && driveNow().pins.find(({ id }) => id === pin);
    dispatch(
      done(
        t('gradeAreaFaultAt', {
          grade: capital(grades.get(grade)?.name ?? grade),
          area: placed?.category.name.toLowerCase() ?? '',
          fault: placed?.item.name.toLowerCase() ?? item,
          at: pinned ? clockTime(pinned.atMs) : at(),
        }) + (over ? ` ${t('exerciseIsOver', { exercise: over })}` : ''),
      ),
    );
    receipt();
  }

  /** The exercise under way that a fault on the road shows to be over, by its name. */
  function exerciseLeftBy(item: string): string | undefined {
    const under = currentSpan(driveNow())?.exercise;
    if (under === undefined || !leavesExercise(standard, under, item)) return undefined;
    return exerciseName(standard, under);
  }

  function settle(pin: Pin | undefined): void {
    dispatch(settlingChosen(pin?.id));
    if (pin) tell(t('pinAtTimeChooseTheFault', { time: clockTime(pin.atMs) }));
  }

  function settleNext(): void {
    const pins = unsettledPins(driveNow());
    const now = pins.findIndex((pin) => pin.id === store.getState().desk.settling);
    settle(pins[now + 1] ?? pins[0]);
  }

  return {
    running,
    canMark,
    ...taskActions({ driveId, standard, running, write, tell, driveNow, dispatch }),
    mark,
    /** An expected look was missed: the item it belongs to, at its mildest. */
    missLook(look: string, item: string): void {
      const grade = usualGrade(standard, item);
      if (grade) mark(item, grade.code, { look });
    },
    /** Drops a pin; tells which where it could be written. */
    async pin(): Promise<DriveEvent | undefined> {
      if (!running) return undefined;
      tell(t('pinAtAt', { at: at() }));
      return write({ type: 'pin' });
    },
    /** Says something that came of what was done. */
    say: (text: string): void => tell(text),
    spoke(): void {
      if (!running) return;
      void write({ type: 'prompt' });
      tell(t('promptAtAt', { at: at() }));
    },
    tookControl(): void {
      if (!running) return;
      void write({ type: 'intervention' });
      tell(t('tookControlAtAtPullUp', { at: at() }));
    },
    undo(): void {
      const target = undoLast();
      tell(target ? t('undone', { what: eventName(target.type) }) : t('nothingToUndo'), 'undone');
    },
    switchSection(): void {
      if (!running) return;
      const section = currentSpan(driveNow())?.section === 'independent' ? 'guided' : 'independent';
      void write({ type: 'section', section });
      tell(t('sectionStarted', { section: sectionName(section) }));
    },
    settleNext,
    settlePin: (pinId: string) => settle(driveNow().pins.find(({ id }) => id === pinId)),
    /** One pin is settled at once; where there is more to settle, the tray comes first. */
    openTray(): void {
      const { doubles, pins } = driveNow();
      const open = pins.filter(({ state }) => state === 'unsettled').length;
      if (open === 1 && doubles.length === 0) settleNext();
      else dispatch(panelOpened({ kind: 'tray' }));
    },
    keepBoth(target: string, other: string): void {
      void write({ type: 'distinct', target, other });
      tell(t('bothFaultsKept'));
    },
    removeHelp(helpId: string): void {
      void write({ type: 'strike', target: helpId, because: 'removed' });
      dispatch(done(t('helpRemoved')));
    },
    dropPin(pinId: string, why: Why): void {
      void write({ type: 'strike', target: pinId, ...why });
      dispatch(done(t('pinDiscarded')));
    },
    strike(markId: string, why: Why): void {
      void write({ type: 'strike', target: markId, ...why });
      dispatch(done(t('faultRemoved')));
    },
    putBack(markId: string): void {
      const strike = driveNow().marks.find((mark) => mark.id === markId)?.struck;
      if (strike) void write({ type: 'strike', target: strike.strikeId, because: 'restored' });
      dispatch(done(t('faultRestored')));
    },
    /** Opens the severity adviser for a mark, the latest standing one where none is named. */
    advise(markId?: string): void {
      const latest = standingMarks(driveNow()).at(-1)?.id;
      const target = markId ?? latest;
      if (target) dispatch(panelOpened({ kind: 'advise', markId: target }));
      else tell(t('noFaultToGradeYet'));
    },
    /** Writes what a form beside the marks says. */
    keep(body: EventBody): void {
      void write(body);
    },
    regrade(markId: string, grade: string, why: { because?: UsualReason; measured?: number } = {}): void {
      void write({ type: 'regrade', target: markId, grade, ...why });
      dispatch(done(t('gradeChangedGet', { get: rulesOf(standard).grades.get(grade)?.name ?? grade })));
    },
    /** Says which step of its sequence was missed. */
    missStep(markId: string, step: string): void {
      void write({ type: 'missed-step', target: markId, step });
      tell(t('missedStep', { step }));
    },
    /** Says where a fault was made. */
    place(markId: string, place: Place): void {
      void write({ type: 'place', target: markId, ...place });
      tell(t('faultPlaced'));
    },
    askToEnd(): void {
      if (running) dispatch(panelOpened({ kind: 'end' }));
    },
    async end(
      ending: Ending,
      why: Partial<{ cause: EndingCause; because: UsualReason; reason: string }> = {},
    ): Promise<void> {
      await write({ type: 'ended', ending, ...why });
      dispatch(done(t('theMockTestHasEnded')));
    },
  };
}
