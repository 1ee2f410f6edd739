import { unreadable, type Parsed } from './parsed';

/** How far into a file the lack of an encoding mark is judged, in bytes. */
const looksAtBytes = 1000;

/**
 * The text of a file in UTF-8, with or without a byte order mark.
 * @returns the text, or why the bytes are none: nothing is replaced in silence
 */
export function fileText(bytes: Uint8Array): Parsed<string> {
  if (isUtf16(bytes)) return unreadable('the file is UTF-16; save it as UTF-8 and try again');
  try {
    // Leaves a byte order mark out.
    return { ok: true, value: new TextDecoder('utf-8', { fatal: true }).decode(bytes) };
  } catch {
    const { line, column } = firstBadByte(bytes);
    return unreadable(`the file is not UTF-8: line ${line}, column ${column} holds a byte that is none of its letters`);
  }
}

function isUtf16(bytes: Uint8Array): boolean {
  const [a, b] = bytes;
  if ((a === 0xff && b === 0xfe) || (a === 0xfe && b === 0xff)) return true;
  const start = bytes.subarray(0, looksAtBytes);
  // JSON begins with a character of ASCII, which UTF-16 writes with a zero byte beside it.
  return start.length > 1 && (start[0] === 0) !== (start[1] === 0);
}

function firstBadByte(bytes: Uint8Array): { line: number; column: number } {
  const fits = (length: number) => {
    try {
      new TextDecoder('utf-8', { fatal: true }).decode(bytes.subarray(0, length), { stream: true });
      return true;
    } catch {
      return false;
    }
  };
  let [good, bad] = [0, bytes.length];
  while (bad - good > 1) {
    const middle = (good + bad) >> 1;
    if (fits(middle)) good = middle;
    else bad = middle;
  }
  const before = new TextDecoder().decode(bytes.subarray(0, good), { stream: true }).split('\n');
  return { line: before.length, column: before.at(-1)!.length + 1 };
}
