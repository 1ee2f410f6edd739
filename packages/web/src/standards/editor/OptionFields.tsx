import { t } from '@jasperwren/words/editor';
import { Rows } from '../../ui/Page';
import { inList, type EditProps } from './change';
import styles from './editor.module.css';
import { ChoiceEdit, TextEdit } from './fields';

/** What practitioners disagree on: one choice each, with the school's reason. */
export function OptionFields({ standard, change }: EditProps) {
  return (
    <Rows>
      {standard.options.map(({ code, name, choices, chosen, reason }) => (
        <li key={code} className={styles.fields}>
          <ChoiceEdit
            label={name}
            value={chosen}
            choices={choices.map((choice) => [choice.code, choice.name] as const)}
            onChange={(value) => change(inList('options', code, { chosen: value }))}
            width="24rem"
          />
          <div className={styles.wide}>
            <TextEdit
              label={t('why')}
              value={reason}
              onChange={(value) => change(inList('options', code, { reason: value }))}
              multiline
            />
          </div>
        </li>
      ))}
    </Rows>
  );
}
