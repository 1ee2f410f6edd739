import { sectionName } from '@jasperwren/words/names';
import { t } from '@jasperwren/words/editor';
import type { Standard } from '@jasperwren/core/marking/standard';
import type { EditProps } from './change';
import styles from './editor.module.css';
import { ChoiceEdit, NumberEdit, TextEdit } from './fields';

/** Name, words and times of a standard. */
export function HeadFields({ standard, change }: EditProps) {
  const set = (changes: Partial<Standard>) => change((is) => ({ ...is, ...changes }));
  const { name, summary, trafficSide, units, length, startScore, retestExtraS, requirements } = standard;
  return (
    <>
      <div className={styles.fields}>
        <TextEdit label={t('name')} value={name} onChange={(value) => set({ name: value })} width="20rem" />
        <div className={styles.wide}>
          <TextEdit label={t('inASentence')} value={summary} onChange={(value) => set({ summary: value })} multiline />
        </div>
      </div>
      <div className={styles.fields}>
        <ChoiceEdit
          label={t('trafficSide')}
          value={trafficSide}
          choices={[
            ['left', t('left')],
            ['right', t('right')],
          ]}
          onChange={(value) => set({ trafficSide: value })}
        />
        <ChoiceEdit
          label={t('units')}
          value={units}
          choices={[
            ['imperial', t('milesAndYards')],
            ['metric', t('kilometresAndMetres')],
          ]}
          onChange={(value) => set({ units: value })}
        />
        <NumberEdit
          label={t('wholeTest')}
          unit="min"
          value={length.totalMin}
          onChange={(totalMin) => set({ length: { ...length, totalMin } })}
        />
        {length.independentMin && (
          <NumberEdit
            label={t('independentPart')}
            unit="min"
            value={length.independentMin}
            onChange={(independentMin) => set({ length: { ...length, independentMin } })}
          />
        )}
        {startScore && (
          <NumberEdit
            label={t('startingScore')}
            unit="points"
            value={startScore}
            onChange={(value) => set({ startScore: value })}
          />
        )}
        {retestExtraS && (
          <NumberEdit
            label={t('extraForARepeat')}
            unit="s"
            value={retestExtraS}
            onChange={(value) => set({ retestExtraS: value })}
          />
        )}
        {requirements.map((requirement, i) =>
          requirement.kind === 'exercise' ? null : (
            <NumberEdit
              key={i}
              label={
                requirement.kind === 'driving-time'
                  ? t('minimumForAResult')
                  : t('minimumSection', { section: sectionName(requirement.section).toLowerCase() })
              }
              unit="min"
              value={requirement.atLeastMin}
              onChange={(atLeastMin) =>
                set({ requirements: requirements.map((r, at) => (at === i ? { ...requirement, atLeastMin } : r)) })
              }
            />
          ),
        )}
      </div>
    </>
  );
}
