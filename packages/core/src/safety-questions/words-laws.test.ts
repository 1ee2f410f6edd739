import fc from 'fast-check';
import { shippedQuestions } from './bank/bank';
import { heardIn } from './match';
import { synonyms } from './synonyms';
import { nearlySame, stem, wordsOf } from './words';

const ones = 'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen'
  .split(' ')
  .concat('seventeen eighteen nineteen'.split(' '));
const tens = ['', '', 'twenty', 'thirty', 'forty', 'fifty', 'sixty', 'seventy', 'eighty', 'ninety'];

/** A whole number below a thousand as it is spoken. */
function spoken(n: number): string {
  if (n < 20) return ones[n]!;
  if (n < 100) return `${tens[Math.floor(n / 10)]}${n % 10 ? ` ${ones[n % 10]}` : ''}`;
  return `${ones[Math.floor(n / 100)]} hundred${n % 100 ? ` and ${spoken(n % 100)}` : ''}`;
}
const read = (said: string) =>
  wordsOf(said)
    .map(({ text }) => text)
    .join(' ');
const letters = fc.stringMatching(/^[a-z]{1,12}$/);

describe('numbers', () => {
  it('read the same in words as in digits, up to a thousand', () => {
    for (let n = 0; n < 1000; n++) {
      // "One" alone is a pronoun as often as a number; before a unit it is a number.
      expect([n, read(`${spoken(n)} metres`)]).toEqual([n, `${n} metres`]);
    }
  });

  it('read the same with a decimal comma, a decimal point or the word', () => {
    for (let whole = 0; whole < 10; whole++)
      for (let tenth = 1; tenth < 10; tenth++)
        for (const said of [`${whole}.${tenth}`, `${whole},${tenth}`, `${ones[whole]} point ${ones[tenth]}`])
          expect([said, read(`${said} mm`)]).toEqual([said, `${whole}.${tenth} mm`]);
  });

  it('are the same only where they are equal', () => {
    fc.assert(
      fc.property(fc.nat(2000), fc.nat(2000), (a, b) => {
        expect(nearlySame(String(a), String(b))).toBe(a === b);
        expect(nearlySame(String(a / 10), String(b / 10))).toBe(a === b);
      }),
    );
  });
});

describe('words that are nearly the same', () => {
  it('are so whichever comes first, and each is the same as itself', () => {
    fc.assert(
      fc.property(letters, letters, (a, b) => {
        expect(nearlySame(a, a)).toBe(true);
        expect(nearlySame(a, b)).toBe(nearlySame(b, a));
      }),
    );
  });

  it('forgive one slip of the finger in a word of five letters or more', () => {
    const long = fc.stringMatching(/^[a-z]{5,12}$/);
    fc.assert(
      fc.property(long, fc.nat(100), (word, place) => {
        const i = place % (word.length - 1);
        const swapped = word.slice(0, i) + word[i + 1]! + word[i]! + word.slice(i + 2);
        const doubled = word.slice(0, i) + word[i]! + word.slice(i);
        expect(nearlySame(word, swapped)).toBe(true);
        expect(nearlySame(word, doubled)).toBe(true);
      }),
    );
  });

  it('do not lose themselves in their endings', () => {
    fc.assert(
      fc.property(letters, (word) => {
        expect(stem(word).length).toBeGreaterThan(0);
        expect(stem(word).length).toBeLessThanOrEqual(word.length);
      }),
    );
  });
});

describe('an answer', () => {
  const text = fc.array(fc.oneof(letters, fc.constantFrom('not', 'no', 'and', '1.6', 'twenty')), { maxLength: 12 });

  it('is the same in capitals, and with spaces and a full stop to spare', () => {
    fc.assert(
      fc.property(text, (words) => {
        const said = words.join(' ');
        expect(wordsOf(said.toUpperCase())).toEqual(wordsOf(said));
        expect(wordsOf(`  ${words.join('   ')} .`)).toEqual(wordsOf(said));
      }),
    );
  });
});

describe('every way of saying a key point of the bank', () => {
  /** A way as somebody would say it: the first of each choice, what must be denied after a "not". */
  const said = (way: string) =>
    way
      .split(' ')
      .filter((term) => !term.startsWith('-'))
      .map((term) => term.split('|')[0]!)
      .map((term) => (term.startsWith('@') ? synonyms[term.slice(1)]![0]! : term))
      .map((term) => (term.startsWith('!') ? `not ${term.slice(1)}` : term))
      .map((term) => term.replaceAll('_', ' '))
      .join(' ');
  const ways = shippedQuestions.flatMap((question) =>
    question.points.flatMap(({ code, says }) => says.map((way) => ({ question, code, way }))),
  );

  it('is heard when it is said as it is written down', () => {
    expect(ways.length).toBeGreaterThan(200);
    const deaf = ways.filter(({ question, code, way }) => !heardIn(question, said(way)).heard.includes(code));
    expect(deaf.map(({ question, way }) => `${question.id}: ${way}`)).toEqual([]);
  });

  it('is heard the other way round where nothing in it is denied', () => {
    const plain = ways.filter(({ way }) => !/[!]|not|no\b|never/.test(way));
    const deaf = plain.filter(({ question, code, way }) => {
      const reversed = said(way).split(' ').reverse().join(' ');
      return !/\d|_| of /.test(said(way)) && !heardIn(question, reversed).heard.includes(code);
    });
    expect(deaf.map(({ question, way }) => `${question.id}: ${way}`)).toEqual([]);
  });
});
