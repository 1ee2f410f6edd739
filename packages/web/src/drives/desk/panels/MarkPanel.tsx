import { removedWords } from '@jasperwren/words/why';
import { t } from '@jasperwren/words/desk';
import Button from '@mui/material/Button';
import type { Drive } from '@jasperwren/core/drive/drive';
import { countItems } from '@jasperwren/core/marking/likely';
import { gradesOf, rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { itemName } from '@jasperwren/words/marking/names';
import type { CarRoute } from '@jasperwren/core/routes/car-route';
import { drivenBefore } from '@jasperwren/core/drive/clock';
import { Suspense, useState } from 'react';
import { PlaceOnRoute } from '../../../roads/public';
import { FaultStrip } from '../../../yard/public';
import { clockTime } from '../../../ui/format';
import { GradeSign } from '../../../ui/GradeSign';
import { VoiceOfPin } from '../../voice/VoiceOfPin';
import { Adviser } from '../../adviser/Adviser';
import { Measure } from '../../Measure';
import styles from './panel.module.css';
import { Panel } from './Panel';
import { ReasonForm } from './ReasonForm';
import type { DeskActions } from '../desk-actions';

interface Props {
  readonly markId: string;
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  readonly actions: DeskActions;
}

/** How bad a mark was, by the adviser. */
export function AdvisePanel({ markId, standard, drive, actions }: Props) {
  const mark = drive.marks.find(({ id }) => id === markId);
  if (!mark || mark.struck) return null;
  return (
    <Panel
      title={t('suggestGradeFaultTime', {
        fault: itemName(standard, mark.item).toLowerCase(),
        time: clockTime(mark.atMs),
      })}
    >
      <Adviser
        standard={standard}
        mark={mark}
        times={countItems(drive)[mark.item] ?? 1}
        onAnswers={actions.keep}
        onRegrade={(grade) => actions.regrade(mark.id, grade, { because: 'adviser' })}
      />
    </Panel>
  );
}

interface MarkProps extends Props {
  readonly driveId: string;
  /** The planned route, where faults are placed by hand on it. */
  readonly route: CarRoute | undefined;
}

/** One mark, to be regraded, weighed, placed, noted on or struck. */
export function MarkPanel({ markId, driveId, standard, drive, route, actions }: MarkProps) {
  const [striking, setStriking] = useState(false);
  const mark = drive.marks.find(({ id }) => id === markId);
  if (!mark) return null;
  const { items } = rulesOf(standard);
  const item = items.get(mark.item)?.item;
  const title = t('faultAtTime', { fault: itemName(standard, mark.item), time: clockTime(mark.atMs) });
  if (mark.struck) {
    return (
      <Panel title={title}>
        <p>{removedWords(mark.struck)}</p>
        <Button variant="contained" onClick={() => actions.putBack(mark.id)}>
          {t('restore')}
        </Button>
      </Panel>
    );
  }
  return (
    <Panel title={title}>
      {striking ? (
        <ReasonForm
          reasons={['wrong-box', 'misread', 'not-the-learner', 'too-harsh']}
          action={t('removeFault')}
          onGiven={(why) => actions.strike(mark.id, why)}
        />
      ) : (
        <>
          <div className={styles.regrades} role="group" aria-label={t('grade')}>
            {(item ? gradesOf(standard, item) : []).map((grade) => (
              <button
                key={grade.code}
                type="button"
                aria-pressed={grade.code === mark.grade}
                onClick={() => actions.regrade(mark.id, grade.code)}
                disabled={grade.code === mark.grade}
              >
                <GradeSign sign={grade.sign} size={26} />
                {grade.name}
              </button>
            ))}
          </div>
          <Measure
            standard={standard}
            mark={mark}
            onMeasured={(grade, measured) => actions.regrade(mark.id, grade, { because: 'measured', measured })}
          />
          {mark.detected && (
            <p className="muted">
              {t('seenBySensors', {
                from: (mark.detected.fromMs / 1000).toFixed(2),
                to: (mark.detected.toMs / 1000).toFixed(2),
              })}
            </p>
          )}
          {mark.firstGrade && (
            <p className="muted">
              {t('firstRecordedAsFind', {
                find: standard.grades.find(({ code }) => code === mark.firstGrade)?.name ?? mark.firstGrade,
              })}
            </p>
          )}
          {drive.notes
            .filter(({ target }) => target === mark.id)
            .map(({ id, text }) => (
              <p key={id}>{text}</p>
            ))}
          {mark.pin && <VoiceOfPin driveId={driveId} pinId={mark.pin} atMs={mark.atMs} named />}
          <div className={styles.steps}>
            <Button variant="outlined" onClick={() => actions.advise(mark.id)}>
              {t('suggestGrade')}
            </Button>
            <Button variant="outlined" onClick={() => actions.openNote(mark.id)}>
              {t('addNote')}
            </Button>
            <Button variant="outlined" onClick={() => setStriking(true)}>
              {t('removeFault')}
            </Button>
          </div>
          {mark.detected && drive.sensors && (
            <Suspense fallback={null}>
              <FaultStrip standard={standard} drive={drive} sensors={drive.sensors} mark={mark} />
            </Suspense>
          )}
          {route && (
            <Suspense fallback={null}>
              <PlaceOnRoute
                driveId={driveId}
                route={route}
                seconds={drivenBefore(drive, mark.atMs) / 1000}
                place={mark.place}
                onPlace={(place) => actions.place(mark.id, place)}
              />
            </Suspense>
          )}
        </>
      )}
    </Panel>
  );
}
