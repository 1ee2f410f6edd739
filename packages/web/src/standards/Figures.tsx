import { provenanceWords } from '@jasperwren/words/marking/provenance';
import { sectionName } from '@jasperwren/words/names';
import { t } from '@jasperwren/words/standards';
import type { Provenance, Sourced } from '@jasperwren/core/marking/provenance';
import { unitOf } from '@jasperwren/words/marking/amounts';
import type { Limit, Standard } from '@jasperwren/core/marking/standard';
import type { ReactNode } from 'react';
import styles from './standards.module.css';

/** Where a number comes from. */
function Origin({ provenance }: { readonly provenance: Provenance }) {
  return <small>{provenanceWords(provenance)}</small>;
}

interface FigureRow {
  readonly name: string;
  readonly sourced: Sourced;
  readonly unit: string;
  /** What it does, in a few words. */
  readonly note?: string;
}

/** Numbers of a standard, each with its unit and where it comes from. */
export function FigureTable({
  label,
  rows,
}: {
  readonly label: string;
  readonly rows: readonly FigureRow[];
}): ReactNode {
  return (
    <table className={styles.figures} aria-label={label}>
      <tbody>
        {rows.map(({ name, sourced, unit, note }, i) => (
          <tr key={i}>
            <th scope="row">
              {name}
              {note && <small>{note}</small>}
              <Origin provenance={sourced.provenance} />
            </th>
            <td>
              {sourced.value} {unit}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const effects: Readonly<Record<Limit['effect']['kind'], string>> = {
  'fail-test': t('overFailsTheTest'),
  'fail-exercise': t('overFailsTheExercise'),
  'fail-attempt': t('overFailsTheAttempt'),
  'ask-upgrade': t('overYouDecide'),
  upgrade: t('overUpgraded'),
};

const places: Readonly<Record<Limit['scope']['kind'], string>> = {
  test: '',
  category: `${t('inEachArea')} `,
  item: `${t('forEachFaultType')} `,
  class: `${t('inEachClass')} `,
  exercise: `${t('inEachExercise')} `,
};

/** The caps and limits of a standard, with what going past them does. */
export function limitsOf({ caps, limits }: Standard): readonly FigureRow[] {
  return [
    ...caps.flatMap(({ name, free, atMost }) => [
      ...(free ? [{ name, sourced: free, unit: 'free' }] : []),
      ...(atMost ? [{ name, sourced: atMost, unit: t('countAtMost') }] : []),
    ]),
    ...limits.map(limitRow),
  ];
}

function limitRow(limit: Limit): FigureRow {
  const single = Object.keys(limit.scope).length > 1;
  return {
    name: limit.name,
    sourced: limit.allowed,
    unit: t('unitOfAllowed', { unitOf: unitOf(limit.measure, limit.allowed.value) }),
    note: `${single ? '' : places[limit.scope.kind]}${effects[limit.effect.kind]}`,
  };
}

/** Times, score and requirements of a standard. */
export function timesOf({ length, startScore, retestExtraS, requirements }: Standard): readonly FigureRow[] {
  return [
    { name: t('lengthOfTheTest'), sourced: length.totalMin, unit: 'min' },
    ...(length.independentMin ? [{ name: t('independentDriving'), sourced: length.independentMin, unit: 'min' }] : []),
    ...(startScore ? [{ name: t('startingScore'), sourced: startScore, unit: 'points' }] : []),
    ...(retestExtraS ? [{ name: t('extraTimeForARepeatedExercise'), sourced: retestExtraS, unit: 's' }] : []),
    ...requirements.flatMap((requirement) =>
      requirement.kind === 'exercise'
        ? []
        : [
            {
              name:
                requirement.kind === 'driving-time'
                  ? t('minimumForAResult')
                  : t('minimumSection', { section: sectionName(requirement.section).toLowerCase() }),
              sourced: requirement.atLeastMin,
              unit: 'min',
            },
          ],
    ),
  ];
}
