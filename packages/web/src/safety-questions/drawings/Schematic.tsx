import {
  controlPlaces,
  placeNames,
  schematicPoint,
  type ControlPlace,
  type VehicleProfile,
} from '@jasperwren/core/safety-questions/vehicle';
import styles from './schematic.module.css';

interface Props {
  readonly wheelSide: VehicleProfile['wheelSide'];
  /** Places that stand out. */
  readonly shown?: readonly ControlPlace[] | undefined;
  /** A place that was chosen and is not the right one. */
  readonly wrong?: ControlPlace | undefined;
  readonly onPlace?: ((place: ControlPlace) => void) | undefined;
}

/** The places in front of the driver, drawn without any car in particular. */
export function Schematic({ wheelSide, shown = [], wrong, onPlace }: Props) {
  const left = wheelSide === 'left';
  return (
    <div className={styles.schematic}>
      <svg viewBox="0 0 1000 520" aria-hidden="true" focusable="false">
        <g transform={left ? 'matrix(-1 0 0 1 1000 0)' : undefined}>
          <path
            className={styles.dash}
            d="M40 200Q60 110 200 104H860Q960 110 976 210L990 372L930 396H470L410 500H190L130 396H20Z"
          />
          <rect className={styles.panel} x="214" y="150" width="172" height="242" rx="16" />
          <path className={styles.line} d="M214 228H386M214 312H386" />
          <path className={styles.panel} d="M548 168Q660 118 772 168V214H548Z" />
          <rect className={styles.panel} x="236" y="428" width="128" height="82" rx="14" />
          <circle className={styles.wheel} cx="660" cy="300" r="132" />
          <circle className={styles.panel} cx="660" cy="296" r="46" />
          <path className={styles.wheelSpokes} d="M614 302L532 320M706 302L788 320M660 342V430" />
          <path className={styles.stalk} d="M560 250L470 226M760 250L850 226" />
          <path className={styles.line} d="M940 330V500" />
        </g>
      </svg>
      {controlPlaces.map((place) => {
        const { x, y } = schematicPoint(place, wheelSide);
        const at = { left: `${x / 10}%`, top: `${y / 5.2}%` };
        const state = stateOf(place, wrong, shown);
        if (!onPlace)
          return state === 'plain' ? null : (
            <span
              key={place}
              role="img"
              aria-label={placeNames[place]}
              className={styles.spot}
              data-state={state}
              style={at}
            />
          );
        return (
          <button
            key={place}
            type="button"
            className={styles.spot}
            data-state={state}
            style={at}
            aria-label={placeNames[place]}
            title={placeNames[place]}
            onClick={() => onPlace(place)}
          />
        );
      })}
    </div>
  );
}

function stateOf(place: ControlPlace, wrong: ControlPlace | undefined, shown: readonly ControlPlace[]) {
  if (place === wrong) return 'wrong';
  return shown.includes(place) ? 'shown' : 'plain';
}
