import {
  bandAfter,
  beginningOf,
  beginnings,
  firstGrade,
  newMeasured,
  withBeginning,
  withEnd,
} from '@jasperwren/core/marking/edit/bands';
import { bySchool } from '@jasperwren/core/marking/provenance';
import { measuredUnits, type Band, type Item, type Measured, type Standard } from '@jasperwren/core/marking/standard';
import { t } from '@jasperwren/words/editor';
import { t as say } from '@jasperwren/words/editor-sentences';
import { choicesOf } from './choices';
import styles from './editor.module.css';
import { ChoicePhrase } from './Chosen';
import { AddPhrase, NumberPhrase, RemovePhrase, TextPhrase } from './Phrase';
import { Sentence } from './Sentence';

const mostBands = 10;

interface BandsProps {
  readonly standard: Standard;
  readonly item: Item | undefined;
  readonly bands: readonly Band[];
  readonly unit: string;
  readonly onChange: (bands: readonly Band[]) => void;
}

/** Which grade a measured value brings, a sentence a band: the first that holds it decides. */
export function BandPhrases({ standard, item, bands, unit, onChange }: BandsProps) {
  const inUnit = (n: number) => `${n}\u00a0${unit}`;
  return (
    <>
      <ul className={styles.lines}>
        {bands.map((band, i) => {
          const nth = { nth: i + 1 };
          const set = (next: Band) => onChange(bands.with(i, next));
          const beginning = beginningOf(band);
          const from = band.over ?? band.atLeast;
          return (
            <li key={i} aria-label={t('bandNth', nth)}>
              <Sentence
                say={(holes) => say('band', holes)}
                of={{
                  begins: (
                    <ChoicePhrase
                      label={t('bandBegins', nth)}
                      value={beginning}
                      choices={beginnings.map((one) => [one, t(`begins-${one}`)] as const)}
                      onChange={(next) => next && set(withBeginning(band, next))}
                    />
                  ),
                  from: from !== undefined && (
                    <NumberPhrase
                      label={t('bandFrom', nth)}
                      value={from}
                      words={inUnit}
                      onChange={(value) => set(withBeginning(band, beginning, value))}
                    />
                  ),
                  ends: (
                    <ChoicePhrase
                      label={t('bandEnds', nth)}
                      value={band.below === undefined ? 'open' : 'below'}
                      choices={[
                        ['below', t('ends-below')],
                        ['open', t('ends-open')],
                      ]}
                      onChange={(next) => set(withEnd(band, next === 'open' ? undefined : 2 * (from ?? 5)))}
                    />
                  ),
                  to: band.below !== undefined && (
                    <NumberPhrase
                      label={t('bandTo', nth)}
                      value={band.below}
                      words={inUnit}
                      onChange={(value) => set(withEnd(band, value))}
                    />
                  ),
                  grade: (
                    <ChoicePhrase
                      label={t('bandGrade', nth)}
                      value={band.grade}
                      choices={choicesOf('grades', standard)}
                      onChange={(grade) => grade && set({ ...band, grade, provenance: bySchool })}
                    />
                  ),
                }}
              />{' '}
              {bands.length > 1 && (
                <RemovePhrase name={t('bandNth', nth)} onRemove={() => onChange(bands.toSpliced(i, 1))} />
              )}
            </li>
          );
        })}
      </ul>
      {bands.length < mostBands && (
        <AddPhrase label={t('addBand')} onAdd={() => onChange(bandAfter(bands, firstGrade(standard, item)))} />
      )}
    </>
  );
}

interface MeasuredProps {
  readonly standard: Standard;
  readonly item: Item;
  /** Nothing takes the measurement out. */
  readonly onChange: (measured: Measured | undefined) => void;
}

/** What is measured of a fault, in which unit, and what it brings. */
export function MeasuredPhrase({ standard, item, onChange }: MeasuredProps) {
  const { measured } = item;
  if (!measured)
    return (
      <p>
        <AddPhrase
          label={t('measureOf', { item: item.name })}
          onAdd={() => onChange(newMeasured(t('newQuantity'), firstGrade(standard, item)))}
        />
      </p>
    );
  return (
    <div>
      <p>
        <Sentence
          say={(holes) => say('measured', holes)}
          of={{
            quantity: (
              <TextPhrase
                label={t('whatIsMeasured')}
                value={measured.quantity}
                onChange={(quantity) => onChange({ ...measured, quantity })}
              />
            ),
            unit: (
              <ChoicePhrase
                label={t('unit')}
                value={measured.unit}
                choices={measuredUnits.map((unit) => [unit, unit] as const)}
                onChange={(unit) => unit && onChange({ ...measured, unit })}
              />
            ),
            counts: (
              <ChoicePhrase
                label={t('ifMeasurementAndGradeDiffer')}
                value={measured.counts ?? 'value'}
                choices={[
                  ['value', say('valueCounts')],
                  ['grade', say('gradeCounts')],
                ]}
                onChange={(counts) => counts && onChange({ ...measured, counts })}
              />
            ),
          }}
        />{' '}
        <RemovePhrase name={measured.quantity} onRemove={() => onChange(undefined)} />
      </p>
      <BandPhrases
        standard={standard}
        item={item}
        bands={measured.bands}
        unit={measured.unit}
        onChange={(bands) => onChange({ ...measured, bands })}
      />
    </div>
  );
}
