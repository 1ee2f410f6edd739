/** A drawing in a square of 40, made of strokes and, where `fill` says so, of surfaces. */
export interface Glyph {
  readonly strokes?: string;
  readonly fill?: string;
}

const head = (x: number, y: number, way: 'up' | 'down' | 'left' | 'right'): string => {
  const a = 7;
  switch (way) {
    case 'up':
      return `M${x - a} ${y + a}L${x} ${y}L${x + a} ${y + a}`;
    case 'down':
      return `M${x - a} ${y - a}L${x} ${y}L${x + a} ${y - a}`;
    case 'left':
      return `M${x + a} ${y - a}L${x} ${y}L${x + a} ${y + a}`;
    case 'right':
      return `M${x - a} ${y - a}L${x} ${y}L${x - a} ${y + a}`;
  }
};

/** What stands on the signs, by name. All drawn for this product. */
export const glyphs: Readonly<Record<string, Glyph>> = {
  empty: {},
  'bend-left': { strokes: `M26 40V24Q26 14 16 14H8${head(6, 14, 'left')}` },
  'bend-right': { strokes: `M14 40V24Q14 14 24 14H32${head(34, 14, 'right')}` },
  'double-bend': { strokes: `M26 40V32Q26 26 20 24Q14 22 14 16Q14 10 22 8L26 4${head(26, 3, 'up')}` },
  crossroads: { strokes: 'M20 2V40M4 20H36' },
  'side-road': { strokes: 'M17 2V40M17 20H36' },
  roundabout: {
    strokes: `M20 5A15 15 0 0 1 33 13M35 23A15 15 0 0 1 24 35M12 33A15 15 0 0 1 7 13${head(34, 16, 'down')}${head(21, 35, 'left')}${head(8, 11, 'up')}`,
  },
  signals: { strokes: 'M12 1H28V39H12Z', fill: 'M20 5a4 4 0 1 0 .01 0ZM20 16a4 4 0 1 0 .01 0ZM20 27a4 4 0 1 0 .01 0Z' },
  narrows: { strokes: 'M8 40V28L15 16V2M32 40V28L25 16V2' },
  'two-way': { strokes: `M13 4V36${head(13, 37, 'down')}M28 36V4${head(28, 3, 'up')}` },
  hump: { fill: 'M0 36Q4 20 10 20Q16 20 20 32Q24 20 30 20Q36 20 40 36Z' },
  slippery: {
    strokes: 'M10 38Q4 32 10 27T10 18M30 38Q36 32 30 27T30 18',
    fill: 'M8 14L12 4H28L32 14V18H8Z',
  },
  'steep-down': { fill: 'M2 12L38 38H2Z', strokes: `M14 8L32 20${head(33, 21, 'right')}` },
  children: {
    strokes: 'M13 12V24L8 37M13 24L19 37M13 16L22 20M29 17V27L26 37M29 27L34 37M29 20L22 20',
    fill: 'M13 2a4.5 4.5 0 1 0 .01 0ZM29 8a4 4 0 1 0 .01 0Z',
  },
  walker: { strokes: 'M20 12L18 24L10 37M18 24L27 37M20 14L28 21M20 14L12 21', fill: 'M21 1a4.6 4.6 0 1 0 .01 0Z' },
  cycle: {
    strokes: 'M9 20a8 8 0 1 0 .01 0ZM31 20a8 8 0 1 0 .01 0ZM9 28L16 12H28L20 28L16 12M28 12L31 28M24 7H29L28 12',
  },
  animal: { fill: 'M3 18L9 14H27L31 8L37 12L34 17L32 26V37H28V27H13V37H9V25L5 22Z' },
  works: {
    strokes: 'M17 12L12 24L6 37M12 24L22 30L22 37M16 14L26 22L30 32',
    fill: 'M19 2a4.5 4.5 0 1 0 .01 0ZM24 38L31 29L39 38Z',
  },
  gate: { strokes: 'M3 12H37M3 28H37M6 8V36M16 8V36M26 8V36M35 8V36' },
  wind: { strokes: 'M8 38V6', fill: 'M10 6L36 11V17L10 24Z' },
  queue: { fill: 'M8 36V28L11 23H29L32 28V36ZM12 20V14L15 10H25L28 14V20ZM15 7V3L17 1H23L25 3V7Z' },
  bar: { fill: 'M-12 14H52V26H-12Z' },
  'two-cars': { fill: 'M0 30V20L4 12H14L18 20V30ZM22 30V20L26 12H36L40 20V30Z' },
  'turn-left': { strokes: `M28 38V20Q28 14 22 14H8${head(6, 14, 'left')}` },
  'turn-right': { strokes: `M12 38V20Q12 14 18 14H32${head(34, 14, 'right')}` },
  'u-turn': { strokes: `M29 38V16Q29 6 20 6T11 16V28${head(11, 30, 'down')}` },
  lorry: { fill: 'M-2 28V10H24V28ZM26 28V16H34L40 22V28ZM6 28a4 4 0 1 0 .01 0ZM32 28a4 4 0 1 0 .01 0Z' },
  'narrow-arrows': { strokes: `M12 2V36${head(12, 38, 'down')}M29 38V12${head(29, 10, 'up')}` },
  'arrow-up': { strokes: `M20 38V6${head(20, 3, 'up')}` },
  'arrow-left': { strokes: `M38 20H6${head(3, 20, 'left')}` },
  'arrow-down-left': { strokes: 'M34 6L10 30M10 15V31H26' },
  'dead-end': { strokes: 'M20 38V10M6 8H34' },
};
