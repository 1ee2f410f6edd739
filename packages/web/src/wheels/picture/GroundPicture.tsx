import { barFor } from '@jasperwren/motion/set-out/scale';
import { groundOf, markerRadiusM, type Layout } from '@jasperwren/motion/layout/layout';
import { t } from '@jasperwren/words/motion';
import useMediaQuery from '@mui/material/useMediaQuery';
import type { ReactNode } from 'react';
import { shapeOf, pathOf, type Frame } from './outline';
import styles from './picture.module.css';

interface Props {
  readonly layout: Layout;
  readonly frame: Frame;
  readonly label: string;
  /** Ids of markers and edges that are touched. */
  readonly touched?: ReadonlySet<string>;
  readonly children?: ReactNode;
}

/** A marker is drawn at least this large, in metres. */
const seenM = 0.16;

/** The ground of an exercise from above: lines, kerbs, walls and markers, with whatever moves on it. */
export function GroundPicture({ layout, frame, label, touched, children }: Props) {
  const { left, top, width, height } = frame;
  const narrow = useMediaQuery('(max-width: 700px)');
  const bar = barFor((width * 1000) / 200);
  const isTouched = (id: string) => touched?.has(id) === true;
  return (
    <svg
      className={styles.picture}
      viewBox={`${left} ${-top} ${width} ${height}`}
      role="img"
      aria-label={label}
      fontSize={Math.max(width, height * 1.4) * (narrow ? 0.036 : 0.021)}
      preserveAspectRatio="xMidYMid meet"
    >
      {layout.edges.map((edge) =>
        edge.kind === 'line' ? (
          <path
            key={edge.id}
            className={isTouched(edge.id) ? styles.lineTouched : styles.line}
            d={shapeOf(groundOf(edge))}
          />
        ) : (
          <path
            key={edge.id}
            className={isTouched(edge.id) ? styles.edgeTouched : edge.kind === 'kerb' ? styles.kerb : styles.wall}
            d={pathOf([edge.from, edge.to])}
          />
        ),
      )}
      {children}
      {layout.markers.map(({ id, kind, x, y }) => (
        <g key={id}>
          <circle
            className={isTouched(id) ? styles.markerTouched : styles.marker}
            cx={x}
            cy={-y}
            r={Math.max(seenM, markerRadiusM[kind])}
          />
          <text className={styles.name} x={x + 0.28} y={-y - 0.22}>
            {id}
          </text>
        </g>
      ))}
      <g transform={`translate(${left + 0.5} ${height - top - 0.45})`}>
        <path className={styles.bar} d={`M0 0h${bar}M0 -0.12v0.24M${bar} -0.12v0.24`} />
        <text className={styles.name} x={bar + 0.2} y={0.12}>
          {t('scaleBar', { metres: bar })}
        </text>
      </g>
    </svg>
  );
}
