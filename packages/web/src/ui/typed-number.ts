/** A number of 0 or more as people type it, with a point or a comma; undefined where it is none. */
export function typedNumber(text: string): number | undefined {
  const plain = text.trim().replace(',', '.');
  return /^(\d+(\.\d*)?|\.\d+)$/.test(plain) ? Number(plain) : undefined;
}

/** As `typedNumber`, also below 0: with a hyphen or a minus before it. */
export function typedSigned(text: string): number | undefined {
  const [, below = '', amount = ''] = /^\s*([-−]?)(.*)$/.exec(text) ?? [];
  const number = typedNumber(amount);
  return number !== undefined && below !== '' ? 0 - number : number;
}
