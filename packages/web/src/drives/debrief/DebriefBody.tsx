import { t } from '@jasperwren/words/debrief';
import type { Debrief } from '@jasperwren/core/debrief/debrief';
import { comparedWords, goodThingWords, patternWords, workOnWords } from '@jasperwren/words/debrief-points';
import { helpIn, type Drive, type Mark } from '@jasperwren/core/drive/drive';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { describeMissing, describeStop } from '@jasperwren/words/marking/missing';
import { itemName } from '@jasperwren/words/marking/names';
import type { SharedRoad } from '@jasperwren/contract/traces';
import { Suspense, useState, type ReactNode } from 'react';
import { RoadInDebrief } from '../../roads/public';
import { clockTime } from '../../ui/format';
import { Rows, Section } from '../../ui/Page';
import { Ribbon } from '../../ui/Ribbon';
import styles from './debrief.module.css';
import { HelpToldRow } from './HelpToldRow';
import { MarkToldRow } from './MarkToldRow';

interface Props {
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  readonly debrief: Debrief;
  /** Where it was driven; missing where that is not known. */
  readonly road?: SharedRoad | undefined;
  /** What stands under "Work on next" in place of the plain list. */
  readonly choose?: ReactNode;
  /** What stands below a fault for whoever debriefs. */
  readonly belowMark?: (mark: Mark) => ReactNode;
  /** What stands below the faults for whoever debriefs, given the fault that was chosen last. */
  readonly beside?: (chosen: string | undefined) => ReactNode;
  /** What stands in place of the notes for whoever debriefs. */
  readonly noting?: ReactNode;
}

/** The talk-through on one screen, the learner looking on; the same for the printed sheet and the link. */
export function DebriefBody({ standard, drive, debrief, road, choose, belowMark, beside, noting }: Props) {
  const [chosen, setChosen] = useState<string>();
  const { verdict, marks, well, patterns, compared, workOn } = debrief;
  const listed = [
    ...marks.map((told) => ({ atMs: told.mark.atMs, told, help: undefined })),
    ...helpIn(drive).map((help) => ({ atMs: help.atMs, told: undefined, help })),
  ].sort((a, b) => a.atMs - b.atMs);
  const stops = verdict.stops.map(describeStop);
  const missing = verdict.outcome === 'incomplete' ? verdict.missing.map(describeMissing) : [];
  const notes = drive.notes.filter(({ target, private: own }) => target === undefined && !own);
  const choosing = (markId: string) => {
    setChosen(markId);
    document.getElementById(`told-${markId}`)?.scrollIntoView({ block: 'center' });
  };
  const ribbon = (
    <Ribbon
      standard={standard}
      drive={drive}
      nowMs={drive.lastMs}
      onMark={choosing}
      onHelp={choosing}
      chosen={chosen}
    />
  );
  return (
    <>
      {road ? (
        <Suspense fallback={ribbon}>
          <RoadInDebrief road={road} standard={standard} drive={drive} onMark={choosing} />
        </Suspense>
      ) : (
        ribbon
      )}
      <div className={styles.columns}>
        <div className={styles.marks} data-many={marks.length > 14}>
          <Section title={marks.length === 0 ? t('faults') : t('faultsInOrder')}>
            {[...stops, ...missing].map((words) => (
              <p key={words}>{words.charAt(0).toUpperCase() + words.slice(1)}.</p>
            ))}
            {marks.length === 0 && <p className="muted">{t('noFaults')}</p>}
            {listed.length > 0 && (
              <Rows>
                {listed.map(({ told, help }) =>
                  told ? (
                    <MarkToldRow
                      key={told.mark.id}
                      told={told}
                      grade={rulesOf(standard).grades.get(told.mark.grade)}
                      name={itemName(standard, told.mark.item)}
                      chosen={told.mark.id === chosen}
                      below={belowMark?.(told.mark)}
                    />
                  ) : (
                    <HelpToldRow
                      key={help.id}
                      help={help}
                      standard={standard}
                      drive={drive}
                      chosen={help.id === chosen}
                    />
                  ),
                )}
              </Rows>
            )}
          </Section>
        </div>
        <div className={styles.around}>
          <Section title={t('workOnNext')}>
            {choose ??
              (workOn.length === 0 ? (
                <p className="muted">{t('nothingStandsOutKeepDrivingOn')}</p>
              ) : (
                <Rows>
                  {workOn.map((one) => (
                    <li key={one.item} className={styles.line}>
                      <b>{itemName(standard, one.item)}</b>
                      <span className="muted">{workOnWords(standard, one)}</span>
                    </li>
                  ))}
                </Rows>
              ))}
          </Section>
          <Lines title={t('whatWentWell')} lines={well.map((good) => goodThingWords(standard, good))} />
          <Lines title={t('patterns')} lines={patterns.map((pattern) => patternWords(standard, pattern))} />
          <Lines title={t('comparedWithEarlierMockTests')} lines={comparedWords(standard, compared)} />
          {noting ?? <Lines title={t('notes')} lines={notes.map(({ atMs, text }) => `${clockTime(atMs)}: ${text}`)} />}
          {beside?.(chosen)}
          <p className={styles.caution}>{t('oneMockTestIsNotA')}</p>
        </div>
      </div>
    </>
  );
}

function Lines({ title, lines }: { readonly title: string; readonly lines: readonly string[] }) {
  if (lines.length === 0) return null;
  return (
    <Section title={title}>
      <Rows>
        {lines.map((line) => (
          <li key={line} className={styles.line}>
            {line}
          </li>
        ))}
      </Rows>
    </Section>
  );
}
