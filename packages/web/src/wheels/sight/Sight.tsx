import { eyeView, looks, type Look } from '@jasperwren/motion/sight/eye-view';
import { t } from '@jasperwren/words/motion';
import { downWords, seatWords } from '@jasperwren/words/motion-sentences';
import { useMemo, useState } from 'react';
import { Choose } from '../../ui/Choose';
import { Scrub } from '../Scrub';
import wheels from '../wheels.module.css';
import { Mirrors, type Seen } from './Mirrors';
import { ViewPicture } from './ViewPicture';
import styles from './sight.module.css';

const lookNames: Readonly<Record<Look, string>> = { ahead: t('ahead'), left: t('lookLeft'), right: t('lookRight') };
const whereNames: Readonly<Record<Look, string>> = {
  ahead: t('whereAhead'),
  left: t('whereLeft'),
  right: t('whereRight'),
};

/** What the driver sees at a moment: in both mirrors and through the windows, with the seat further forward or back. */
export function Sight({ vehicle, placed, layout, heading }: Seen & { readonly heading: string }) {
  const [look, setLook] = useState<Look>('ahead');
  const [backM, setBack] = useState(0);
  const [downDeg, setDown] = useState(vehicle.mirrorDownDeg);
  const seated = useMemo(
    () => ({ ...vehicle, eyeAheadM: vehicle.eyeAheadM - backM, mirrorDownDeg: downDeg }),
    [vehicle, backM, downDeg],
  );
  const most = Math.round(vehicle.seatRangeM * 50) / 100;
  return (
    <section aria-label={t('youSee')}>
      <h2>{heading}</h2>
      <div className={styles.row}>
        <Mirrors vehicle={seated} placed={placed} layout={layout} />
        <figure>
          <ViewPicture
            view={eyeView(seated, placed, layout, look)}
            label={t('fromSeat', { where: whereNames[look] })}
          />
        </figure>
      </div>
      <div className={wheels.fields}>
        <Choose
          label={t('looking')}
          value={look}
          options={looks.map((one) => [one, lookNames[one]])}
          onChoose={setLook}
        />
      </div>
      <Scrub label={t('mirrorsDown')} min={0} max={15} step={0.5} value={downDeg} words={downWords} onValue={setDown} />
      {most > 0 && (
        <Scrub label={t('seat')} min={-most} max={most} step={0.01} value={backM} words={seatWords} onValue={setBack} />
      )}
      <p className="muted">{t('viewsWhy')}</p>
    </section>
  );
}
