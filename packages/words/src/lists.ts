const lists = new Intl.ListFormat('en-GB', { type: 'conjunction' });
const choices = new Intl.ListFormat('en-GB', { type: 'disjunction' });

/** "a", "a and b", "a, b and c". */
export function joinWords(parts: readonly string[]): string {
  return lists.format(parts);
}

/** "a", "a or b", "a, b or c". */
export const joinChoices = (parts: readonly string[]): string => choices.format(parts);

/** A share or chance, 0 to 1, in whole percent, more would claim too much: "57 %", which does not break over a line. */
export function percent(share: number): string {
  return `${Math.round(100 * share)}\u00a0%`;
}

/** The text with a capital first letter. */
export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
