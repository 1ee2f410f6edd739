import { mythsFor, type Myth } from '../adviser/myths';
import { questionsFor, type AdviserQuestion, type AnswerKey } from '../adviser/questions';
import type { Drive, Mark } from '../drive/drive';
import { countingMarks } from '../marking/counting';
import { rulesOf } from '../marking/rules';
import type { EffectiveStandard } from '../marking/standard';
import type { Verdict } from '../marking/verdict';

/** Help within this time of a mark belongs to it (house default). */
const helpWithinMs = 15_000;

/** A mark as it is told to the learner. */
export interface MarkTold {
  readonly mark: Mark;
  /** It is among the reasons of a fail. */
  readonly decided: boolean;
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
  const deciding = new Set(verdict.reasons.flatMap(({ marks }) => marks.map(({ id }) => id)));
  const myths = mythsFor(standard, drive);
  const told = new Set<string>();
  const near = (moments: Drive['prompts'], atMs: number) =>
    moments.some((moment) => Math.abs(moment.atMs - atMs) <= helpWithinMs);
  return countingMarks(standard, drive).map((mark) => {
    const behaviour = items.get(mark.item)?.item.behaviour ?? '';
    const myth = myths.find(({ code, behaviours }) => !told.has(code) && behaviours.includes(behaviour));
    if (myth) told.add(myth.code);
    return {
      mark,
      decided: deciding.has(mark.id),
      circumstances: answersTold(behaviour, mark.advice?.answers ?? {}),
      spoke: near(drive.prompts, mark.atMs),
      tookControl: near(drive.interventions, mark.atMs),
      notes: [
        ...(mark.note ? [mark.note] : []),
        ...drive.notes.flatMap((note) => (note.target === mark.id && !note.private ? [note.text] : [])),
      ],
      ...(myth && { myth }),
    };
  });
}

function answersTold(behaviour: string, answers: Readonly<Record<string, string>>): MarkTold['circumstances'] {
  return questionsFor(behaviour).flatMap(({ code, answers: choices }) => {
    const answer = choices.find((choice) => choice.code === answers[code]);
    return answer ? [{ question: code, answer: answer.key }] : [];
  });
}
