import type { Shown, View } from '@jasperwren/motion/sight/views';
import { useId } from 'react';
import styles from './sight.module.css';

interface Props {
  readonly view: View;
  readonly label: string;
}

const path = ({ points, filled }: Shown): string =>
  points.map(({ right, up }, i) => `${i === 0 ? 'M' : 'L'}${right.toFixed(4)} ${(-up).toFixed(4)}`).join('') +
  (filled ? 'Z' : '');

/** What a driver sees in a mirror or through a window. */
export function ViewPicture({ view: { left, bottom, wide, tall, shown }, label }: Props) {
  const clip = useId();
  return (
    <svg
      className={styles.view}
      viewBox={`${left} ${-bottom - tall} ${wide} ${tall}`}
      role="img"
      aria-label={label}
      preserveAspectRatio="xMidYMid meet"
      style={{ aspectRatio: wide / tall }}
    >
      <clipPath id={clip}>
        <rect x={left} y={-bottom - tall} width={wide} height={tall} rx={tall / 9} />
      </clipPath>
      <g clipPath={`url(#${clip})`}>
        <rect className={styles.sky} x={left} y={-bottom - tall} width={wide} height={tall} />
        {shown.map((one, i) => (
          <path key={i} className={styles[one.filled ? `${one.kind}Filled` : one.kind]} d={path(one)} />
        ))}
      </g>
      <rect className={styles.frame} x={left} y={-bottom - tall} width={wide} height={tall} rx={tall / 9} />
    </svg>
  );
}
