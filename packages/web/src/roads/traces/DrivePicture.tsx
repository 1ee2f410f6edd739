import type { TraceView } from '@jasperwren/contract/traces';
import type { Drive } from '@jasperwren/core/drive/drive';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { whereAt, type TraceReading } from '@jasperwren/core/traces/reading';
import { edgeNameNear } from './name-near';
import type { StoredRoads } from '@jasperwren/roads/source';
import { itemName } from '@jasperwren/words/marking/names';
import type { Units } from '@jasperwren/words/roads/distances';
import { shortWords, t } from '@jasperwren/words/traces';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Slider from '@mui/material/Slider';
import { useMemo, useState } from 'react';
import { clockTime } from '../../ui/format';
import { GradeSign } from '../../ui/GradeSign';
import { Ribbon } from '../../ui/Ribbon';
import { RoadPicture } from '../picture/RoadPicture';
import styles from './drive-road.module.css';
import { FaultsOnRoad } from './FaultsOnRoad';
import { CarMark } from './SignMark';
import { TraceLines } from './TraceLines';
import { boundsOf } from '../picture/bounds';

interface Props {
  readonly trace: Pick<TraceView, 'marks' | 'zeroMs' | 'familiarity'>;
  readonly reading: TraceReading;
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  readonly stored: StoredRoads;
  readonly units: Units;
  /** The moment that is looked at, in milliseconds of the drive's clock. */
  readonly atMs: number;
  readonly onMoment: (atMs: number) => void;
  /** Is told of a fault that is chosen. */
  readonly onMark?: (markId: string) => void;
  /** Without the list of faults, where one stands below anyway. */
  readonly plain?: boolean;
}

/** The way that was driven on the picture of the roads, the faults on it, and a moment that moves along both. */
export function DrivePicture({
  trace,
  reading,
  standard,
  drive,
  stored,
  units,
  atMs,
  onMoment,
  onMark,
  plain = false,
}: Props) {
  const [chosen, setChosen] = useState<string>();
  const [showsKnown, setShowsKnown] = useState(false);
  const known = trace.familiarity && trace.familiarity.drives > 0 ? trace.familiarity.known : undefined;
  const { grades } = rulesOf(standard);
  const byId = useMemo(() => new Map(drive.marks.map((mark) => [mark.id, mark])), [drive]);
  const show = useMemo(
    () => boundsOf([...reading.pieces.flatMap(({ line }) => line), ...reading.beside.flatMap(({ line }) => line)]),
    [reading],
  );
  const car = whereAt(reading, trace.zeroMs + atMs);
  const road = car && edgeNameNear(stored, car);
  const endMs = drive.ended?.atMs ?? drive.lastMs;
  const choose = (markId: string) => {
    setChosen(markId);
    onMoment(byId.get(markId)?.atMs ?? 0);
    onMark?.(markId);
  };
  const placed = trace.marks.flatMap((one) => {
    const mark = byId.get(one.markId);
    return mark ? [{ ...one, mark, name: itemName(standard, mark.item) }] : [];
  });
  const elsewhere = drive.marks.filter(({ struck }) => !struck).length - placed.length;
  return (
    <>
      <div className={styles.picture} data-plain={plain}>
        <div className={styles.map}>
          <RoadPicture stored={stored} show={show}>
            <TraceLines reading={reading} known={showsKnown ? known : undefined} />
            <FaultsOnRoad standard={standard} drive={drive} places={placed} chosen={chosen} onChoose={choose} />
            {car && <CarMark lat={car.lat} lon={car.lon} />}
          </RoadPicture>
        </div>
        {!plain && (
          <section className={styles.faults} aria-label={t('faults')}>
            <h2>{t('faults')}</h2>
            {placed.length === 0 && <p className="muted">{t('noFaultsPlaced')}</p>}
            <ul>
              {placed.map(({ markId, mark, name, within }) => (
                <li key={markId}>
                  <button type="button" aria-pressed={markId === chosen} onClick={() => choose(markId)}>
                    <GradeSign sign={grades.get(mark.grade)?.sign ?? 'noted'} size={20} />
                    <span>
                      {name}
                      <small className="muted">
                        {clockTime(mark.atMs)}, {t('within', { distance: shortWords(within, units) })}
                      </small>
                    </span>
                  </button>
                </li>
              ))}
            </ul>
            {known && (
              <FormControlLabel
                control={<Checkbox checked={showsKnown} onChange={(_, on) => setShowsKnown(on)} />}
                label={t('showKnown')}
              />
            )}
            {elsewhere > 0 && <p className="muted">{t('faultsElsewhere', { count: elsewhere })}</p>}
          </section>
        )}
      </div>
      <Ribbon standard={standard} drive={drive} nowMs={endMs} chosen={chosen} onMark={choose} />
      <div className={styles.scrub}>
        <Slider
          aria-label={t('moment')}
          size="small"
          min={0}
          max={endMs}
          step={1000}
          value={atMs}
          getAriaValueText={clockTime}
          onChange={(_, value) => {
            setChosen(undefined);
            onMoment(value);
          }}
        />
      </div>
      <p role="status" className={styles.moment}>
        {t('at', { time: clockTime(atMs), where: car ? (road ?? t('unnamed')) : t('notOnRoads') })}
      </p>
    </>
  );
}
