import { oralSentence } from '@jasperwren/words/oral';
import { graded, tally } from '../marking/testing-standards';
import { bankOf } from './bank/bank';
import { choices, modesFor, orderRight, questionsToKnow, sessionCards } from './drill';
import { memoryOf } from './memory';
import { drawQuestion, judgeOral } from './oral';
import { randomFrom } from './random';
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

  it('takes one of the kind, and never the one just asked', () => {
    const random = randomFrom(3);
    let last = '';
    for (let i = 0; i < 200; i++) {
      const drawn = drawQuestion(bank, tally, rule('show'), [last], random)!;
      expect(drawn.kind).toBe('show');
      expect(drawn.id).not.toBe(last);
      last = drawn.id;
    }
  });

  it('finds something for every question a standard asks', () => {
    for (const standard of [tally, graded])
      for (const one of standard.questions) expect(drawQuestion(bank, standard, one, [], randomFrom(1))).toBeDefined();
  });

  it('falls back on the one just asked where there is no other, and on nothing where there is none', () => {
    const only = [byId('show.horn')];
    expect(drawQuestion(only, tally, rule('show'), ['show.horn'], randomFrom(1))?.id).toBe('show.horn');
    expect(drawQuestion([], tally, rule('show'), [], randomFrom(1))).toBeUndefined();
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
