import type { GradeSign as Sign } from '@jasperwren/core/marking/standard';
import type { TokenName } from '../base/tokens';

type Shape = Sign | 'pin';

const colours: Readonly<Record<Shape, TokenName>> = {
  noted: 'slate',
  counted: 'ochre',
  outright: 'jasper',
  highest: 'plum',
  pin: 'muted',
};

interface Props {
  readonly sign: Shape;
  readonly size?: number;
  /** Drawn in the colour of the rules: what a touch here would give. */
  readonly ghost?: boolean;
  /** Takes the colour of the text around it. */
  readonly plain?: boolean;
}

/** The sign of a grade by shape and colour; the word stands beside it. */
export function GradeSign({ sign, size = 22, ghost = false, plain = false }: Props) {
  const colour = plain ? 'currentColor' : ghost ? 'var(--rule)' : `var(--${colours[sign]})`;
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 24 24"
      aria-hidden="true"
      focusable="false"
      style={{ display: 'block', flex: 'none' }}
    >
      <SignShape sign={sign} colour={colour} />
    </svg>
  );
}

function SignShape({ sign, colour = `var(--${colours[sign]})` }: { readonly sign: Shape; readonly colour?: string }) {
  switch (sign) {
    case 'noted':
      return <circle cx="12" cy="12" r="7.5" fill="none" stroke={colour} strokeWidth="2.6" />;
    case 'counted':
      return <ellipse cx="12" cy="12" rx="6" ry="9" fill={colour} />;
    case 'outright':
      return <path d="M12 1 L18 23 Q12 19 6 23Z" fill={colour} />;
    case 'highest':
      return <path d="M7 1 L12 23 Q7 19 2 23Z M17 1 L22 23 Q17 19 12 23Z" fill={colour} />;
    case 'pin':
      return <circle cx="12" cy="12" r="8" fill="none" stroke={colour} strokeWidth="2.4" strokeDasharray="4 3.4" />;
  }
}
