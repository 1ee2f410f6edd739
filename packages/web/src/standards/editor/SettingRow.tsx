import { t } from '@jasperwren/words/editor';
import { unitOf } from '@jasperwren/words/marking/amounts';
import { itemName } from '@jasperwren/words/marking/names';
import { effective } from '@jasperwren/core/marking/options';
import { setBySchool } from '@jasperwren/core/marking/provenance';
import type { Setting } from '@jasperwren/core/marking/standard';
import Button from '@mui/material/Button';
import { BandFields } from './BandFields';
import type { EditProps } from './change';
import styles from './editor.module.css';
import { ChoiceEdit, NumberEdit, SeveralEdit } from './fields';

interface SettingProps extends Pick<EditProps, 'standard'> {
  readonly setting: Setting;
  /** Nothing takes it out. */
  readonly onChange: (setting: Setting | undefined) => void;
}

/** What a choice sets: how much a limit allows, which grades a fault type can have, or what its measured values bring. */
export function SettingRow({ setting, standard, onChange }: SettingProps) {
  const named = effective(standard);
  const items = standard.categories.flatMap((category) => category.items);
  const item = setting.kind === 'limit' ? undefined : items.find(({ code }) => code === setting.item);
  const limit = setting.kind === 'limit' ? standard.limits.find(({ code }) => code === setting.limit) : undefined;
  return (
    <div className={styles.fields}>
      {setting.kind === 'limit' ? (
        <>
          <ChoiceEdit
            label={t('limit')}
            value={setting.limit}
            choices={standard.limits.map(({ code, name }) => [code, name] as const)}
            onChange={(limit) => onChange({ ...setting, limit })}
          />
          <NumberEdit
            label={t('allowed')}
            unit={limit ? unitOf(limit.measure, 2) : ''}
            value={setBySchool(setting.allowed)}
            onChange={({ value }) => onChange({ ...setting, allowed: value })}
          />
        </>
      ) : (
        <ChoiceEdit
          label={t('faultType')}
          value={setting.item}
          choices={items
            .filter(({ measured }) => setting.kind === 'grades' || measured)
            .map(({ code }) => [code, itemName(named, code)] as const)}
          onChange={(code) => onChange({ ...setting, item: code })}
          width="20rem"
        />
      )}
      {setting.kind === 'grades' && (
        <SeveralEdit
          label={t('grades')}
          value={setting.grades}
          choices={standard.grades.map(({ code, name }) => [code, name] as const)}
          onChange={(grades) => onChange({ ...setting, grades })}
        />
      )}
      {setting.kind === 'bands' && (
        <BandFields
          standard={standard}
          item={item}
          bands={setting.bands}
          unit={item?.measured?.unit ?? ''}
          onChange={(bands) => onChange({ ...setting, bands })}
        />
      )}
      <Button variant="text" onClick={() => onChange(undefined)}>
        {t('remove')}
      </Button>
    </div>
  );
}
