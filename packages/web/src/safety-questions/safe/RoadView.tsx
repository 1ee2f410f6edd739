import { aheadM, isPlace, type Hazard, type Scenario } from '@jasperwren/core/safety-questions/safe-moment/road';
import styles from './safe.module.css';

/** Picture units a metre; the own car stands at `carY`. */
const perM = 3.4;
const carY = 500;
const heightU = 560;
const roadLeft = 120;
const roadWidth = 120;
/** Own lane, where traffic keeps left. */
const ownX = roadLeft + roadWidth / 4;
const otherX = roadLeft + (3 * roadWidth) / 4;

interface Props {
  readonly scenario: Scenario;
  readonly atS: number;
  /** A look in the mirror is under way. */
  readonly looking: boolean;
}

/** The road from above, running towards the car; what is behind shows in the mirror. */
export function RoadView({ scenario, atS, looking }: Props) {
  const offset = (scenario.speedMps * atS * perM) % 48;
  const seesBehind = scenario.level === 1 || looking;
  return (
    <svg className={styles.road} viewBox={`0 0 360 ${heightU}`} aria-hidden="true" focusable="false">
      <rect width="360" height={heightU} className={styles.verge} />
      {scenario.hazards.map((hazard, i) =>
        hazard.kind === 'junction' ? <SideRoad key={i} y={yOf(scenario, hazard, atS)} /> : null,
      )}
      <rect x={roadLeft} width={roadWidth} height={heightU} className={styles.surface} />
      <path
        d={`M${roadLeft + roadWidth / 2} ${offset - 48}V${heightU}`}
        className={styles.dashes}
        strokeDasharray="24 24"
      />
      {scenario.hazards.map((hazard, i) => (
        <HazardShape key={i} scenario={scenario} hazard={hazard} atS={atS} seesBehind={seesBehind} />
      ))}
      <Car x={ownX} y={carY} own />
    </svg>
  );
}

const yOf = (scenario: Scenario, hazard: Hazard, atS: number) => carY - aheadM(scenario, hazard, atS) * perM;

function SideRoad({ y }: { readonly y: number }) {
  return <rect x="0" width={roadLeft + 4} y={y - 26} height="26" className={styles.surface} />;
}

interface ShapeProps {
  readonly scenario: Scenario;
  readonly hazard: Hazard;
  readonly atS: number;
  readonly seesBehind: boolean;
}

function HazardShape({ scenario, hazard, atS, seesBehind }: ShapeProps) {
  const y = yOf(scenario, hazard, atS);
  if (y < -400 || y > heightU + 400) return null;
  if (!isPlace(hazard)) {
    if (y > carY + 20 && !seesBehind) return null;
    switch (hazard.kind) {
      case 'cyclist':
        return <Cyclist x={roadLeft + 14} y={y} />;
      case 'large-vehicle':
        return <rect x={otherX - 18} y={y - 46} width="36" height="92" rx="4" className={styles.lorry} />;
      case 'overtaker':
        return <Car x={y > carY + 60 ? ownX : otherX} y={y} />;
    }
  }
  const lengthU = hazard.lengthM * perM;
  switch (hazard.kind) {
    case 'crossing':
      return (
        <g className={styles.stripes}>
          {[0, 1, 2, 3, 4, 5].map((i) => (
            <rect
              key={i}
              x={roadLeft + 6 + i * 19}
              y={y - Math.max(lengthU, 14)}
              width="11"
              height={Math.max(lengthU, 14)}
            />
          ))}
        </g>
      );
    case 'bend':
      return <Bend y={y} lengthU={lengthU} />;
    case 'limit-change':
      return (
        <g transform={`translate(${roadLeft - 26} ${y})`}>
          <circle r="15" className={styles.limit} />
          <text textAnchor="middle" dy="5" className={styles.limitText}>
            30
          </text>
        </g>
      );
    case 'junction':
      return <path d={`M${roadLeft + 2} ${y - 26}V${y}`} className={styles.giveWay} strokeDasharray="5 4" />;
  }
}

/** A bend seen from above while the picture follows the road: chevrons along both edges. */
function Bend({ y, lengthU }: { readonly y: number; readonly lengthU: number }) {
  const chevrons = Math.max(2, Math.floor(lengthU / 34));
  return (
    <g className={styles.chevrons}>
      <rect x={roadLeft} y={y - lengthU} width={roadWidth} height={lengthU} className={styles.bend} />
      {Array.from({ length: chevrons }, (_, i) => {
        const at = y - 10 - (i * lengthU) / chevrons;
        return (
          <path
            key={i}
            d={`M${roadLeft + roadWidth + 8} ${at}l14 -9l-14 -9M${roadLeft + roadWidth + 22} ${at}l14 -9l-14 -9`}
          />
        );
      })}
    </g>
  );
}

function Cyclist({ x, y }: { readonly x: number; readonly y: number }) {
  return (
    <g transform={`translate(${x} ${y})`} className={styles.cyclist}>
      <path d="M0 -16V16M-8 -8H8" />
      <ellipse rx="6" ry="8" />
    </g>
  );
}

function Car({ x, y, own = false }: { readonly x: number; readonly y: number; readonly own?: boolean }) {
  return (
    <g transform={`translate(${x} ${y})`} className={own ? styles.own : styles.car}>
      <rect x="-14" y="-26" width="28" height="52" rx="8" />
      <path d="M-10 -12H10L8 -4H-8ZM-9 16H9" />
    </g>
  );
}
