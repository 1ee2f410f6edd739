import fc from 'fast-check';
import { bankOf } from './bank/bank';
import { heardIn } from './match';
import { freshAnswers, shapingAnswers } from './testing-answers';
import { nearlySame, wordsOf } from './words';

const bank = new Map(bankOf([]).map((question) => [question.id, question]));

describe.each([
  ['that shaped the matcher', shapingAnswers, 0.98, 0.95],
  ['it had not seen', freshAnswers, 0.95, 0.8],
])('answers %s', (_, answers, precision, recall) => {
  let [right, extra, lost] = [0, 0, 0];
  const passedWrongly: string[] = [];
  for (const [id, words, expected] of answers) {
    const question = bank.get(id)!;
    const wanted = expected.split(' ').filter(Boolean);
    const result = heardIn(question, words);
    right += result.heard.filter((code) => wanted.includes(code)).length;
    extra += result.heard.filter((code) => !wanted.includes(code)).length;
    lost += wanted.filter((code) => !result.heard.includes(code)).length;
    const criticalMissing = question.points.some(({ code, critical }) => critical && !wanted.includes(code));
    if (result.right && criticalMissing) passedWrongly.push(words);
  }

  it('are read well', () => {
    expect(right / (right + extra)).toBeGreaterThanOrEqual(precision);
    expect(right / (right + lost)).toBeGreaterThanOrEqual(recall);
  });

  it('never pass with a critical point missing', () => expect(passedWrongly).toEqual([]));
});

it('the set is large enough to mean something', () => {
  expect(shapingAnswers.length + freshAnswers.length).toBeGreaterThanOrEqual(150);
});

describe('words', () => {
  it.each([
    ['one point six', '1.6'],
    ['1,6mm', '1.6 mm'],
    ['a hundred metres', 'a 100 metres'],
    ['one hundred and fifty', '150'],
    ['three-quarters', '3/4'],
    ['twenty five', '25'],
    ['one of them', 'one of them'],
  ])('“%s” reads “%s”', (said, read) => {
    expect(
      wordsOf(said)
        .map(({ text }) => text)
        .join(' '),
    ).toBe(read);
  });

  it('know what a “not” reaches', () => {
    const denied = (said: string) => wordsOf(said).flatMap(({ text, negated }) => (negated ? [text] : []));
    expect(denied('no cuts, bulges or lumps')).toEqual(['cuts', 'bulges', 'or', 'lumps']);
    expect(denied('no damage, at least 1.6')).toEqual(['damage']);
    expect(denied('it is not soft but firm')).toEqual(['soft']);
  });

  it('forgive a slip of spelling, never of a number', () => {
    expect(nearlySame('guage', 'gauge')).toBe(true);
    expect(nearlySame('reservior', 'reservoir')).toBe(true);
    expect(nearlySame('1.6', '1.5')).toBe(false);
    expect(nearlySame('left', 'lift')).toBe(false);
  });
});

describe('any answer', () => {
  const said = fc.array(
    fc.oneof(
      fc.constantFrom(...[...shapingAnswers].flatMap(([, words]) => words.split(' '))),
      fc.constantFrom('not', 'no', '1.6', '100', 'three quarters'),
    ),
    { maxLength: 25 },
  );

  it('is right only with every critical point heard, and missed and heard make up the points', () => {
    fc.assert(
      fc.property(fc.constantFrom(...bank.values()), said, (question, words) => {
        const { heard, missed, right } = heardIn(question, words.join(' '));
        expect(heard.length + missed.length).toBe(question.points.length);
        const critical = question.points.filter((point) => point.critical).map(({ code }) => code);
        expect(right).toBe(critical.every((code) => heard.includes(code)) && heard.length > 0);
      }),
    );
  });

  it('of nothing says nothing', () => {
    for (const question of bank.values()) expect(heardIn(question, '').right).toBe(false);
  });
});
