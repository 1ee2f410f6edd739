import fc from 'fast-check';
import { gzipSync } from 'node:zlib';
import { textOf, type Chunks } from './bytes';
import { RoadsError } from './problem';

const bytes = (text: string) => new TextEncoder().encode(text);

/** The same bytes in pieces that end anywhere. */
const cut = (whole: Uint8Array, ends: readonly number[]): readonly Uint8Array[] => {
  const at = [0, ...ends.map((end) => end % (whole.length + 1)).sort((a, b) => a - b), whole.length];
  return at.slice(1).map((end, i) => whole.slice(at[i], end));
};

async function read(chunks: Chunks): Promise<string> {
  let text = '';
  for await (const piece of textOf(chunks)) text += piece;
  return text;
}

/** The code of what is wrong with a file. */
const wrong = (chunks: Chunks) =>
  read(chunks).then(
    () => undefined,
    (error: unknown) => (error instanceof RoadsError ? error.problem : error),
  );

it('reads the text of a file, packed or not, however it comes in pieces', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.string({ unit: 'grapheme', minLength: 1 }),
      fc.array(fc.nat(1000), { maxLength: 6 }),
      async (text, ends) => {
        fc.pre(!text.startsWith('\ufeff'));
        expect(await read(cut(bytes(text), ends))).toBe(text);
        expect(await read(cut(new Uint8Array(gzipSync(bytes(text))), ends))).toBe(text);
      },
    ),
  );
});

it('says that a file is empty, also one of nothing but empty pieces', async () => {
  expect(await wrong([])).toMatchObject({ code: 'empty' });
  expect(await wrong([new Uint8Array(), new Uint8Array()])).toMatchObject({ code: 'empty' });
  expect(await wrong([new Uint8Array(gzipSync(''))])).toMatchObject({ code: 'empty' });
});

it('says where a file is not UTF-8', async () => {
  expect(await wrong([bytes('roads'), Uint8Array.of(0xff, 0x41)])).toMatchObject({ code: 'notUtf8', byte: 5 });
  // Half of a letter at the end of the file.
  expect(await wrong([bytes('roads'), bytes('é').slice(0, 1)])).toMatchObject({ code: 'notUtf8' });
});

it.each([
  ['with its mark, least first', [0xff, 0xfe, 0x3c, 0x00]],
  ['with its mark, most first', [0xfe, 0xff, 0x00, 0x3c]],
  ['without a mark, least first', [0x3c, 0x00, 0x6f, 0x00]],
  ['without a mark, most first', [0x00, 0x3c, 0x00, 0x6f]],
])('knows UTF-16 %s', async (_, start) => {
  expect(await wrong([Uint8Array.from(start)])).toMatchObject({ code: 'otherEncoding', encoding: 'UTF-16' });
});

it('says that what is packed is broken', async () => {
  const packed = new Uint8Array(gzipSync(bytes('roads '.repeat(500))));
  expect(await wrong([packed.slice(0, packed.length - 12)])).toMatchObject({ code: 'badGzip' });
  expect(await wrong([Uint8Array.of(0x1f, 0x8b, 1, 2, 3, 4)])).toMatchObject({ code: 'badGzip' });
});

it('stops at what is too large, also where it only grows so as it is unpacked', async () => {
  const megabyte = new Uint8Array(1e6).fill(0x20);
  function* endless() {
    for (;;) yield megabyte;
  }
  expect(await wrong(endless())).toMatchObject({ code: 'tooLarge', megabytes: 150 });
  const bomb = new Uint8Array(gzipSync(new Uint8Array(151e6).fill(0x20)));
  expect(bomb.length).toBeLessThan(1e6);
  expect(await wrong([bomb])).toMatchObject({ code: 'tooLarge' });
});
