import fc from 'fast-check';
import { typedNumber, typedSigned } from './typed-number';

it.each([
  ['16', 16],
  [' 16.5 ', 16.5],
  ['16,5', 16.5],
  ['.5', 0.5],
  ['0', 0],
  ['7.', 7],
])('reads "%s" as a number', (text, number) => expect(typedNumber(text)).toBe(number));

it.each(['', ' ', '.', ',', '-3', '+3', '1e3', '0x10', 'Infinity', '1 000', '1.5.2', '12 cm', '٣'])(
  'sees no number in "%s"',
  (text) => expect(typedNumber(text)).toBeUndefined(),
);

it('reads whatever number of up to three decimals is written, with a point or a comma', () => {
  fc.assert(
    fc.property(fc.nat(9_999_999), (thousandths) => {
      const text = (thousandths / 1000).toString();
      expect(typedNumber(text)).toBe(thousandths / 1000);
      expect(typedNumber(text.replace('.', ','))).toBe(thousandths / 1000);
    }),
  );
});

it.each([
  ['-47', -47],
  ['−1,5', -1.5],
  [' 3', 3],
  ['-0', 0],
  ['--1', undefined],
  ['1-2', undefined],
  ['-', undefined],
  ['', undefined],
])('reads "%s" with its sign', (text, number) => expect(typedSigned(text)).toBe(number));
