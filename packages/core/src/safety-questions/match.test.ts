import fc from 'fast-check';
import { bankOf } from './bank/bank';
import { heardIn } from './match';
import { synonyms } from './synonyms';
import { freshAnswers, shapingAnswers } from './testing-answers';
import { laterAnswers, practitionersAnswers } from './testing-practitioners';
import { nearlySame, wordsOf } from './words';

const bank = new Map(bankOf([]).map((question) => [question.id, question]));

describe.each([
  ['that shaped the matcher', shapingAnswers, 0.98, 0.95],
  ['it had not seen', freshAnswers, 0.95, 0.8],
  ['as practitioners word them', practitionersAnswers, 0.98, 0.95],
  ['of theirs that the synonyms had not seen', laterAnswers, 0.98, 0.95],
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

it('the sets are large enough to mean something', () => {
  expect(shapingAnswers.length + freshAnswers.length).toBeGreaterThanOrEqual(150);
  expect(practitionersAnswers.length + laterAnswers.length).toBeGreaterThanOrEqual(200);
});

it('whoever gives a right answer in the trade’s words is not turned away', () => {
  const right = [...practitionersAnswers, ...laterAnswers].filter(([id, , expected]) => {
    const critical = bank.get(id)!.points.filter((point) => point.critical);
    return expected !== '' && critical.every(({ code }) => expected.split(' ').includes(code));
  });
  const accepted = right.filter(([id, words]) => heardIn(bank.get(id)!, words).right);
  expect(right.length).toBeGreaterThan(120);
  expect(accepted.length / right.length).toBeGreaterThan(0.95);
});

describe('synonyms', () => {
  const named = new Set(
    [...bank.values()].flatMap(({ points }) =>
      points.flatMap(({ says }) => says.flatMap((way) => way.match(/@[a-z]+/g) ?? [])),
    ),
  );

  it.each(Object.entries(synonyms))('“@%s” is used, and holds no word twice', (name, words) => {
    expect(named).toContain(`@${name}`);
    expect(new Set(words).size).toBe(words.length);
  });

  it('are there for every name that a way of saying asks for', () => {
    expect([...named].filter((name) => !synonyms[name.slice(1)])).toEqual([]);
  });

  it.each([
    ['tell.pressures', 'the manufacturer’s guide', 'where'],
    ['tell.brake-lamps', 'operate the pedal', 'press'],
    ['tell.beam', 'the main beam lamp', 'blue'],
    ['tell.coolant', 'high and low markings', 'tank'],
    ['tell.brake-fluid', 'top and bottom markers', 'between'],
    ['tell.oil', 'identify the dipstick', 'dipstick'],
    ['tell.abs', 'the icon comes on', 'lamp'],
    ['show.horn', 'operate it', 'work'],
  ])('%s: “%s” says “%s”', (id, words, code) => {
    expect(heardIn(bank.get(id)!, words).heard).toContain(code);
  });
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

  it('is read where a way of saying asks for synonyms that are none', () => {
    const strange = {
      ...bank.get('tell.abs')!,
      points: [{ code: 'x', text: 'X', critical: true, says: ['@constructor'] }],
    };
    expect(heardIn(strange, 'the constructor').right).toBe(false);
  });

  it('of nothing says nothing', () => {
    for (const question of bank.values()) expect(heardIn(question, '').right).toBe(false);
  });
});
