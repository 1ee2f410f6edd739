import { otherwiseSentence } from '@jasperwren/words/debrief-points';
import { verdictSentence } from '@jasperwren/words/marking/verdict';
import { t } from '@jasperwren/words/debrief';
import Button from '@mui/material/Button';
import type { SharedRoad } from '@jasperwren/contract/traces';
import type { SharedDebrief } from '@jasperwren/contract/shares';
import { debriefOf } from '@jasperwren/core/debrief/debrief';
import { longDate } from '../../ui/format';
import { Page } from '../../ui/Page';
import { DebriefBody } from './DebriefBody';
import styles from './debrief.module.css';

/** A debrief as its learner reads it, and nothing that leads further. */
export function SharedView({
  shared,
  road,
}: {
  readonly shared: SharedDebrief;
  readonly road: SharedRoad | null | undefined;
}) {
  const { standard } = shared;
  const debrief = debriefOf(standard, shared.drive, shared.past);
  return (
    <div className={styles.shared}>
      <Page
        title={verdictSentence(standard, debrief.verdict)}
        over={t('firstNameDateStandardWithSchool', {
          firstName: shared.firstName,
          date: longDate(shared.startedAt),
          standard: standard.name,
          school: shared.school,
        })}
        sub={
          debrief.otherwise
            ? otherwiseSentence(standard, debrief.otherwise)
            : t('thisPageCanBeReadUntil', { date: longDate(shared.expiresAt) })
        }
        actions={
          <Button variant="outlined" onClick={() => window.print()}>
            {t('print')}
          </Button>
        }
      >
        <DebriefBody standard={standard} drive={shared.drive} debrief={debrief} road={road ?? undefined} />
      </Page>
    </div>
  );
}
