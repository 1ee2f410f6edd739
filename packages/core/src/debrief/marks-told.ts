import { mythsOfMark, type Myth } from '../adviser/myths';
import { questionsFor, type AdviserQuestion, type AnswerKey } from '../adviser/questions';
import type { Drive, Help, Mark } from '../drive/drive';
import { countingMarks } from '../marking/counting';
import { rulesOf } from '../marking/rules';
import type { EffectiveStandard } from '../marking/standard';
import type { Verdict } from '../marking/verdict';

/** Help within this time of a mark belongs to it where nobody said what made it necessary (house default). */
const helpWithinMs = 15_000;

/** A mark as it is told to the learner. */
export interface MarkTold {
  readonly mark: Mark;
  /** What was done, by its code in the catalogue. */
  readonly behaviour: string;
  /** What it has to do with a fail: it failed the test by itself, it crossed a limit, or it counts towards one that was crossed. */
  readonly part?: 'failed' | 'crossed' | 'counts';
  /** What was answered about it, as question and answer. */
  readonly circumstances: readonly { readonly question: AdviserQuestion['code']; readonly answer: AnswerKey }[];
  readonly spoke: boolean;
  readonly tookControl: boolean;
  readonly notes: readonly string[];
  /** A belief that belongs to it; each is told once, at its first mark. */
  readonly myth?: Myth;
}

/** Every mark that counts, in order of time, with what is known about it. */
export function marksTold(standard: EffectiveStandard, drive: Drive, verdict: Verdict): readonly MarkTold[] {
  const { items } = rulesOf(standard);
  const told = new Set<string>();
  const near = (help: readonly Help[], { id, atMs }: Mark) =>
    help.some((one) => (one.mark || one.reason ? one.mark === id : Math.abs(one.atMs - atMs) <= helpWithinMs));
  return countingMarks(standard, drive).map((mark) => {
    const behaviour = items.get(mark.item)?.item.behaviour ?? '';
    const myth = mythsOfMark(standard, mark).find(({ code }) => !told.has(code));
    if (myth) told.add(myth.code);
    return {
      mark,
      behaviour,
      ...partIn(verdict, mark.id),
      circumstances: answersTold(behaviour, mark.advice?.answers ?? {}),
      spoke: near(drive.prompts, mark),
      tookControl: near(drive.interventions, mark),
      notes: [
        ...(mark.note ? [mark.note] : []),
        ...drive.notes.flatMap((note) => (note.target === mark.id && !note.private ? [note.text] : [])),
      ],
      ...(myth && { myth }),
    };
  });
}

/** The strongest part that a mark has in any of the reasons; the mark that crossed a limit is found by the judge. */
function partIn({ reasons }: Verdict, id: string): Pick<MarkTold, 'part'> {
  const own = reasons.filter(({ marks }) => marks.some((mark) => mark.id === id));
  const crossed = own.filter(({ crossedBy }) => crossedBy?.id === id);
  if (crossed.some(({ marks }) => marks.length === 1)) return { part: 'failed' };
  if (crossed.length > 0) return { part: 'crossed' };
  return own.length > 0 ? { part: 'counts' } : {};
}

function answersTold(behaviour: string, answers: Readonly<Record<string, string>>): MarkTold['circumstances'] {
  return questionsFor(behaviour).flatMap(({ code, answers: choices }) => {
    const answer = choices.find((choice) => choice.code === answers[code]);
    return answer ? [{ question: code, answer: answer.key }] : [];
  });
}
