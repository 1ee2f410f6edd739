import { t } from '@jasperwren/words/editor';
import { bySchool } from '@jasperwren/core/marking/provenance';
import type { Band, Item, Measured } from '@jasperwren/core/marking/standard';
import { measuredUnits } from '@jasperwren/core/marking/standard';
import Button from '@mui/material/Button';
import { bandAfter, beginningOf, beginnings, firstGrade, newMeasured, withBeginning, withEnd } from './bands-change';
import type { EditProps } from './change';
import styles from './editor.module.css';
import { ChoiceEdit, NumberEdit, TextEdit } from './fields';

const mostBands = 10;

interface BandsProps extends Pick<EditProps, 'standard'> {
  readonly item: Item | undefined;
  readonly bands: readonly Band[];
  readonly unit: string;
  readonly onChange: (bands: readonly Band[]) => void;
}

/** Which grade a measured value brings: the first band that holds it decides. */
export function BandFields({ standard, item, bands, unit, onChange }: BandsProps) {
  return (
    <>
      {bands.map((band, i) => {
        const nth = { nth: i + 1 };
        const set = (next: Band) => onChange(bands.with(i, next));
        const beginning = beginningOf(band);
        return (
          <div key={i} role="group" aria-label={t('bandNth', nth)} className={styles.fields}>
            <ChoiceEdit
              label={t('bandBegins', nth)}
              value={beginning}
              choices={beginnings.map((one) => [one, t(`begins-${one}`)] as const)}
              onChange={(next) => set(withBeginning(band, next))}
              width="9rem"
            />
            {beginning !== 'open' && (
              <NumberEdit
                label={t('bandFrom', nth)}
                unit={unit}
                value={{ value: band.over ?? band.atLeast ?? 0, provenance: band.provenance }}
                onChange={({ value }) => set(withBeginning(band, beginning, value))}
                width="9rem"
              />
            )}
            <ChoiceEdit
              label={t('bandEnds', nth)}
              value={band.below === undefined ? 'open' : 'below'}
              choices={[
                ['below', t('ends-below')],
                ['open', t('ends-open')],
              ]}
              onChange={(next) =>
                set(withEnd(band, next === 'open' ? undefined : 2 * (band.over ?? band.atLeast ?? 5)))
              }
              width="9rem"
            />
            {band.below !== undefined && (
              <NumberEdit
                label={t('bandTo', nth)}
                unit={unit}
                value={{ value: band.below, provenance: band.provenance }}
                onChange={({ value }) => set(withEnd(band, value))}
                width="9rem"
              />
            )}
            <ChoiceEdit
              label={t('bandGrade', nth)}
              value={band.grade}
              choices={standard.grades.map(({ code, name }) => [code, name] as const)}
              onChange={(grade) => set({ ...band, grade, provenance: bySchool })}
              width="12rem"
            />
            {bands.length > 1 && (
              <Button
                variant="text"
                aria-label={t('removeName', { name: t('bandNth', nth) })}
                onClick={() => onChange(bands.toSpliced(i, 1))}
              >
                {t('remove')}
              </Button>
            )}
          </div>
        );
      })}
      {bands.length < mostBands && (
        <Button variant="text" onClick={() => onChange(bandAfter(bands, firstGrade(standard, item)))}>
          {t('addBand')}
        </Button>
      )}
    </>
  );
}

interface MeasuredProps extends Pick<EditProps, 'standard'> {
  readonly item: Item;
  /** Nothing takes the measurement out. */
  readonly onChange: (measured: Measured | undefined) => void;
}

const whatCounts = [
  ['value', t('measurementCounts')],
  ['grade', t('gradeGivenCounts')],
] as const;

/** What is measured of a fault, in which unit, and what it brings. */
export function MeasuredFields({ standard, item, onChange }: MeasuredProps) {
  const { measured } = item;
  if (!measured)
    return (
      <Button
        variant="text"
        aria-label={t('measureOf', { item: item.name })}
        onClick={() => onChange(newMeasured(t('newQuantity'), firstGrade(standard, item)))}
      >
        {t('addMeasurement')}
      </Button>
    );
  return (
    <details className={styles.measured}>
      <summary>{t('measuredAs', { quantity: measured.quantity, unit: measured.unit })}</summary>
      <div className={styles.fields}>
        <TextEdit
          label={t('whatIsMeasured')}
          value={measured.quantity}
          onChange={(quantity) => onChange({ ...measured, quantity })}
          width="16rem"
        />
        <ChoiceEdit
          label={t('unit')}
          value={measured.unit}
          choices={measuredUnits.map((unit) => [unit, unit] as const)}
          onChange={(unit) => onChange({ ...measured, unit })}
          width="7rem"
        />
        <ChoiceEdit
          label={t('ifMeasurementAndGradeDiffer')}
          value={measured.counts ?? 'value'}
          choices={whatCounts}
          onChange={(counts) => onChange({ ...measured, counts })}
          width="15rem"
        />
        <Button
          variant="text"
          aria-label={t('removeName', { name: measured.quantity })}
          onClick={() => onChange(undefined)}
        >
          {t('remove')}
        </Button>
      </div>
      <BandFields
        standard={standard}
        item={item}
        bands={measured.bands}
        unit={measured.unit}
        onChange={(bands) => onChange({ ...measured, bands })}
      />
    </details>
  );
}
