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
        <TextEdit label="Name" value={name} onChange={(value) => set({ name: value })} width="20rem" />
        <div className={styles.wide}>
          <TextEdit label="In a sentence" value={summary} onChange={(value) => set({ summary: value })} multiline />
        </div>
      </div>
      <div className={styles.fields}>
        <ChoiceEdit
          label="Traffic side"
          value={trafficSide}
          choices={[
            ['left', 'Left'],
            ['right', 'Right'],
          ]}
          onChange={(value) => set({ trafficSide: value })}
        />
        <ChoiceEdit
          label="Units"
          value={units}
          choices={[
            ['imperial', 'Miles and yards'],
            ['metric', 'Kilometres and metres'],
          ]}
          onChange={(value) => set({ units: value })}
        />
        <NumberEdit
          label="Whole test"
          unit="min"
          value={length.totalMin}
          onChange={(totalMin) => set({ length: { ...length, totalMin } })}
        />
        {length.independentMin && (
          <NumberEdit
            label="Independent part"
            unit="min"
            value={length.independentMin}
            onChange={(independentMin) => set({ length: { ...length, independentMin } })}
          />
        )}
        {startScore && (
          <NumberEdit
            label="Starting score"
            unit="points"
            value={startScore}
            onChange={(value) => set({ startScore: value })}
          />
        )}
        {retestExtraS && (
          <NumberEdit
            label="Extra for a repeat"
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
                  ? 'Needed for a verdict'
                  : `Needed of ${requirement.section} driving`
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
