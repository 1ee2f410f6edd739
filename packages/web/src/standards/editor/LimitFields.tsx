import { t } from '@jasperwren/words/editor';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { settingsOf } from '@jasperwren/core/marking/options';
import { countsMarks } from '@jasperwren/core/marking/rules';
import type { Limit, LimitEffect, LimitScope, Standard } from '@jasperwren/core/marking/standard';
import { unitOf } from '@jasperwren/words/marking/amounts';
import { Rows } from '../../ui/Page';
import { setBySchool } from '@jasperwren/core/marking/provenance';
import { CapRow } from './CapRow';
import { freeCode, inList, withNewCap, without, type EditProps } from './change';
import styles from './editor.module.css';
import { ChoiceEdit, NumberEdit, TextEdit } from './fields';

/** The limits, caps and what crossing them does. */
export function LimitFields({ standard, change }: EditProps) {
  const governed = new Set(
    settingsOf(standard).flatMap((setting) => (setting.kind === 'limit' ? [setting.limit] : [])),
  );
  const add = () => {
    const limit: Limit = {
      code: freeCode(standard.limits),
      name: t('newLimitN', { n: standard.limits.length + 1 }),
      scope: { kind: 'category' },
      measure: { kind: 'count', grades: standard.grades.slice(0, 1).map(({ code }) => code) },
      allowed: setBySchool(3),
      effect: { kind: 'fail-test' },
    };
    change((is) => ({ ...is, limits: [...is.limits, limit] }));
  };
  return (
    <>
      <Rows>
        {standard.limits.map((limit) => (
          <li key={limit.code} className={styles.fields} aria-label={t('limitLimit', { limit: limit.name })}>
            <LimitRow limit={limit} standard={standard} change={change} governed={governed.has(limit.code)} />
          </li>
        ))}
        {standard.caps.map((cap) => (
          <CapRow key={cap.code} cap={cap} standard={standard} change={change} />
        ))}
      </Rows>
      <Button variant="outlined" onClick={add}>
        {t('addLimit')}
      </Button>{' '}
      {standard.categories.some(({ items }) => items.length > 0) && (
        <Button variant="outlined" onClick={() => change(withNewCap)}>
          {t('addCap')}
        </Button>
      )}
    </>
  );
}

const scopes: readonly (readonly [LimitScope['kind'], string])[] = [
  ['test', t('wholeTest')],
  ['category', t('eachArea')],
  ['item', t('eachFaultType')],
  ['class', t('eachClassOfFault')],
  ['exercise', t('eachExercise')],
];

const effects: readonly (readonly [LimitEffect['kind'], string])[] = [
  ['fail-test', t('failsTheTest')],
  ['fail-exercise', t('failsTheExercise')],
  ['ask-upgrade', t('asksWhetherToUpgrade')],
  ['upgrade', t('upgradesTheFault')],
];

function LimitRow({
  limit,
  standard,
  change,
  governed,
}: EditProps & { readonly limit: Limit; readonly governed: boolean }) {
  const { measure, scope, effect } = limit;
  const set = (changes: Partial<Limit>) => change(inList('limits', limit.code, changes));
  const single = Object.keys(scope).length > 1;
  return (
    <>
      <TextEdit label={t('limit')} value={limit.name} onChange={(name) => set({ name })} width="13rem" />
      {governed ? (
        <span className="muted">{t('setByAnOptionBelow')}</span>
      ) : (
        <NumberEdit
          label={t('limit')}
          unit={unitOf(measure, 2)}
          value={limit.allowed}
          onChange={(allowed) => set({ allowed })}
          width="9.5rem"
        />
      )}
      {countsMarks(measure) && (
        <TextField
          select
          size="small"
          label={t('gradesCounted')}
          value={measure.grades}
          onChange={(event) => set({ measure: { ...measure, grades: event.target.value as unknown as string[] } })}
          slotProps={{ select: { multiple: true } }}
          sx={{ width: '12rem' }}
        >
          {standard.grades.map(({ code, name }) => (
            <MenuItem key={code} value={code}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      )}
      {countsMarks(measure) && !single && (
        <ChoiceEdit
          label={t('appliesTo')}
          value={scope.kind}
          choices={scopes}
          onChange={(kind) => set({ scope: { kind } })}
          width="11rem"
        />
      )}
      {countsMarks(measure) && (
        <ChoiceEdit
          label={t('whenExceeded')}
          value={effect.kind}
          choices={effects}
          onChange={(kind) => set({ effect: effectOf(kind, standard) })}
          width="12rem"
        />
      )}
      <Button
        variant="text"
        aria-label={t('removeLimit', { limit: limit.name })}
        onClick={() => change(without('limits', limit.code))}
      >
        {t('remove')}
      </Button>
    </>
  );
}

function effectOf(kind: LimitEffect['kind'], standard: Standard): LimitEffect {
  if (kind !== 'ask-upgrade' && kind !== 'upgrade') return { kind };
  const grave = standard.grades.find(({ sign }) => sign === 'outright') ?? standard.grades.at(-1);
  return { kind, grade: grave?.code ?? '' };
}
