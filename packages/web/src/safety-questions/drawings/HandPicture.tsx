/** The six hand signals, drawn: a car from behind for those to following traffic, from the front for a person on duty. */
const names = ['behind-right', 'behind-slow', 'behind-left', 'duty-right', 'duty-straight', 'duty-left'] as const;
export const handSignals: readonly string[] = names;

const words: Readonly<Record<string, string>> = {
  'behind-right': 'From behind: an arm straight out on the right, still',
  'behind-slow': 'From behind: an arm out on the right, moving up and down',
  'behind-left': 'From behind: an arm out on the right, moving in a circle',
  'duty-right': 'From the front: an arm straight out of the window',
  'duty-straight': 'From the front: a raised hand at the windscreen',
  'duty-left': 'From the front: an arm across, pointing inwards',
};

interface Props {
  readonly signal: string;
  readonly size?: number;
}

export function HandPicture({ signal, size = 200 }: Props) {
  const front = signal.startsWith('duty');
  return (
    <svg
      width={size}
      height={size * 0.66}
      viewBox="0 0 240 158"
      role="img"
      aria-label={words[signal] ?? signal}
      fill="none"
      stroke="currentColor"
      strokeWidth="4"
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      {front ? <FromTheFront /> : <FromBehind />}
      <g strokeWidth="9">{arm(signal)}</g>
    </svg>
  );
}

/** The driver sits on the right: seen from behind on the right, from the front on the left of the picture. */
function FromBehind() {
  return (
    <>
      <path d="M44 118V84L58 50Q60 44 68 44H142Q150 44 152 50L166 84V118Z" />
      <path d="M66 82L74 56H136L144 82Z" />
      <path d="M50 96H66M144 96H160M90 104H120M54 118V132H74V118M136 118V132H156V118" />
      <circle cx="126" cy="70" r="8" />
    </>
  );
}

function FromTheFront() {
  return (
    <>
      <path d="M74 124V88L90 46Q92 40 100 40H176Q184 40 186 46L202 88V124Z" />
      <path d="M94 86L104 52H172L182 86Z" />
      <path d="M84 102a8 8 0 1 0 .01 0M192 102a8 8 0 1 0 .01 0M116 108H160M84 124V138H104V124M172 124V138H192V124" />
      <circle cx="118" cy="66" r="8" />
    </>
  );
}

function arm(signal: string) {
  switch (signal) {
    case 'behind-right':
      return <path d="M152 84L222 84" />;
    case 'behind-slow':
      return (
        <>
          <path d="M152 84L208 96" />
          <path d="M218 66V122M210 74L218 64L226 74M210 114L218 124L226 114" strokeWidth="4" />
        </>
      );
    case 'behind-left':
      return (
        <>
          <path d="M152 84L200 84" />
          <path d="M224 84A20 20 0 1 0 214 101M224 98L213 102L211 90" strokeWidth="4" />
        </>
      );
    case 'duty-right':
      return <path d="M88 86L20 86" />;
    case 'duty-straight':
      return (
        <>
          <path d="M128 84L142 62" />
          <path d="M142 62L138 48M142 62L145 47M142 62L151 50" strokeWidth="4" />
        </>
      );
    case 'duty-left':
      return <path d="M126 80L166 76M156 70L168 76L158 83" />;
    default:
      return null;
  }
}
