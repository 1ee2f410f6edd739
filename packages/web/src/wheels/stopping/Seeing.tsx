import { amberZone, atAmber, usualAmber } from '@jasperwren/motion/stopping/amber';
import { awayOn, usualAwayMps2, type Road } from '@jasperwren/motion/stopping/road';
import { countdownSeconds, gapNeeded, sightRoundBend, speedRoundBend, wayIn } from '@jasperwren/motion/stopping/seeing';
import type { Driver } from '@jasperwren/motion/stopping/stopping';
import { t } from '@jasperwren/words/stopping';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useState } from 'react';
import { Section } from '../../ui/Page';
import { NumberField } from '../NumberField';
import styles from '../wheels.module.css';

interface Props {
  /** The speed that is asked about, in m/s, and how a speed and a distance are said. */
  readonly mps: number;
  readonly words: (mps: number) => string;
  readonly far: (metres: number) => string;
  /** m/s of one of the unit that is shown. */
  readonly ofUnit: number;
  readonly unitName: string;
  /** One driver and one road for all of it. */
  readonly driver: Driver;
  readonly road: Road;
}

const within = (value: number | undefined, usual: number, least: number, most: number) =>
  value !== undefined && value >= least && value <= most ? value : usual;

/** What a speed means at signals, at an amber, at a junction and round a bend. */
export function Seeing({ mps, words, far, ofUnit, unitName, driver, road }: Props) {
  const [amberS, setAmberS] = useState<number>(usualAmber.amberS);
  const [junctionM, setJunctionM] = useState<number>(usualAmber.junctionM);
  const [vehicleM, setVehicleM] = useState<number>(usualAmber.vehicleM);
  const [awayMps2, setAway] = useState<number>(usualAwayMps2);
  const [acrossM, setAcross] = useState(6);
  const [trafficMps, setTrafficMps] = useState(13.4);
  const [radiusM, setRadiusM] = useState(40);
  const [hedgeM, setHedgeM] = useState(3);
  const [half, setHalf] = useState(false);
  const stopping = atAmber(driver, road);
  const amber = amberZone(mps, { amberS, junctionM, vehicleM }, stopping);
  const [first, second, third] = countdownSeconds(mps).map((seconds) => seconds.toFixed(0)) as [string, string, string];
  const gaps = ([false, true] as const).map((joins) => ({
    joins,
    gap: gapNeeded({
      reactionS: driver.reactionS,
      accelerationMps2: awayOn(road, awayMps2),
      wayM: acrossM + vehicleM,
      trafficMps,
      joins,
    }),
  }));
  return (
    <>
      <Section title={t('signal')}>
        <p>{t('signalAnswer', { speed: words(mps), metres: far(wayIn(mps, 5)), gap: far(wayIn(mps, 2)) })}</p>
        <p>{t('countdown', { speed: words(mps), first, second, third })}</p>
      </Section>
      <Section title={t('amber')}>
        <p>{Number.isFinite(amber.stopM) ? t('amberStop', { stop: far(amber.stopM) }) : t('amberNever')}</p>
        {amber.zone && Number.isFinite(amber.stopM) && (
          <p>
            {t(amber.zone.kind === 'neither' ? 'amberNeither' : 'amberEither', {
              from: far(amber.zone.fromM),
              to: far(amber.zone.toM),
            })}
          </p>
        )}
        <div className={styles.fields}>
          <NumberField
            label={t('amberS')}
            value={amberS}
            step={0.5}
            onNumber={(value) => setAmberS(within(value, usualAmber.amberS, 1, 10))}
          />
          <NumberField
            label={t('junctionM')}
            value={junctionM}
            step={1}
            onNumber={(value) => setJunctionM(within(value, usualAmber.junctionM, 3, 80))}
          />
          <NumberField
            label={t('ofCar')}
            value={vehicleM}
            step={0.1}
            onNumber={(value) => setVehicleM(within(value, usualAmber.vehicleM, 2, 20))}
          />
        </div>
        <p className="muted">{t('amberSource', { braking: Math.max(0, stopping.brakingMps2).toFixed(1) })}</p>
      </Section>
      <Section title={t('junction')}>
        {gaps.map(
          ({ joins, gap }) =>
            gap && (
              <p key={String(joins)}>
                {t('gapAnswer', {
                  how: t(joins ? 'joining' : 'crossing'),
                  seconds: gap.seconds.toFixed(1),
                  speed: words(trafficMps),
                  metres: far(gap.metres),
                })}
              </p>
            ),
        )}
        {gaps.every(({ gap }) => !gap) && <p>{t('noGettingAway')}</p>}
        <div className={styles.fields}>
          <NumberField
            label={t('traffic', { unit: unitName })}
            value={Math.round(trafficMps / ofUnit)}
            step={5}
            onNumber={(value) => setTrafficMps(within(value, 30, 5, 130) * ofUnit)}
          />
          <NumberField
            label={t('across')}
            value={acrossM}
            step={0.5}
            onNumber={(value) => setAcross(within(value, 6, 2, 40))}
          />
          <NumberField
            label={t('away')}
            value={awayMps2}
            step={0.1}
            onNumber={(value) => setAway(within(value, usualAwayMps2, 0.3, 5))}
          />
        </div>
      </Section>
      <Section title={t('bend')}>
        <p>{bendWords()}</p>
        <div className={styles.fields}>
          <NumberField
            label={t('radius')}
            value={radiusM}
            step={5}
            onNumber={(value) => setRadiusM(within(value, 40, 5, 1000))}
          />
          <NumberField
            label={t('hedge')}
            value={hedgeM}
            step={0.5}
            onNumber={(value) => setHedgeM(within(value, 3, 0.5, 50))}
          />
          <FormControlLabel
            control={<Checkbox checked={half} onChange={(_, checked) => setHalf(checked)} />}
            label={t('single')}
          />
        </div>
      </Section>
    </>
  );

  function bendWords(): string {
    if (hedgeM >= radiusM) return t('bendWide');
    const { mps: most, by } = speedRoundBend(radiusM, hedgeM, half, driver, road);
    return t(by === 'grip' ? 'bendGrip' : half ? 'bendHalf' : 'bendAnswer', {
      sight: far(sightRoundBend(radiusM, hedgeM)),
      speed: words(most),
    });
  }
}
