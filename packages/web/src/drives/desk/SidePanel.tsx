import { t } from '@jasperwren/words/desk';
import { countsMarks } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { Verdict } from '@jasperwren/core/marking/verdict';
import { nearestNarrow } from '@jasperwren/core/marking/room';
import { testHeadroom } from '@jasperwren/core/marking/verdict';
import { limitName } from '@jasperwren/words/marking/names';
import { memo } from 'react';
import { PinButton } from '../voice/PinButton';
import styles from './side.module.css';
import { Key } from './Key';
import { SoFar } from './Rooms';
import type { DeskActions } from './desk-actions';

interface Props {
  readonly driveId: string;
  readonly standard: EffectiveStandard;
  readonly verdict: Verdict;
  readonly actions: DeskActions;
}

/** So many limits within a part of the test are shown beside those of the whole. */
const mostNarrow = 2;

/** How it stands, the room left under the nearest limits, and the four things that need no thought. */
export const SidePanel = memo(function SidePanel({ driveId, standard, verdict, actions }: Props) {
  // Time runs in the header.
  const ofTest = testHeadroom(verdict).filter(({ limit }) => limit.measure.kind !== 'time');
  const rooms = [...nearestNarrow(verdict, mostNarrow), ...ofTest];
  return (
    <aside className={styles.side} aria-label={t('limitsAndQuickButtons')}>
      <div className={styles.rooms}>
        <SoFar standard={standard} verdict={verdict} glance />
        {rooms.map(({ limit, scope, used, allowed, left }) => (
          <div key={`${limit.code} ${scope}`} className={styles.room} data-crossed={left < 0}>
            <span>{limitName(standard, { limit, scope })}</span>
            <b>
              {left < 0
                ? t('overTheLimit')
                : allowed === 0
                  ? t('noneAllowed')
                  : t('leftOfAllowedLeft', { left, allowed })}
            </b>
            <span className={styles.bar} aria-hidden="true">
              <i
                style={{
                  width: `${Math.min(100, allowed === 0 ? (used > 0 ? 100 : 0) : (100 * used) / allowed)}%`,
                  background: `var(--${barColour(standard, limit.measure)})`,
                }}
              />
            </span>
          </div>
        ))}
        {verdict.questions.length > 0 && (
          <p className={styles.habit}>
            {t('partComingBackDecideAfterThe', {
              part: verdict.questions.length === 1 ? t('oneFaultKeeps') : t('someFaultsKeep'),
            })}
          </p>
        )}
      </div>
      <PinButton driveId={driveId} className={styles.pin!} actions={actions}>
        <span>{t('pin2')}</span>
        <small>
          {t('nameItWhenParked')} <Key>{t('space')}</Key>
        </small>
      </PinButton>
      <div className={styles.quick}>
        <button type="button" onClick={actions.spoke} disabled={!actions.running}>
          {t('prompt2')} <Key>,</Key>
        </button>
        <button type="button" onClick={actions.tookControl} disabled={!actions.running}>
          {t('tookControl2')} <Key>.</Key>
        </button>
        <button type="button" onClick={() => actions.advise()}>
          {t('suggestGrade')} <Key>-</Key>
        </button>
        <button type="button" onClick={actions.undo}>
          {t('undo')} <Key>⌫</Key>
        </button>
      </div>
    </aside>
  );
});

function barColour(standard: EffectiveStandard, measure: Verdict['headroom'][number]['limit']['measure']): string {
  if (!countsMarks(measure)) return 'jasper';
  const sign = standard.grades.find((grade) => measure.grades.includes(grade.code))?.sign;
  return sign === 'counted' ? 'ochre' : sign === 'noted' ? 'slate' : 'jasper';
}
