import type { TraceView } from '@jasperwren/contract/traces';
import type { Drive } from '@jasperwren/core/drive/drive';
import { familiarityWord } from '@jasperwren/core/places/familiarity';
import type { TraceReading } from '@jasperwren/core/traces/reading';
import { percent } from '@jasperwren/words/lists';
import type { Units } from '@jasperwren/words/roads/distances';
import { shortWords, detourWords, leftOutWords, t } from '@jasperwren/words/traces';
import { Section } from '../../ui/Page';
import { sureFrom } from './TraceLines';

interface Props {
  readonly trace: TraceView;
  readonly reading: TraceReading;
  readonly drive: Drive;
  readonly units: Units;
  /** First name of the learner. */
  readonly name: string;
}

/** What else a trace says: how well the roads were known, whether the route was kept, and how far it can be trusted. */
export function TraceFacts({ trace, reading, drive, units, name }: Props) {
  const { familiarity, detours } = trace;
  const found = familiarity?.counts ? familiarityWord(familiarity.share) : undefined;
  const left = detours?.flat() ?? [];
  const unsure = unsureShare(reading);
  const leftOut = leftOutWords(reading.leftOut, reading.outOfOrder);
  return (
    <Section title={t('trace')}>
      {familiarity && (
        <p>
          {familiarity.drives > 0
            ? t('knownShare', {
                name,
                share: percent(familiarity.share),
                drives: t('tracedDrives', { count: familiarity.drives }),
              })
            : t('firstTrace', { name })}
        </p>
      )}
      {found && drive.familiarity && found !== drive.familiarity && (
        <p>{t('saidOtherwise', { said: t(drive.familiarity), found: t(found) })}</p>
      )}
      {detours && <p>{left.length === 0 ? t('kept') : t('left', { count: left.length })}</p>}
      {left.length > 0 && (
        <ul>
          {left.map(({ from, to }) => (
            <li key={from}>{detourWords(from, to, units)}</li>
          ))}
        </ul>
      )}
      <p className="muted">
        {t('accuracy', { distance: shortWords(reading.noise, units) })}{' '}
        {unsure >= 0.005 && `${t('unsure', { share: percent(unsure) })} `}
        {reading.beside.length > 0 && `${t('besideRoads', { count: reading.beside.length })} `}
        {leftOut}
      </p>
    </Section>
  );
}

/** The share of the length of a trace that is not sure. */
function unsureShare({ pieces }: TraceReading): number {
  let [unsure, whole] = [0, 0];
  for (const { sure, metres } of pieces) {
    whole += metres;
    sure.forEach(([from, chance], i) => {
      if (chance < sureFrom) unsure += (sure[i + 1]?.[0] ?? metres) - from;
    });
  }
  return whole > 0 ? unsure / whole : 0;
}
