import type { TestsHere as Group } from '@jasperwren/core/readiness/calibration';
import { testsHereWords } from '@jasperwren/words/readiness-tests';
import { Rows, Section } from '../ui/Page';
import styles from './readiness.module.css';

interface Props {
  readonly title: string;
  readonly groups: readonly Group[];
  /** Whether they are of a test centre, or of who marked the mock tests. */
  readonly here: 'centre' | 'marker';
}

/** How driving tests went beside what was expected of them, by group, with a warning where the two part. */
export function TestsHere({ title, groups, here }: Props) {
  return (
    <Section title={title}>
      <Rows>
        {groups.map((group) => {
          const { passed, range, factor, warning } = testsHereWords(group, here);
          return (
            <li key={group.name} className={styles.testsHere}>
              <span>
                {passed}
                <small>{range}</small>
              </span>
              <span className="muted">{factor}</span>
              {warning && <strong>{warning}</strong>}
            </li>
          );
        })}
      </Rows>
    </Section>
  );
}
