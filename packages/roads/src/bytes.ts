import { RoadsError } from './problem';

/** The largest file read, in bytes of text: 150 MB, beyond which one browser or small server would choke. */
export const largestFile = 150e6;

export type Chunks = AsyncIterable<Uint8Array> | Iterable<Uint8Array>;

/**
 * The text of a file in pieces, unpacked where it is gzipped. Throws a `RoadsError` where it is not UTF-8, packed
 * wrongly, or larger than `largestFile` unpacked.
 */
export async function* textOf(chunks: Chunks): AsyncGenerator<string> {
  const decoder = new TextDecoder('utf-8', { fatal: true });
  let bytes = 0;
  for await (const chunk of unpacked(chunks)) {
    if (bytes === 0) refuseOtherEncodings(chunk);
    let text: string;
    try {
      text = decoder.decode(chunk, { stream: true });
    } catch {
      throw new RoadsError({ code: 'notUtf8', byte: bytes });
    }
    bytes += chunk.length;
    if (bytes > largestFile) throw new RoadsError({ code: 'tooLarge', megabytes: largestFile / 1e6 });
    if (text) yield text;
  }
  try {
    decoder.decode();
  } catch {
    throw new RoadsError({ code: 'notUtf8', byte: bytes });
  }
  if (bytes === 0) throw new RoadsError({ code: 'empty' });
}

function refuseOtherEncodings([a, b, c, d]: Uint8Array): void {
  const utf16 = (a === 0xff && b === 0xfe) || (a === 0xfe && b === 0xff);
  if (utf16 || (a === 0x3c && b === 0) || (a === 0 && b === 0x3c && c === 0 && d !== 0))
    throw new RoadsError({ code: 'otherEncoding', encoding: 'UTF-16' });
}

/** The bytes, unpacked where they begin as gzip does (RFC 1952). */
async function* unpacked(chunks: Chunks): AsyncGenerator<Uint8Array> {
  const source = rest(chunks);
  const first = await source.next();
  if (first.done) return;
  const head = first.value;
  async function* again() {
    yield head;
    yield* { [Symbol.asyncIterator]: () => source };
  }
  if (head[0] !== 0x1f || head[1] !== 0x8b) {
    yield* again();
    return;
  }
  const feed = again();
  const packed = new ReadableStream<Uint8Array<ArrayBuffer>>({
    pull: async (controller) => {
      const next = await feed.next();
      if (next.done) controller.close();
      else controller.enqueue(next.value as Uint8Array<ArrayBuffer>);
    },
  });
  const reader = packed.pipeThrough(new DecompressionStream('gzip')).getReader();
  try {
    for (;;) {
      const { done, value } = await reader.read().catch(() => {
        throw new RoadsError({ code: 'badGzip' });
      });
      if (done) return;
      yield value;
    }
  } finally {
    void reader.cancel().catch(() => undefined);
  }
}

/** So many of a file's first bytes tell how it is written. */
const tellingBytes = 4;

/** Pieces that are not empty, the first with the file's first bytes, however small the pieces were that came. */
async function* rest(chunks: Chunks): AsyncGenerator<Uint8Array, void> {
  let first = new Uint8Array();
  let begun = false;
  for await (const chunk of chunks) {
    if (begun) {
      if (chunk.length > 0) yield chunk;
      continue;
    }
    first = joined(first, chunk);
    begun = first.length >= tellingBytes;
    if (begun) yield first;
  }
  if (!begun && first.length > 0) yield first;
}

function joined(a: Uint8Array, b: Uint8Array): Uint8Array<ArrayBuffer> {
  const both = new Uint8Array(a.length + b.length);
  both.set(a);
  both.set(b, a.length);
  return both;
}
