import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { unsettledPins, type Drive } from '@jasperwren/core/drive/drive';
import { countItems } from '@jasperwren/core/marking/likely';
import { gradesOf, rulesOf } from '@jasperwren/core/marking/rules';
import type { Standard } from '@jasperwren/core/marking/standard';
import { describeMissing, inWords, itemName } from '@jasperwren/core/marking/wording';
import type { Verdict } from '@jasperwren/core/marking/verdict';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { useAppDispatch } from '../../app/hooks';
import { clockTime } from '../../ui/format';
import { GradeSign } from '../../ui/GradeSign';
import { Adviser } from '../adviser/Adviser';
import { Measure } from '../Measure';
import styles from './desk.module.css';
import { stepBack, type DeskPanel } from './desk-slice';
import { ExercisePanel } from './ExercisePanel';
import type { DeskActions } from './use-desk';
import { commandKeys } from './use-desk-keys';

interface Props {
  readonly panel: DeskPanel;
  readonly driveId: string;
  readonly standard: Standard;
  readonly drive: Drive;
  readonly verdict: Verdict;
  readonly actions: DeskActions;
}

/** What the middle of the desk shows in place of the matrix. Pins and the quick marks go on working beside it. */
export function DeskPanelView({ panel, driveId, standard, drive, verdict, actions }: Props) {
  switch (panel.kind) {
    case 'mark':
      return <MarkPanel key={panel.markId} markId={panel.markId} standard={standard} drive={drive} actions={actions} />;
    case 'advise':
      return <AdvisePanel markId={panel.markId} standard={standard} drive={drive} actions={actions} />;
    case 'drop-pin':
      return (
        <Panel title="This pin was nothing">
          <ReasonForm
            reasons={['Nothing after all', 'Marked already', 'Not the learner’s doing']}
            action="Drop the pin"
            onGiven={(reason) => actions.dropPin(panel.pinId, reason)}
          />
        </Panel>
      );
    case 'exercises':
      return (
        <Panel title="Exercises">
          <ExercisePanel driveId={driveId} standard={standard} drive={drive} actions={actions} />
        </Panel>
      );
    case 'end':
      return <EndPanel driveId={driveId} drive={drive} verdict={verdict} actions={actions} />;
    case 'keys':
      return <KeysPanel />;
  }
}

function Panel({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  const dispatch = useAppDispatch();
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => heading.current?.focus(), []);
  return (
    <section className={styles.panel} aria-label={title}>
      <h2 ref={heading} tabIndex={-1}>
        {title}
      </h2>
      {children}
      <Button variant="text" onClick={() => dispatch(stepBack())} sx={{ alignSelf: 'flex-start' }}>
        Back to marking
      </Button>
    </section>
  );
}

/** One touch for the usual reasons, a field for the others. */
function ReasonForm({
  reasons,
  action,
  onGiven,
}: {
  readonly reasons: readonly string[];
  readonly action: string;
  readonly onGiven: (reason: string) => void;
}) {
  const [own, setOwn] = useState('');
  return (
    <form
      className={styles.reasons}
      onSubmit={(event) => {
        event.preventDefault();
        if (own.trim()) onGiven(own.trim());
      }}
    >
      {reasons.map((reason) => (
        <Button key={reason} variant="outlined" onClick={() => onGiven(reason)}>
          {reason}
        </Button>
      ))}
      <div className={styles.ownReason}>
        <TextField
          label="Another reason"
          value={own}
          onChange={(event) => setOwn(event.target.value)}
          slotProps={{ htmlInput: { maxLength: 2000 } }}
          fullWidth
        />
        <Button type="submit" variant="contained" disabled={!own.trim()}>
          {action}
        </Button>
      </div>
    </form>
  );
}

function AdvisePanel({
  markId,
  standard,
  drive,
  actions,
}: { readonly markId: string } & Pick<Props, 'standard' | 'drive' | 'actions'>) {
  const mark = drive.marks.find(({ id }) => id === markId);
  if (!mark || mark.struck) return null;
  return (
    <Panel title={`How bad was it: ${itemName(standard, mark.item).toLowerCase()} at ${clockTime(mark.atMs)}`}>
      <Adviser
        standard={standard}
        mark={mark}
        times={countItems(drive)[mark.item] ?? 1}
        onAnswers={actions.keepAdvice}
        onRegrade={(grade, reason) => actions.regrade(mark.id, grade, { reason })}
      />
    </Panel>
  );
}

