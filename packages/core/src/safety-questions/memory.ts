import { createEmptyCard, fsrs, generatorParameters, type Card, type Grade } from 'ts-fsrs';
import type { SafetyQuestion } from './question';

/** How it went, in the scheduler's words: forgotten, hard, good, easy. */
export const ratings = ['again', 'hard', 'good', 'easy'] as const;
export type Rating = (typeof ratings)[number];

/** An answer given in a drill. Reviews are appended and never changed: what is remembered follows from them. */
export interface Review {
  /** Made on the device, unique for ever. */
  readonly id: string;
  readonly question: string;
  /** RFC 3339. */
  readonly at: string;
  readonly rating: Rating;
  readonly mode: string;
  /** Codes of the key points that were missed. */
  readonly missed: readonly string[];
}

/** The chance of recall at which a question falls due (house default; the scheduler's own as well). */
export const recallWanted = 0.9;

/** Without chance in its intervals: the same reviews always give the same days. */
const scheduler = fsrs(generatorParameters({ request_retention: recallWanted, enable_fuzz: false }));
const gradeOf: Readonly<Record<Rating, Grade>> = { again: 1, hard: 2, good: 3, easy: 4 };

/** What a learner remembers of one question. */
export interface Memory {
  readonly question: string;
  /** How often it was answered. */
  readonly reviews: number;
  readonly forgotten: number;
  readonly lastAt: Date;
  /** When the scheduler asks for it again, with no test in sight. */
  readonly due: Date;
  readonly card: Card;
}

/** What a learner remembers, by question; reviews in any order, each id once. */
export function memoryOf(reviews: readonly Review[]): ReadonlyMap<string, Memory> {
  const byId = new Map(reviews.map((review) => [review.id, review]));
  const ordered = [...byId.values()].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1));
  const memory = new Map<string, Memory>();
  for (const { question, at, rating } of ordered) {
    const now = new Date(at);
    const known = memory.get(question);
    const { card } = scheduler.next(known?.card ?? createEmptyCard(now), now, gradeOf[rating]);
    memory.set(question, {
      question,
      reviews: (known?.reviews ?? 0) + 1,
      forgotten: (known?.forgotten ?? 0) + (rating === 'again' ? 1 : 0),
      lastAt: now,
      due: card.due,
      card,
    });
  }
  return memory;
}

/**
 * The chance that a question is remembered at a moment, without another look at it.
 * @returns 0 to 1; 1 at or before the last review
 */
export function recallAt({ card, lastAt }: Memory, moment: Date): number {
  return moment <= lastAt ? 1 : scheduler.get_retrievability(card, moment, false);
}

/** The rating that an answer on key points amounts to. */
export function ratingOf({ points }: SafetyQuestion, heard: readonly string[], quick = false): Rating {
  const missed = points.filter(({ code }) => !heard.includes(code));
  if (missed.some(({ critical }) => critical)) return 'again';
  if (missed.length > points.length / 2) return 'hard';
  return missed.length === 0 && quick ? 'easy' : 'good';
}
