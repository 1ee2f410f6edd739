import { bankOf } from './bank/bank';
import { sessionCards, weakestCards } from './drill';
import { memoryOf } from './memory';

const questions = bankOf([]).slice(0, 12);
const day = (n: number) => new Date(Date.UTC(2026, 4, n, 9));
/** Every question answered on the first of May, all but three of them easily. */
const memory = memoryOf(
  questions.map(({ id }, i) => ({
    id: `review-${i}`,
    question: id,
    rating: i < 3 ? 'again' : 'easy',
    at: day(1).toISOString(),
    mode: 'reveal',
    missed: [],
  })),
);

describe('practising although nothing is due', () => {
  it('asks what is least well known', () => {
    const weak = questions.slice(0, 3).map(({ id }) => id);
    const cards = weakestCards(questions, memory, day(2), undefined);
    expect(cards).toHaveLength(5);
    expect(new Set(cards.slice(0, 3).map(({ question }) => question.id))).toEqual(new Set(weak));
    expect(cards.every(({ fresh }) => !fresh)).toBe(true);
  });

  it('begins with what was never seen', () => {
    const [first, ...known] = questions;
    const without = new Map([...memory].filter(([id]) => id !== first!.id));
    const cards = weakestCards([...known, first!], without, day(2), undefined);
    expect(cards[0]).toMatchObject({ question: { id: first!.id }, fresh: true });
  });

  it('has cards where a session has none, and none without questions', () => {
    expect(sessionCards(questions.slice(3), memory, day(1), undefined, undefined, 1)).toEqual([]);
    expect(weakestCards(questions.slice(3), memory, day(1), undefined)).toHaveLength(5);
    expect(weakestCards([], memory, day(1), undefined)).toEqual([]);
  });
});
