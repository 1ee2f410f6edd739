import type { Drive } from '@jasperwren/core/drive/drive';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { RouteReading } from '@jasperwren/core/routes/read-route';
import { nearestAlong, placesAlong } from '@jasperwren/core/routes/along-line';
import type { StoredRoads } from '@jasperwren/roads/source';
import { itemName } from '@jasperwren/words/marking/names';
import { lengthWords } from '@jasperwren/words/roads/distances';
import { t } from '@jasperwren/words/traces';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import { useMemo, useState } from 'react';
import { useMapClick } from '../picture/on-map';
import { clockTime } from '../../ui/format';
import { GradeSign } from '../../ui/GradeSign';
import { Failed, Loading, NotWorkedOut } from '../../ui/states';
import { RouteLines } from '../editor/RouteLines';
import { unitsOf } from '../format-route';
import { RoadPicture } from '../picture/RoadPicture';
import { useReading, useRoute } from '../use-route';
import { isRead } from '../work/use-roads-work';
import styles from './drive-road.module.css';
import { FaultsOnRoad } from './FaultsOnRoad';
import { CarMark } from './SignMark';
import { boundsOf } from '../picture/bounds';

/** Says of a mark where it was made. */
export type OnPlace = (markId: string, place: { readonly lat: number; readonly lon: number }) => unknown;

interface Props {
  readonly routeId: string;
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  readonly onPlace: OnPlace;
}

/** Without a trace: each fault is put at its place along the planned route, by a tap on it or by its length. */
export function PlaceByHand({ routeId, ...others }: Props) {
  const { route, stored, missing, unfetched } = useRoute(routeId);
  const { reading, failed, again } = useReading(stored, route?.stops);
  if (unfetched) return <Failed {...unfetched} />;
  if (missing) return null;
  if (failed !== undefined) return <NotWorkedOut what={t('route')} why={failed} onAgain={again} />;
  if (!stored || !reading) return <Loading what={t('route')} />;
  return isRead(reading) ? <Placing {...others} stored={stored} reading={reading} /> : null;
}

interface PlacingProps extends Omit<Props, 'routeId'> {
  readonly stored: StoredRoads;
  readonly reading: RouteReading;
}

/** A tap farther than this from the route is none, in metres. */
const tapWithin = 400;

function Placing({ standard, drive, onPlace, stored, reading }: PlacingProps) {
  const { grades } = rulesOf(standard);
  const units = unitsOf(stored);
  const marks = drive.marks.filter(({ struck }) => !struck);
  const [chosenId, setChosen] = useState(marks.find(({ place }) => !place)?.id ?? marks[0]?.id);
  const [metres, setMetres] = useState(0);
  const at = useMemo(() => placesAlong(reading.line), [reading]);
  const chosen = marks.find(({ id }) => id === chosenId);
  const place = at(metres);
  const choose = (id: string) => {
    setChosen(id);
    const known = marks.find((mark) => mark.id === id)?.place;
    if (known) setMetres(nearestAlong(reading.line, known).metres);
  };
  const go = (tapped: { readonly lat: number; readonly lon: number }) => {
    const near = nearestAlong(reading.line, tapped);
    if (near.off <= tapWithin) setMetres(near.metres);
  };
  const put = () => {
    if (!chosen) return;
    onPlace(chosen.id, { lat: place.lat, lon: place.lon });
    const next = marks.find(({ id, place: known }) => id !== chosen.id && !known);
    if (next) setChosen(next.id);
  };
  if (marks.length === 0) return <p className="muted">{t('noFaultsPlaced')}</p>;
  return (
    <>
      <p>{t('placeByHand')}</p>
      <div className={styles.picture}>
        <div className={styles.map}>
          <RoadPicture stored={stored} show={boundsOf(reading.line)}>
            <RouteLines reading={reading} onInsert={(_, tapped) => go(tapped)} />
            <Taps onTap={go} />
            <FaultsOnRoad
              standard={standard}
              drive={drive}
              places={marks.flatMap(({ id, place: known }) => (known ? [{ markId: id, ...known }] : []))}
              chosen={chosenId}
              onChoose={choose}
            />
            <CarMark lat={place.lat} lon={place.lon} />
          </RoadPicture>
        </div>
        <section className={styles.faults} aria-label={t('faults')}>
          <h2>{t('faults')}</h2>
          <ul>
            {marks.map(({ id, item, grade, atMs, place: known }) => (
              <li key={id}>
                <button type="button" aria-pressed={id === chosenId} onClick={() => choose(id)}>
                  <GradeSign sign={grades.get(grade)?.sign ?? 'noted'} size={20} ghost={!known} />
                  <span>
                    {itemName(standard, item)}
                    <small className="muted">
                      {clockTime(atMs)}, {known ? t('placed') : t('notPlaced')}
                    </small>
                  </span>
                </button>
              </li>
            ))}
          </ul>
        </section>
      </div>
      <div className={styles.scrub}>
        <Slider
          aria-label={t('alongRoute')}
          size="small"
          min={0}
          max={Math.floor(reading.metres)}
          step={10}
          value={metres}
          getAriaValueText={(value) => lengthWords(value, units)}
          onChange={(_, value) => setMetres(value)}
        />
      </div>
      <p className={styles.moment}>{t('afterOnRoute', { distance: lengthWords(metres, units) })}</p>
      <Button variant="contained" onClick={put} disabled={!chosen}>
        {t('putHere', { fault: chosen ? itemName(standard, chosen.item) : '' })}
      </Button>
    </>
  );
}

function Taps({ onTap }: { readonly onTap: (place: { readonly lat: number; readonly lon: number }) => void }) {
  useMapClick(onTap);
  return null;
}
