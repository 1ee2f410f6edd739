import { exerciseName } from '@jasperwren/core/marking/exercise';
import { t } from '@jasperwren/words/desk';
import type { ExerciseStepKind } from '@jasperwren/core/drive/event';
import { itemsOfExercise } from '@jasperwren/core/marking/likely';
import { gradesOf, rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { AppDispatch, RootState } from '../../base/store';
import type { DeskActions } from './desk-actions';
import { tileKeys } from '../yard/tile-keys';
import { categoryChosen, itemChosen, panelOpened, said, stepBack, type DeskPanel } from './desk-slice';

/** The commands that are not letters or digits of the standard. */
export const commandKeys = {
  pin: { key: ' ', word: 'Space' },
  spoke: { key: ',', word: ',' },
  tookControl: { key: '.', word: '.' },
  undo: { key: 'Backspace', word: '⌫' },
  section: { key: '/', word: '/' },
  settle: { key: ';', word: ';' },
  advise: { key: '-', word: '-' },
  more: { key: '=', word: '=' },
  questions: { key: "'", word: "'" },
  note: { key: '`', word: '`' },
  stopCount: { key: '[', word: '[' },
  signalCount: { key: ']', word: ']' },
  mirrors: { key: '\\', word: '\\' },
  pulledUp: { key: 'PageUp', word: 'PgUp' },
  movedOff: { key: 'PageDown', word: 'PgDn' },
  exercise: { key: 'Home', word: 'Home' },
  pause: { key: '0', word: '0' },
  end: { key: 'End', word: 'End' },
  back: { key: 'Escape', word: 'Esc' },
  keys: { key: '?', word: '?' },
} as const;

/** The arrows count within an exercise. */
const exerciseKeys: Readonly<Record<string, ExerciseStepKind>> = {
  ArrowUp: 'movement',
  ArrowDown: 'shunt',
  ArrowRight: 'correction',
  ArrowLeft: 'look',
};

/** What a panel that asks for something lets through: the way back, and what happens on the road meanwhile. */
const throughAsking: Readonly<Partial<Record<DeskPanel['kind'], readonly string[]>>> = {
  // Its digits, points and commas are a value.
  measure: [commandKeys.back.key],
  note: [commandKeys.back.key, commandKeys.pin.key, commandKeys.spoke.key, commandKeys.tookControl.key],
  'drop-pin': [commandKeys.back.key, commandKeys.pin.key, commandKeys.spoke.key, commandKeys.tookControl.key],
};

const letterNames = (letter: string, where: string) => t('noLetterInWhere', { letter, where });

/**
 * Marks by keyboard: a letter for the category, a letter for the item, a digit for the grade; and a key for each command.
 * @param desk how the desk stands when a key is pressed
 * @returns takes a key and says whether it meant anything
 */
export function deskKeys(
  standard: EffectiveStandard,
  actions: DeskActions,
  dispatch: AppDispatch,
  desk: () => RootState['desk'],
): (key: string, onControl: boolean) => boolean {
  const commands = new Map<string, () => void>([
    [commandKeys.back.key, () => dispatch(stepBack())],
    [commandKeys.pin.key, () => void actions.pin()],
    [commandKeys.spoke.key, actions.spoke],
    [commandKeys.tookControl.key, actions.tookControl],
    [commandKeys.undo.key, actions.undo],
    [commandKeys.section.key, actions.switchSection],
    [commandKeys.settle.key, actions.settleNext],
    [commandKeys.advise.key, () => actions.advise()],
    [commandKeys.more.key, actions.openMore],
    [commandKeys.questions.key, actions.openQuestions],
    [commandKeys.note.key, () => actions.openNote()],
    [commandKeys.stopCount.key, () => actions.switchCounter('stop')],
    [commandKeys.signalCount.key, () => actions.switchCounter('signal')],
    [commandKeys.mirrors.key, () => actions.switchCounter('mirrors')],
    [commandKeys.pulledUp.key, () => actions.count('pull-up')],
    [commandKeys.movedOff.key, () => actions.count('move-off')],
    [commandKeys.exercise.key, actions.nextOrEndExercise],
    [commandKeys.pause.key, () => void actions.switchPause()],
    [commandKeys.end.key, actions.askToEnd],
    [commandKeys.keys.key, () => dispatch(panelOpened({ kind: 'keys' }))],
  ]);
  return takeKey;

  function takeKey(key: string, onControl: boolean): boolean {
    const through = throughAsking[desk().panel?.kind ?? 'more'];
    if (through && !through.includes(key)) return false;
    // In a panel the space bar presses the button that has the focus, as everywhere.
    if (key === commandKeys.pin.key && onControl && desk().panel) return false;
    const step = exerciseKeys[key];
    if (step && actions.countInExercise(step)) return true;
    const command = commands.get(key);
    if (command) {
      command();
      return true;
    }
    if (/^[a-z]$/i.test(key)) return takeLetter(key.toUpperCase());
    if (/^[1-9]$/.test(key)) return takeDigit(Number(key));
    return false;
  }

  /** On a course a letter is a fault of the exercise at hand: marked at once where it has one grade. */
  function takeExerciseLetter(exercise: string, letter: string): boolean {
    const { items } = rulesOf(standard);
    const own = itemsOfExercise(standard, exercise).flatMap((code) => items.get(code) ?? []);
    const keys = tileKeys(own.map(({ item }) => item));
    const placed = own.find(({ item }) => keys.get(item.code) === letter);
    if (!placed) {
      dispatch(said(letterNames(letter, exerciseName(standard, exercise))));
      return true;
    }
    const { item, category } = placed;
    const grades = gradesOf(standard, item);
    if (item.measured) dispatch(panelOpened({ kind: 'measure', item: item.code }));
    else if (grades.length === 1) actions.mark(item.code, grades[0]!.code);
    else {
      dispatch(categoryChosen(category.code));
      dispatch(itemChosen(item.code));
      dispatch(said(t('chooseTheGradeOf', { item: item.name })));
    }
    return true;
  }

  function takeLetter(letter: string): boolean {
    const exercise = actions.exerciseInHand();
    if (exercise !== undefined) return takeExerciseLetter(exercise, letter);
    const { category: code, item } = desk();
    const category = standard.categories.find((candidate) => candidate.code === code);
    const own = item ? undefined : category?.items.find((candidate) => candidate.letter === letter);
    // A letter that the category at hand does not have begins anew: a slip of the finger costs one fault and not the next.
    const other = standard.categories.find((candidate) => candidate.letter === letter);
    if (own) dispatch(itemChosen(own.code));
    else if (other) dispatch(categoryChosen(other.code));
    else dispatch(said(letterNames(letter, (item ? undefined : category)?.name ?? standard.name)));
    return true;
  }

  function takeDigit(digit: number): boolean {
    const { category: code, item: itemCode } = desk();
    const category = standard.categories.find((candidate) => candidate.code === code);
    const item = category?.items.find((candidate) => candidate.code === itemCode);
    const grade = standard.grades[digit - 1];
    if (!item) dispatch(said(t('chooseAnAreaAndAFault')));
    else if (!grade || !gradesOf(standard, item).includes(grade))
      dispatch(said(t('itemHasNoGradeDigit', { item: item.name, digit })));
    else actions.mark(item.code, grade.code);
    return true;
  }
}
