import { t } from '@jasperwren/words/editor';
import { itemName } from '@jasperwren/words/marking/names';
import { effective } from '@jasperwren/core/marking/options';
import { setBySchool } from '@jasperwren/core/marking/provenance';
import type { Cap } from '@jasperwren/core/marking/standard';
import Button from '@mui/material/Button';
import { inList, without, type EditProps } from './change';
import styles from './editor.module.css';
import { ChoiceEdit, NumberEdit, SeveralEdit, TextEdit } from './fields';

/** A cap: which faults it holds together, how many are free and how many count at most. */
export function CapRow({ cap, standard, change }: EditProps & { readonly cap: Cap }) {
  const set = (changes: Partial<Cap>) => change(inList('caps', cap.code, changes));
  const named = effective(standard);
  return (
    <li className={styles.fields} aria-label={t('capCap', { cap: cap.name })}>
      <TextEdit label={t('cap')} value={cap.name} onChange={(name) => set({ name })} width="16rem" />
      <SeveralEdit
        label={t('faultTypes')}
        value={cap.items}
        choices={standard.categories.flatMap(({ items }) =>
          items.map(({ code }) => [code, itemName(named, code)] as const),
        )}
        onChange={(items) => set({ items })}
      />
      <SeveralEdit
        label={t('grades')}
        value={cap.grades}
        choices={standard.grades.map(({ code, name }) => [code, name] as const)}
        onChange={(grades) => set({ grades })}
      />
      <ChoiceEdit
        label={t('appliesTo')}
        value={cap.over}
        choices={[
          ['together', t('allTogether')],
          ['each', t('eachAlone')],
        ]}
        onChange={(over) => set({ over })}
        width="10rem"
      />
      <NumberEdit
        label={t('free')}
        unit={t('faultsUnit')}
        value={cap.free ?? setBySchool(0)}
        onChange={(free) => set({ free })}
        width="9rem"
      />
      {cap.atMost && (
        <NumberEdit
          label={t('mostThatCount')}
          unit={t('faultsUnit')}
          value={cap.atMost}
          onChange={(atMost) => set({ atMost })}
        />
      )}
      <Button
        variant="text"
        aria-label={t('removeName', { name: cap.name })}
        onClick={() => change(without('caps', cap.code))}
      >
        {t('remove')}
      </Button>
    </li>
  );
}
