import type { BenchDrive } from '@jasperwren/motion/moves/bench';
import { isFolded } from '@jasperwren/motion/vehicle/parts';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { t } from '@jasperwren/words/motion';
import { partName, thingName } from '@jasperwren/words/motion-sentences';
import type { ReactNode } from 'react';
import styles from '../wheels.module.css';

interface Props {
  readonly vehicle: Vehicle;
  readonly drive: BenchDrive;
  readonly children?: ReactNode;
}

/** What a drive on the bench counts so far. */
export function SoFar({ vehicle, drive, children }: Props) {
  return (
    <section aria-label={t('soFar')}>
      <h2>{t('soFar')}</h2>
      <dl className={styles.counts}>
        <dt>{t('movementsHead')}</dt>
        <dd>{drive.movements}</dd>
        <dt>{t('dry')}</dt>
        <dd>{t('times', { count: drive.dry })}</dd>
        <dt>{t('way')}</dt>
        <dd>{t('m', { value: drive.wayM.toFixed(1) })}</dd>
        <dt>{t('nearestNow')}</dt>
        <dd>{drive.near ? t('cm', { value: Math.round(drive.near.gapM * 100) }) : t('noGap')}</dd>
      </dl>
      {isFolded(vehicle, drive.placed.hitch) && (
        <p role="alert">
          <strong>{t('folded')}</strong>
        </p>
      )}
      <h3>{t('touched')}</h3>
      {drive.touches.length === 0 && <p className="muted">{t('nothingTouched')}</p>}
      <ul className={styles.touches}>
        {drive.touches.map((touch) => (
          <li key={`${touch.part} ${touch.thing} ${touch.atMs}`}>
            {t('touchedWhat', { part: partName(touch.part), thing: thingName(touch), way: touch.wayM.toFixed(1) })}
          </li>
        ))}
      </ul>
      {children}
    </section>
  );
}
