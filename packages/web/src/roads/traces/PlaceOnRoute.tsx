import type { CarRoute } from '@jasperwren/core/routes/car-route';
import { between, nearestAlong, placesAlong } from '@jasperwren/core/routes/along-line';
import { metresBetween, type Place } from '@jasperwren/roads/geometry';
import { instructorStyle } from '@jasperwren/roads/directions/calls';
import { callSentence } from '@jasperwren/words/roads/directions';
import { aheadWords } from '@jasperwren/words/roads/distances';
import { t } from '@jasperwren/words/traces';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import { useMemo, useState } from 'react';
import { useAppSelector } from '../../base/hooks';
import { isRecording } from './recording-slice';
import styles from './place-on-route.module.css';

interface Props {
  readonly driveId: string;
  readonly route: CarRoute;
  /** Seconds driven when the fault was made. */
  readonly seconds: number;
  /** Where it is known to have been. */
  readonly place: Place | undefined;
  readonly onPlace: (place: Place) => void;
}

/** So many junctions of the route are offered, those nearest to where the car was by its pace. */
const offered = 4;
/** A place this near to a junction, in metres, is that junction. */
const sameWithin = 15;

/** Where a fault was made on the planned route: a junction of it at one touch, or a place along it. */
export default function PlaceOnRoute(props: Props) {
  // What is recorded says by itself where each fault was.
  return useAppSelector(isRecording(props.driveId)) ? null : <Placing {...props} />;
}

function Placing({ route: { line, pace, calls, metres: length, units }, seconds, place, onPlace }: Props) {
  const expected = useMemo(() => {
    if (place) return nearestAlong(line, place).metres;
    return between(
      pace.map(([at, second]) => [second, at] as const),
      seconds,
    );
  }, [line, pace, seconds, place]);
  const [moved, setMoved] = useState<number>();
  const metres = moved ?? expected;
  const at = useMemo(() => placesAlong(line), [line]);
  const near = calls
    .filter(({ again }) => again === undefined)
    // A call is given so far before its junction.
    .map((call) => ({ call, metres: call.at + call.distance }))
    .toSorted((a, b) => Math.abs(a.metres - expected) - Math.abs(b.metres - expected))
    .slice(0, offered)
    .toSorted((a, b) => a.metres - b.metres);
  const isThere = (junction: Place) =>
    place !== undefined && metresBetween(place.lat, place.lon, junction.lat, junction.lon) <= sameWithin;
  const put = (where: Place) => {
    setMoved(undefined);
    onPlace({ lat: where.lat, lon: where.lon });
  };
  return (
    <section className={styles.where} aria-label={t('whereOnRoute')}>
      <h3>{t('whereOnRoute')}</h3>
      <div className={styles.junctions}>
        {near.map(({ call, metres: along }) => (
          <button key={call.at} type="button" aria-pressed={isThere(call.junction)} onClick={() => put(call.junction)}>
            {callSentence(call, instructorStyle, units)}
            <small>{t('afterOnRoute', { distance: aheadWords(along, units) })}</small>
          </button>
        ))}
      </div>
      <div className={styles.along}>
        <Slider
          aria-label={t('alongRoute')}
          min={0}
          max={Math.floor(length)}
          step={10}
          marks={near.map((one) => ({ value: one.metres }))}
          value={metres}
          getAriaValueText={(value) => aheadWords(value, units)}
          onChange={(_, value) => setMoved(value)}
        />
        <Button variant="outlined" onClick={() => put(at(metres))}>
          {t('putAt', { distance: aheadWords(metres, units) })}
        </Button>
      </div>
      <p className="muted" role="status">
        {place
          ? t('placedAfter', { distance: aheadWords(nearestAlong(line, place).metres, units) })
          : t('notPlacedYet')}
      </p>
    </section>
  );
}
