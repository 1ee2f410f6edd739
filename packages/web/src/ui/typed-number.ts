/** A number of 0 or more as people type it, with a point or a comma; undefined where it is none. */
export function typedNumber(text: string): number | undefined {
  const plain = text.trim().replace(',', '.');
  return /^(\d+(\.\d*)?|\.\d+)$/.test(plain) ? Number(plain) : undefined;
}