function MarkPanel({
  markId,
  standard,
  drive,
  actions,
}: { readonly markId: string } & Pick<Props, 'standard' | 'drive' | 'actions'>) {
  const [striking, setStriking] = useState(false);
  const mark = drive.marks.find(({ id }) => id === markId);
  if (!mark) return null;
  const { items } = rulesOf(standard);
  const item = items.get(mark.item)?.item;
  const title = `${itemName(standard, mark.item)} at ${clockTime(mark.atMs)}`;
  if (mark.struck) {
    return (
      <Panel title={title}>
        <p>Struck: {mark.struck.reason}</p>
        <Button variant="contained" onClick={() => actions.putBack(mark.id)}>
          Put it back
        </Button>
      </Panel>
    );
  }
  return (
    <Panel title={title}>
      {striking ? (
        <ReasonForm
          reasons={['Wrong cell', 'Seen wrongly', 'Not the learner’s doing', 'Too hard']}
          action="Strike the mark"
          onGiven={(reason) => actions.strike(mark.id, reason)}
        />
      ) : (
        <>
          <div className={styles.regrades} role="group" aria-label="Grade">
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
            onMeasured={(grade, measured, reason) => actions.regrade(mark.id, grade, { reason, measured })}
          />
          {mark.firstGrade && (
            <p className="muted">
              First marked as {standard.grades.find(({ code }) => code === mark.firstGrade)?.name ?? mark.firstGrade}.
            </p>
          )}
          <Button variant="outlined" onClick={() => actions.advise(mark.id)}>
            How bad was it?
          </Button>
          <Button variant="outlined" onClick={() => setStriking(true)}>
            Strike with a reason
          </Button>
        </>
      )}
    </Panel>
  );
}

function EndPanel({ driveId, drive, verdict, actions }: Pick<Props, 'driveId' | 'drive' | 'verdict' | 'actions'>) {
  const navigate = useNavigate();
  const [breaking, setBreaking] = useState(false);
  const pins = unsettledPins(drive).length;
  const missing = verdict.missing.filter(({ kind }) => kind !== 'not-ended' && kind !== 'unsettled-pins');
  const end = async (ending: 'completed' | 'abandoned', reason = '') => {
    await actions.end(ending, reason);
    void navigate(`/drive/${driveId}`);
  };
  if (breaking) {
    return (
      <Panel title="Why is the drive broken off?">
        <ReasonForm
          reasons={['I stopped it for safety', 'The learner did not want to go on', 'The car', 'Weather or road']}
          action="Break off"
          onGiven={(reason) => void end('abandoned', reason)}
        />
      </Panel>
    );
  }
  return (
    <Panel title="End the drive?">
      <p>Parked, engine off? The verdict comes next.</p>
      {missing.length > 0 && verdict.outcome !== 'fail' && (
        <p>It will stay without a verdict: {missing.map(describeMissing).join('; ')}.</p>
      )}
      {pins > 0 && (
        <p>
          {pins === 1 ? 'One pin is' : `${inWords(pins)} pins are`} still to be settled; that can be done afterwards
          too.
        </p>
      )}
      <Button variant="contained" onClick={() => void end('completed')}>
        End and see the verdict
      </Button>
      <Button variant="outlined" onClick={() => setBreaking(true)}>
        Break it off
      </Button>
    </Panel>
  );
}

const keyWords: readonly (readonly [keyof typeof commandKeys, string])[] = [
  ['pin', 'Drop a pin'],
  ['spoke', 'I spoke'],
  ['tookControl', 'I took control'],
  ['undo', 'Undo'],
  ['settle', 'Settle the next pin'],
  ['advise', 'How bad was the last mark?'],
  ['section', 'Guided or independent'],
  ['exercises', 'Exercises'],
  ['pause', 'Pause or go on'],
  ['end', 'End the drive'],
  ['back', 'Back'],
];

function KeysPanel() {
  return (
    <Panel title="Keys">
      <p>A letter for the category, a letter for the item, a digit for the grade. All of them stand on the board.</p>
      <dl className={styles.keyList}>
        {keyWords.map(([command, words]) => (
          <div key={command}>
            <dt>
              <kbd className={styles.key}>{commandKeys[command].word}</kbd>
            </dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
    </Panel>
  );
}
