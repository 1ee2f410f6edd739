import { tokens, type ThemeName, type TokenName } from './tokens';

/** Relative luminance of a colour (WCAG 2.2, definition of relative luminance). */
function luminance(hex: string): number {
  const [red, green, blue] = [1, 3, 5].map((at) => {
    const part = Number.parseInt(hex.slice(at, at + 2), 16) / 255;
    return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * red! + 0.7152 * green! + 0.0722 * blue!;
}

/** Contrast ratio of two colours (WCAG 2.2, definition of contrast ratio). */
function contrast(theme: ThemeName, one: TokenName, other: TokenName): number {
  const [darker, lighter] = [one, other].map((name) => luminance(tokens[theme][name])).sort((a, b) => a - b);
  return (lighter! + 0.05) / (darker! + 0.05);
}

const themes = Object.keys(tokens) as readonly ThemeName[];
const grounds = ['ground', 'surface', 'sunk'] as const;

describe.each(themes)('by %s', (theme) => {
  it.each(grounds)(
    'every sign stands out from %s three to one, unmarked ones included (WCAG 2.2, 1.4.11)',
    (ground) => {
      for (const sign of ['jasper', 'ochre', 'slate', 'plum', 'moss', 'muted', 'faint', 'ink'] as const)
        expect([sign, contrast(theme, sign, ground) >= 3]).toEqual([sign, true]);
    },
  );

  it.each(grounds)('text can be read on %s, four and a half to one (WCAG 2.2, 1.4.3)', (ground) => {
    for (const text of ['ink', 'muted'] as const)
      expect([text, contrast(theme, text, ground) >= 4.5]).toEqual([text, true]);
  });
});
