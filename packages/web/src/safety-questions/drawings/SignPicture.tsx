import type { Sign, SignShape } from '@jasperwren/core/safety-questions/bank/signs';
import { glyphs } from './glyphs';

/** The colours of real signs; nothing else in the product wears them. */
const red = '#b3202a';
const blue = '#1f5a99';
const yellow = '#f2b705';
const white = '#fdfdfb';
const black = '#16191a';

interface Look {
  readonly plate: React.ReactNode;
  readonly ink: string;
  /** Where the square of the glyph goes, and how large. */
  readonly glyph: { readonly x: number; readonly y: number; readonly scale: number };
}

const looks: Readonly<Record<SignShape, Look>> = {
  warning: {
    plate: <path d="M50 9L94 87H6Z" fill={white} stroke={red} strokeWidth="9" strokeLinejoin="round" />,
    ink: black,
    glyph: { x: 33, y: 41, scale: 0.85 },
  },
  prohibition: {
    plate: <circle cx="50" cy="50" r="42" fill={white} stroke={red} strokeWidth="9" />,
    ink: black,
    glyph: { x: 30, y: 30, scale: 1 },
  },
  mandatory: {
    plate: <circle cx="50" cy="50" r="46" fill={blue} />,
    ink: white,
    glyph: { x: 26, y: 26, scale: 1.2 },
  },
  stop: {
    plate: <path d="M31 4H69L96 31V69L69 96H31L4 69V31Z" fill={red} stroke={white} strokeWidth="3" />,
    ink: white,
    glyph: { x: 30, y: 30, scale: 1 },
  },
  'give-way': {
    plate: <path d="M50 91L94 13H6Z" fill={white} stroke={red} strokeWidth="11" strokeLinejoin="round" />,
    ink: black,
    glyph: { x: 30, y: 22, scale: 1 },
  },
  information: {
    plate: <rect x="6" y="6" width="88" height="88" rx="8" fill={blue} />,
    ink: white,
    glyph: { x: 26, y: 26, scale: 1.2 },
  },
  end: {
    plate: (
      <>
        <circle cx="50" cy="50" r="44" fill={white} stroke={black} strokeWidth="3" />
        <path d="M22 78L78 22M30 84L84 30M16 70L70 16" stroke={black} strokeWidth="3.5" />
      </>
    ),
    ink: black,
    glyph: { x: 30, y: 30, scale: 1 },
  },
  priority: {
    plate: (
      <>
        <path d="M50 3L97 50L50 97L3 50Z" fill={white} stroke={black} strokeWidth="2" strokeLinejoin="round" />
        <path d="M50 20L80 50L50 80L20 50Z" fill={yellow} />
      </>
    ),
    ink: black,
    glyph: { x: 30, y: 30, scale: 1 },
  },
};

/** A prohibition of a turn or of passing carries a bar across; the others are forbidden by the ring alone. */
const crossed = new Set(['turn-left', 'turn-right', 'u-turn']);

/** A road sign, drawn. Its meaning is not in its name: that is what is asked. */
export function SignPicture({ sign, size = 160 }: { readonly sign: Sign; readonly size?: number }) {
  const { plate, ink, glyph: place } = looks[sign.shape];
  const text = sign.glyph.startsWith('text:') ? sign.glyph.slice(5) : undefined;
  const glyph = glyphs[sign.glyph];
  return (
    <svg width={size} height={size} viewBox="0 0 100 100" role="img" aria-label={describeShape(sign)}>
      {plate}
      {text && (
        <text
          x="50"
          y="50"
          dy="0.36em"
          textAnchor="middle"
          fontSize={text.length > 3 ? 26 : text.length > 2 ? 30 : 40}
          fontWeight="700"
          fill={ink}
        >
          {text}
        </text>
      )}
      {glyph && (
        <g
          transform={`translate(${place.x} ${place.y}) scale(${place.scale})`}
          stroke={ink}
          strokeWidth="4.4"
          strokeLinecap="round"
          strokeLinejoin="round"
          fill="none"
        >
          {glyph.strokes && <path d={glyph.strokes} />}
          {glyph.fill && <path d={glyph.fill} fill={sign.glyph === 'bar' ? white : ink} stroke="none" />}
        </g>
      )}
      {sign.glyph === 'bar' && <circle cx="50" cy="50" r="46" fill={red} />}
      {sign.glyph === 'bar' && <rect x="20" y="42" width="60" height="16" fill={white} />}
      {sign.shape === 'prohibition' && crossed.has(sign.glyph) && (
        <path d="M22 22L78 78" stroke={red} strokeWidth="7" />
      )}
    </svg>
  );
}

const shapeWords: Readonly<Record<SignShape, string>> = {
  warning: 'A triangle with a red edge',
  prohibition: 'A white disc in a red ring',
  mandatory: 'A blue disc',
  stop: 'A red octagon',
  'give-way': 'A triangle on its point with a red edge',
  information: 'A blue square',
  end: 'A white disc with black stripes',
  priority: 'A yellow square on its corner',
};

const glyphWords: Readonly<Record<string, string>> = {
  empty: '',
  bar: 'with a level white bar',
  walker: 'with a person on foot',
  cycle: 'with a bicycle',
  'two-cars': 'with two cars side by side',
  gate: 'with a fence',
  narrows: 'with two lines that come closer',
  'two-way': 'with two arrows, one up and one down',
};

/** What can be seen, for those who do not see it; never what it means. */
function describeShape({ shape, glyph }: Sign): string {
  const inside = glyph.startsWith('text:')
    ? `with ${glyph.slice(5)}`
    : (glyphWords[glyph] ?? `with ${glyph.replaceAll('-', ' ')}`);
  return [shapeWords[shape], inside].filter(Boolean).join(' ');
}
