import { amberZone, usualAmber } from '@jasperwren/motion/stopping/amber';
import { countdownSeconds, gapNeeded, sightRoundBend, speedRoundBend, wayIn } from '@jasperwren/motion/stopping/seeing';
import type { Driver, Surface } from '@jasperwren/motion/stopping/stopping';
import { t } from '@jasperwren/words/stopping';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useState } from 'react';
import { Section } from '../../ui/Page';
import { NumberField } from '../NumberField';
import styles from '../wheels.module.css';

interface Props {
  /** The speed that is asked about, in m/s, and how a speed is said. */
  readonly mps: number;
  readonly words: (mps: number) => string;
  /** m/s of one of the unit that is shown. */
  readonly ofUnit: number;
  readonly unitName: string;
  readonly driver: Driver;
  readonly surface: Surface;
}

const within = (value: number | undefined, usual: number, least: number, most: number) =>
  value !== undefined && value >= least && value <= most ? value : usual;

/** What a speed means at signals, at an amber, at a junction and round a bend. */
export function Seeing({ mps, words, ofUnit, unitName, driver, surface }: Props) {
  const [amberS, setAmberS] = useState<number>(usualAmber.amberS);
  const [junctionM, setJunctionM] = useState<number>(usualAmber.junctionM);
  const [trafficMps, setTrafficMps] = useState(13.4);
  const [radiusM, setRadiusM] = useState(40);
  const [hedgeM, setHedgeM] = useState(3);
  const [half, setHalf] = useState(false);
  const amber = amberZone(mps, { ...usualAmber, amberS, junctionM });
  const [first, second, third] = countdownSeconds(mps).map((seconds) => seconds.toFixed(0)) as [string, string, string];
  const emerging = { reactionS: 1, accelerationMps2: 2, wayM: 10, trafficMps };
  return (
    <>
      <Section title={t('signal')}>
        <p>
          {t('signalAnswer', {
            speed: words(mps),
            metres: wayIn(mps, 5).toFixed(0),
            gap: wayIn(mps, 2).toFixed(0),
          })}
        </p>
        <p>{t('countdown', { speed: words(mps), first, second, third })}</p>
      </Section>
      <Section title={t('amber')}>
        <p>{t('amberStop', { stop: amber.stopM.toFixed(0) })}</p>
        {amber.zone && (
          <p>
            {t(amber.zone.kind === 'neither' ? 'amberNeither' : 'amberEither', {
              from: amber.zone.fromM.toFixed(0),
              to: amber.zone.toM.toFixed(0),
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
        </div>
        <p className="muted">{t('amberSource')}</p>
      </Section>
      <Section title={t('junction')}>
        {([false, true] as const).map((joins) => {
          const gap = gapNeeded({ ...emerging, joins });
          return (
            <p key={String(joins)}>
              {t('gapAnswer', {
                how: t(joins ? 'joining' : 'crossing'),
                seconds: gap.seconds.toFixed(1),
                speed: words(trafficMps),
                metres: gap.metres.toFixed(0),
              })}
            </p>
          );
        })}
        <div className={styles.fields}>
          <NumberField
            label={t('traffic', { unit: unitName })}
            value={Math.round(trafficMps / ofUnit)}
            step={5}
            onNumber={(value) => setTrafficMps(within(value, 30, 5, 130) * ofUnit)}
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
    return t(half ? 'bendHalf' : 'bendAnswer', {
      sight: sightRoundBend(radiusM, hedgeM).toFixed(0),
      speed: words(speedRoundBend(radiusM, hedgeM, half, driver, surface)),
    });
  }
}
