import { oralSentence } from '@jasperwren/words/oral';
import type { EffectiveStandard, QuestionRule } from '../marking/standard';
import { graded, tally } from '../marking/testing-standards';
import { bankOf } from './bank/bank';
import { choices, modesFor, orderRight, questionsToKnow, sessionCards } from './drill';
import { memoryOf, type Review } from './memory';
import { inAskingOrder, judgeOral, questionsFor } from './oral';
import { shippedVehicles } from './vehicles';

const bank = bankOf([]);
const byId = (id: string) => bank.find((question) => question.id === id)!;
const all = (id: string) => byId(id).points.map(({ code }) => code);

describe('oral marking', () => {
  const brakes = byId('tell.brakes');

  it('is right with every critical point', () => {
    expect(judgeOral(brakes, [{ heard: ['pedal'], hint: false }], 2)).toMatchObject({ outcome: 'right' });
    expect(oralSentence(judgeOral(brakes, [{ heard: all('tell.brakes'), hint: false }], 2))).toBe(
      'Correct: every point.',
    );
  });

  it('gives one more try, and no third', () => {
    const wrong = { heard: ['try'], hint: false };
    expect(judgeOral(brakes, [wrong], 2).outcome).toBe('again');
    expect(oralSentence(judgeOral(brakes, [wrong], 2))).toBe(
      'Not correct yet: 1 required point is missing. 1 more try.',
    );
    expect(judgeOral(brakes, [wrong, wrong], 2).outcome).toBe('wrong');
    expect(judgeOral(brakes, [wrong, { heard: ['pedal'], hint: false }], 2).outcome).toBe('right');
    expect(judgeOral(brakes, [wrong], 1).outcome).toBe('wrong');
  });

  it('counts a hint as wrong, whatever is said after it', () => {
    const hinted = { heard: all('tell.brakes'), hint: true };
    const judged = judgeOral(brakes, [hinted], 1);
    expect([judged.outcome, oralSentence(judged)]).toEqual(['wrong', 'Wrong: a hint was given.']);
  });
});

describe('drawing', () => {
  const rule = (kind: string) => tally.questions.find((one) => one.kind === kind)!;

  const on = new Date('2026-03-02T18:00:00Z');
  const answered = (question: string, daysAgo: number, rating: Review['rating']): Review => ({
    id: `${question} ${daysAgo}`,
    question,
    at: new Date(on.getTime() - daysAgo * 86_400_000).toISOString(),
    rating,
    mode: 'reveal',
    missed: [],
  });
  const order = (
    standard: EffectiveStandard,
    one: QuestionRule,
    reviews: readonly Review[],
    seed: number,
    justAsked: readonly string[] = [],
  ) => inAskingOrder(questionsFor(bank, standard, one), memoryOf(reviews), justAsked, on, seed).map(({ id }) => id);

  it('holds each question of the rule once, for every question a standard asks, the same for the same seed', () => {
    for (const standard of [tally, graded])
      for (const one of standard.questions) {
        const drawn = order(standard, one, [], 5);
        expect(drawn.length).toBeGreaterThan(1);
        expect([...drawn].sort()).toEqual(
          questionsFor(bank, standard, one)
            .map(({ id }) => id)
            .sort(),
        );
        expect(order(standard, one, [], 5)).toEqual(drawn);
      }
  });

  it('has what was asked last time after all the others', () => {
    for (let seed = 0; seed < 100; seed++) {
      const drawn = order(tally, rule('show'), [answered('show.horn', 30, 'again')], seed, [
        'show.horn',
        'show.window',
      ]);
      expect(drawn.slice(-2).sort()).toEqual(['show.horn', 'show.window']);
    }
  });

  it('has what is forgotten sooner than what is sure', () => {
    const reviews = questionsFor(bank, tally, rule('tell')).flatMap(({ id }) =>
      id === 'tell.brakes' ? [answered(id, 60, 'again')] : [9, 6, 3].map((days) => answered(id, days, 'easy')),
    );
    let first = 0;
    for (let seed = 0; seed < 400; seed++) if (order(tally, rule('tell'), reviews, seed)[0] === 'tell.brakes') first++;
    const even = 400 / questionsFor(bank, tally, rule('tell')).length;
    expect(first).toBeGreaterThan(2 * even);
  });

  it('is the only one there is, even where it was asked last time, and nothing where there is none', () => {
    const only = [byId('show.horn')];
    expect(inAskingOrder(only, new Map(), ['show.horn'], on, 1)).toEqual(only);
    expect(inAskingOrder([], new Map(), [], on, 1)).toEqual([]);
  });
});

describe('a session', () => {
  const now = new Date('2026-03-02T18:00:00Z');
  const questions = questionsToKnow(bank, tally);
  const car = shippedVehicles[0];

  it('holds what the standard asks, and begins with new questions of the test itself', () => {
    expect(new Set(questions.map(({ kind }) => kind))).toEqual(new Set(['tell', 'show']));
    const cards = sessionCards(questions, memoryOf([]), now, undefined, car, 1);
    expect(cards).toHaveLength(6);
    expect(cards.every(({ fresh, mode }) => fresh && mode === 'reveal')).toBe(true);
  });

  it('asks first for what is remembered least, and never more than fits ten minutes', () => {
    const reviews = questions.map((question, i) => ({
      id: question.id,
      question: question.id,
      at: new Date(now.getTime() - (3 + i) * 86_400_000).toISOString(),
      rating: 'again' as const,
      mode: 'reveal',
      missed: [],
    }));
    const cards = sessionCards(questions, memoryOf(reviews), now, '2026-03-09', car, 1);
    expect(cards).toHaveLength(17);
    expect(cards[0]!.question).toBe(questions.at(-1));
    // Seen once: not merely shown and revealed again.
    expect(cards[0]!.mode).not.toBe('reveal');
  });

  it('does not start a second share of new questions on the same evening', () => {
    const cards = sessionCards(questions, memoryOf([]), now, undefined, car, 1);
    const reviews = cards.map(({ question }) => ({
      id: question.id,
      question: question.id,
      at: now.toISOString(),
      rating: 'good' as const,
      mode: 'reveal',
      missed: [],
    }));
    const later = new Date(now.getTime() + 60_000);
    expect(sessionCards(questions, memoryOf(reviews), later, undefined, car, 1)).toEqual([]);
  });

  it('offers the modes that fit', () => {
    expect(modesFor(byId('hand.duty-left'), car)).toEqual(['hand', 'reveal']);
    expect(modesFor(byId('sign.stop'), car)).toContain('sign');
    expect(modesFor(byId('tell.rear-fog'), car)).toEqual(['reveal', 'type', 'order', 'find']);
    expect(modesFor(byId('tell.rear-fog'), undefined)).not.toContain('find');
  });

  it('knows an order, and mixes four choices', () => {
    expect(orderRight(['a', 'b'], ['a', 'b'])).toBe(true);
    expect(orderRight(['a', 'b'], ['b', 'a'])).toBe(false);
    expect([...choices('right', ['x', 'y', 'z', 'right', 'w'], 4)].sort()).toHaveLength(4);
    expect(choices('right', ['x', 'y', 'z'], 4)).toContain('right');
  });
});
