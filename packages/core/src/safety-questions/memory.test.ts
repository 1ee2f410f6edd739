import fc from 'fast-check';
import { createEmptyCard, fsrs, generatorParameters, type Card } from 'ts-fsrs';
import { dueWith, newToday, outlook, chanceAllRight, testMoment, recallUnseen } from './aim';
import { memoryOf, ratingOf, ratings, recallAt, recallWanted, type Rating, type Review } from './memory';
import { tellQuestions } from './bank/tell';

const dayMs = 86_400_000;
const start = new Date('2026-03-02T18:00:00Z');
const after = (days: number) => new Date(start.getTime() + days * dayMs);
const review = (days: number, rating: Rating, question = 'q'): Review => ({
  id: `${question}-${days}-${rating}`,
  question,
  at: after(days).toISOString(),
  rating,
  mode: 'reveal',
  missed: [],
});
const remembered = (...reviews: readonly Review[]) => memoryOf(reviews).get('q')!;

describe('the memory of a question', () => {
  it('has the intervals of the package for the same ratings', () => {
    const reference = fsrs(generatorParameters({ request_retention: 0.9, enable_fuzz: false }));
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ gap: fc.double({ min: 0.01, max: 60, noNaN: true }), rating: fc.constantFrom(...ratings) }),
          {
            minLength: 1,
            maxLength: 12,
          },
        ),
        (steps) => {
          let days = 0;
          let card: Card | undefined;
          const reviews = steps.map(({ gap, rating }, i) => {
            days += gap;
            const at = after(days);
            card = reference.next(card ?? createEmptyCard(at), at, ratings.indexOf(rating) + 1).card;
            return { ...review(days, rating), id: `r${i}` };
          });
          const memory = remembered(...reviews);
          expect(memory.due).toEqual(card!.due);
          expect(recallAt(memory, after(days + 9))).toBeCloseTo(
            reference.get_retrievability(card!, after(days + 9), false),
            12,
          );
        },
      ),
    );
  });

  it('does not mind the order in which reviews arrive, nor one that arrives twice', () => {
    const reviews = [review(0, 'good'), review(1, 'again'), review(3, 'good'), review(9, 'easy')];
    expect(memoryOf([...reviews].reverse().concat(reviews))).toEqual(memoryOf(reviews));
    expect(remembered(...reviews)).toMatchObject({ reviews: 4, forgotten: 1 });
  });

  it('fades', () => {
    const memory = remembered(review(0, 'good'), review(2, 'good'));
    const recalls = [2, 4, 8, 16, 40, 120].map((days) => recallAt(memory, after(days)));
    expect(recalls[0]).toBe(1);
    expect([...recalls].sort((a, b) => b - a)).toEqual(recalls);
  });

  it('is 90 % on the day the scheduler wants it again', () => {
    const memory = remembered(review(0, 'good'), review(2, 'good'), review(12, 'good'));
    expect(recallAt(memory, memory.due)).toBeCloseTo(recallWanted, 1);
  });
});

describe('the rating of an answer', () => {
  const tread = tellQuestions.find(({ id }) => id === 'tell.tread')!;
  it.each([
    [['damage', 'depth', 'breadth', 'round', 'bars'], false, 'good'],
    [['damage', 'depth', 'breadth', 'round', 'bars'], true, 'easy'],
    [['damage', 'depth', 'breadth', 'round'], true, 'good'],
    [['damage', 'depth', 'breadth', 'bars'], false, 'again'],
    [[], false, 'again'],
  ])('%j, quick %s, is %s', (heard, quick, rating) => expect(ratingOf(tread, heard, quick)).toBe(rating));
});

describe('the aim at the day of the test', () => {
  const memory = remembered(review(0, 'good'), review(2, 'good'));

  it('is the plain schedule without a test, and with one that is past', () => {
    expect(dueWith(memory, after(3), undefined)).toEqual({ at: memory.due, why: 'schedule' });
    expect(dueWith(memory, after(3), after(-30))).toEqual({ at: memory.due, why: 'schedule' });
  });

  it('asks for nothing more where the answer will be fresh on the day', () => {
    const due = dueWith(memory, after(3), after(4));
    expect(due).toMatchObject({ why: 'fresh-enough' });
    expect(due.at).toBeUndefined();
    expect(due.onTestDay).toBeGreaterThanOrEqual(recallWanted);
  });

  it('comes before the test where the schedule would come too late', () => {
    // An hour before the scheduler's own day there is still nothing due, but the test is an hour after it.
    const test = new Date(memory.due.getTime() + 30 * dayMs);
    const late = { ...memory, due: new Date(test.getTime() - dayMs / 2) };
    const due = dueWith(late, after(3), test);
    expect(due.why).toBe('before-test');
    expect(due.at).toEqual(new Date(test.getTime() - dayMs));
  });

  it('asks today for what would be forgotten tomorrow', () => {
    const weak = remembered(review(0, 'again'));
    const now = after(5);
    expect(dueWith(weak, now, after(6)).at!.getTime()).toBeLessThanOrEqual(now.getTime());
  });

  it.each([1, 2, 5, 12, 30, 90])(
    'leaves everything above 90 %% on a test %d days ahead, for who follows it',
    (days) => {
      const test = after(days);
      const questions = Array.from({ length: 20 }, (_, i) => `q${i}`);
      let reviews: Review[] = [];
      // Twice a day: what is due, and the day's share of new ones.
      for (let at = 0; at < days - 0.01; at += 0.5) {
        const now = after(at);
        const known = memoryOf(reviews);
        const due = questions.filter((id) => {
          const one = known.get(id);
          const next = one && dueWith(one, now, test).at;
          return next !== undefined && next <= now;
        });
        const unseen = questions.filter((id) => !known.has(id));
        const fresh = unseen.slice(0, newToday(unseen.length, now, test));
        for (const id of [...due, ...fresh]) reviews = [...reviews, review(at, 'good', id)];
      }
      const known = memoryOf(reviews);
      expect(known.size).toBe(questions.length);
      for (const one of known.values()) expect(recallAt(one, test)).toBeGreaterThan(0.89);
    },
  );
});

describe('new questions', () => {
  it('come a few a day, faster as the test comes near, all of them on its eve', () => {
    expect(newToday(80, start, undefined)).toBe(6);
    expect(newToday(80, start, after(-3))).toBe(6);
    expect(newToday(80, start, after(9))).toBe(10);
    expect(newToday(80, start, after(1))).toBe(80);
    expect(newToday(4, start, after(90))).toBe(4);
    expect(newToday(0, start, after(9))).toBe(0);
  });
});

describe('how it stands', () => {
  it('counts what is seen, due and unseen, and means the recall', () => {
    const known = memoryOf([review(0, 'good', 'a'), review(0, 'again', 'b')]);
    const stands = outlook(['a', 'b', 'c'], known, after(40), undefined);
    expect(stands).toMatchObject({ seen: 2, due: 2, unseen: 1 });
    const recalls = ['a', 'b'].map((id) => recallAt(known.get(id)!, after(40)));
    expect(stands.recall).toBeCloseTo((recalls[0]! + recalls[1]! + recallUnseen) / 3, 12);
  });

  it('says the chance that both questions are right as the product of means', () => {
    expect(chanceAllRight([[1, 0.5], [0.8]])).toBeCloseTo(0.6, 12);
    expect(chanceAllRight([])).toBe(1);
  });

  it('takes a day as its noon', () => expect(testMoment('2026-03-09').toISOString()).toBe('2026-03-09T12:00:00.000Z'));
});
