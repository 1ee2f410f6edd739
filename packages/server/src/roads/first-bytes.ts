import { constants, gunzipSync } from 'node:zlib';

/** So many bytes tell what a file is. */
export const firstBytes = 1024;

const isPacked = ([a, b]: Buffer): boolean => a === 0x1f && b === 0x8b;

/**
 * Whether a file can be one of roads by its beginning: text of the two kinds that are read, as it is or packed (RFC 1952,
 * 2.3.1). One that passes may still be unusable, and is told why; one that does not is none.
 * @param start the first bytes, `firstBytes` of them where the file has so many
 */
export function beginsLikeRoads(start: Buffer): boolean {
  const bytes = isPacked(start) ? unpackedStart(start) : start;
  // Text of another encoding is told so when it is read; UTF-16 begins with its mark, or with every other byte empty.
  const text = bytes.toString('latin1').replace(/^(\u00ef\u00bb\u00bf|\u00ff\u00fe|\u00fe\u00ff)/, '');
  return /^[\s\0]*[<{]/.test(text);
}

function unpackedStart(start: Buffer): Buffer {
  try {
    return gunzipSync(start, { finishFlush: constants.Z_SYNC_FLUSH });
  } catch {
    return Buffer.alloc(0);
  }
}
