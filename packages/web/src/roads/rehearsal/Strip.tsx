import type { RouteReading } from '@jasperwren/core/routes/read-route';
import { placesAlong } from '@jasperwren/core/routes/along-line';
import type { FeatureKind } from '@jasperwren/roads/features/features';
import type { Units } from '@jasperwren/words/roads/distances';
import { t } from '@jasperwren/words/rehearsal';
import { useMemo } from 'react';
import { limitWords } from './limit-words';
import styles from './rehearsal.module.css';
import { sceneAt, type Dot } from './strip';

interface Props {
  readonly reading: RouteReading;
  readonly metres: number;
  readonly units: Units;
  /** -1 where traffic keeps left. */
  readonly side: number;
}

const size = { width: 1000, height: 460 };
const path = (dots: readonly Dot[]) =>
  dots.map(([x, y]) => `${(x * size.width).toFixed(1)},${(y * size.height).toFixed(1)}`).join(' ');

/** Features one sees at the roadside, and how they are drawn. */
const posts: Readonly<Partial<Record<FeatureKind, 'lights' | 'stripes' | 'bar' | 'ring'>>> = {
  signals: 'lights',
  crossing: 'stripes',
  stop: 'bar',
  'mini-roundabout': 'ring',
  'roundabout-left': 'ring',
  'roundabout-ahead': 'ring',
  'roundabout-right': 'ring',
};

/** The road ahead from the driver's seat, drawn in ink. */
export function Strip({ reading, metres, units, side }: Props) {
  const { line, metres: whole, limits, features, calls } = reading;
  const placeAt = useMemo(() => placesAlong(line), [line]);
  const scene = sceneAt(placeAt, metres, whole);
  const ahead = features.filter(({ kind, metres: at }) => posts[kind] && at > metres + 4 && at < metres + 200);
  const signs = limits.filter(([at]) => at > metres + 4 && at < metres + 160);
  const limit = limits.findLast(([at]) => at <= metres)?.[1] ?? limits[0]?.[1] ?? 0;
  const arms = calls.filter(
    ({ again, at, distance }) => !again && at + distance > metres + 4 && at + distance < metres + 220,
  );
  return (
    <svg
      className={styles.strip}
      viewBox={`0 0 ${size.width} ${size.height}`}
      preserveAspectRatio="xMidYMid slice"
      role="img"
      aria-label={t('limitSign', { limit: limitWords(limit, units) })}
    >
      <rect width={size.width} height={size.height * 0.42} className={styles.sky} />
      <rect y={size.height * 0.42} width={size.width} height={size.height} className={styles.land} />
      <polygon points={`${path(scene.left)} ${path(scene.right.toReversed())}`} className={styles.road} />
      <polyline points={path(scene.left)} className={styles.edge} />
      <polyline points={path(scene.right)} className={styles.edge} />
      <polyline points={path(scene.middle)} className={styles.middle} />
      {roadside(metres).flatMap((at) =>
        [-5.2, 5.2].map((across) => {
          const post = scene.at(at - metres, across);
          return post && <Reflector key={`${at} ${across}`} place={post} />;
        }),
      )}
      {arms.map(({ at, distance, decision }) => {
        const where = scene.at(at + distance - metres, 0);
        if (!where) return null;
        const w = 9000 * where.scale;
        return (
          <line
            key={`arm ${at}`}
            x1={where.dot[0] * size.width - (decision.kind === 'turn' && decision.turn === 'right' ? 0 : w)}
            x2={where.dot[0] * size.width + (decision.kind === 'turn' && decision.turn === 'left' ? 0 : w)}
            y1={where.dot[1] * size.height}
            y2={where.dot[1] * size.height}
            className={styles.arm}
            strokeWidth={Math.max(1.5, 3200 * where.scale * 0.06)}
          />
        );
      })}
      {ahead.map(({ kind, metres: at }, i) => (
        <Post key={`${kind} ${at} ${i}`} place={scene.at(at - metres, side * 4.6)} shape={posts[kind]!} />
      ))}
      {signs.map(([at, kmh]) => (
        <Post key={`limit ${at}`} place={scene.at(at - metres, side * 4.8)} text={limitWords(kmh, units)} />
      ))}
      <g transform="translate(900 326)">
        <rect x={-64} y={-30} width={128} height={56} rx={10} className={styles.plate} />
        <text className={styles.limit} y={8}>
          {limitWords(limit, units)}
        </text>
      </g>
    </svg>
  );
}

/** Posts at the roadside every so many metres, which let the speed be felt. */
const postEvery = 20;
const roadside = (metres: number) =>
  Array.from({ length: 9 }, (_, i) => (Math.floor(metres / postEvery) + i + 1) * postEvery);

function Reflector({ place: { dot, scale } }: { readonly place: { readonly dot: Dot; readonly scale: number } }) {
  const height = Math.min(90, 900 * scale);
  const [x, y] = [dot[0] * size.width, dot[1] * size.height];
  return (
    <line x1={x} x2={x} y1={y} y2={y - height} className={styles.reflector} strokeWidth={Math.max(1, 70 * scale)} />
  );
}

interface PostProps {
  readonly place: { readonly dot: Dot; readonly scale: number } | undefined;
  readonly shape?: 'lights' | 'stripes' | 'bar' | 'ring';
  readonly text?: string;
}

/** A sign of ours on a post. */
function Post({ place, shape, text }: PostProps) {
  if (!place) return null;
  const k = Math.min(2.4, place.scale * 22);
  return (
    <g transform={`translate(${place.dot[0] * size.width} ${place.dot[1] * size.height}) scale(${k})`}>
      <line y2={-62} className={styles.post} />
      {shape === 'lights' && (
        <>
          <rect x={-9} y={-100} width={18} height={42} rx={5} className={styles.plate} />
          {[-91, -79, -67].map((y) => (
            <circle key={y} cy={y} r={4} className={styles.ink} />
          ))}
        </>
      )}
      {shape === 'ring' && <circle cy={-76} r={14} className={styles.ring} />}
      {shape === 'bar' && <rect x={-16} y={-82} width={32} height={10} className={styles.ink} />}
      {shape === 'stripes' &&
        [-14, -4, 6].map((x) => <rect key={x} x={x} y={-92} width={5} height={28} className={styles.ink} />)}
      {text !== undefined && (
        <>
          <rect x={-34} y={-92} width={68} height={30} rx={6} className={styles.plate} />
          <text y={-71} className={styles.small}>
            {text}
          </text>
        </>
      )}
    </g>
  );
}
