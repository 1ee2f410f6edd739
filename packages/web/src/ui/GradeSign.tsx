import type { HelpKind } from '@jasperwren/core/drive/drive';
import type { GradeSign as Sign } from '@jasperwren/core/marking/standard';
import type { TokenName } from '../base/tokens';

/** What stands on the ribbon of a drive. */
export type Shape = Sign | 'pin' | HelpKind;

const colours: Readonly<Record<Shape, TokenName>> = {
  noted: 'slate',
  counted: 'ochre',
  outright: 'jasper',
  highest: 'plum',
  pin: 'muted',
  prompt: 'muted',
  intervention: 'ink',
};

interface Props {
  readonly sign: Shape;
  readonly size?: number;
  /** Drawn faintly: what a touch here would give, or what was taken out. */
  readonly ghost?: boolean;
  /** Takes the colour of the text around it. */
  readonly plain?: boolean;
}

/** The sign of a grade by shape and colour; the word stands beside it. */
export function GradeSign({ sign, size = 22, ghost = false, plain = false }: Props) {
  const colour = plain ? 'currentColor' : ghost ? 'var(--faint)' : `var(--${colours[sign]})`;
  return (
    <svg
      width={size}
      height={size}
      aria-hidden="true"
      focusable="false"
      style={{ display: 'block', flex: 'none', overflow: 'visible' }}
    >
      <SignShape sign={sign} colour={colour} unit={size / 24} />
    </svg>
  );
}

interface ShapeProps {
  readonly sign: Shape;
  readonly colour: string;
  /** Pixels to a unit of the drawing, which is 24 by 24. */
  readonly unit: number;
}

/** Drawn in its size, without a view box or a clip: the browser paints a hundred of them as one. */
function SignShape({ sign, colour, unit }: ShapeProps) {
  const scaled = (drawing: string) => drawing.replaceAll(/[\d.]+/g, (number) => String(Number(number) * unit));
  const middle = { cx: 12 * unit, cy: 12 * unit };
  switch (sign) {
    case 'noted':
      return <circle {...middle} r={7.5 * unit} fill="none" stroke={colour} strokeWidth={2.6 * unit} />;
    case 'counted':
      return <ellipse {...middle} rx={6 * unit} ry={9 * unit} fill={colour} />;
    case 'outright':
      return <path d={scaled('M12 1 L18 23 Q12 19 6 23Z')} fill={colour} />;
    case 'highest':
      return <path d={scaled('M7 1 L12 23 Q7 19 2 23Z M17 1 L22 23 Q17 19 12 23Z')} fill={colour} />;
    case 'prompt':
      return (
        <path
          d={scaled('M3 4 H21 V16 H13 L8 21 V16 H3 Z')}
          fill="none"
          stroke={colour}
          strokeWidth={2.4 * unit}
          strokeLinejoin="round"
        />
      );
    case 'intervention':
      return (
        <g fill="none" stroke={colour} strokeWidth={2.6 * unit}>
          <circle {...middle} r={9 * unit} />
          <circle {...middle} r={3 * unit} />
          <path d={scaled('M3 12 H9 M15 12 H21')} />
        </g>
      );
    case 'pin':
      return (
        <circle
          {...middle}
          r={8 * unit}
          fill="none"
          stroke={colour}
          strokeWidth={2.4 * unit}
          strokeDasharray={scaled('4 3.4')}
        />
      );
  }
}
