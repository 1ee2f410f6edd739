/** The colours of the product by theme. Jasper, moss, ochre, slate and plum are signs of grade and verdict only. */
export const tokens = {
  day: {
    ground: '#F4EFE4',
    surface: '#FFFDF7',
    sunk: '#EAE3D4',
    ink: '#1F2829',
    muted: '#566163',
    rule: '#D8CFBE',
    faint: '#807A6C',
    jasper: '#9C3626',
    action: '#1F2829',
    onAction: '#F4EFE4',
    moss: '#2F6240',
    ochre: '#A86A00',
    slate: '#44606F',
    plum: '#5E2A4E',
  },
  night: {
    ground: '#12181A',
    surface: '#1B2325',
    sunk: '#0D1213',
    ink: '#EBE5D8',
    muted: '#A3ADAB',
    rule: '#364144',
    faint: '#6B7A7F',
    jasper: '#E8806B',
    action: '#2F3D41',
    onAction: '#F1ECE1',
    moss: '#86BE92',
    ochre: '#E3AE52',
    slate: '#9FB9C8',
    plum: '#CD95BC',
  },
} as const;

export type ThemeName = keyof typeof tokens;
export type TokenName = keyof (typeof tokens)['day'];

export const fonts = {
  heading: '"Bricolage Grotesque Variable", sans-serif',
  text: '"Atkinson Hyperlegible Next Variable", sans-serif',
} as const;
