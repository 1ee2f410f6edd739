import { removedWords } from '@jasperwren/words/why';
import { proposalSentence } from '@jasperwren/words/marking/proposal';
import { t } from '@jasperwren/words/result';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { propose } from '@jasperwren/core/adviser/advise';
import type { Mark } from '@jasperwren/core/drive/drive';
import type { EventBody } from '@jasperwren/core/drive/event';
import { gradesOf, rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { pointsWords } from '@jasperwren/words/marking/amounts';
import { itemName } from '@jasperwren/words/marking/names';
import { useState } from 'react';
import { Link } from 'react-router';
import { useSignedIn } from '../../base/signed-in';
import { clockTime } from '../../ui/format';
import { GradeSign } from '../../ui/GradeSign';
import { Adviser } from '../adviser/Adviser';
import { usePeople } from '../log/use-people';
import { VoiceOfPin } from '../voice/VoiceOfPin';
import { Measure } from '../Measure';
import { StrikeForm } from './StrikeForm';
import styles from './verdict.module.css';

interface Props {
  readonly driveId: string;
  readonly mark: Mark;
  readonly standard: EffectiveStandard;
  readonly write: (body: EventBody) => unknown;
  readonly chosen: boolean;
  readonly capped: boolean;
  /** How often this item was marked on the drive. */
  readonly times: number;
}

/** One mark of a finished drive, to be seen, regraded, struck or put back. */
export function MarkRow({ driveId, mark, standard, write, chosen, capped, times }: Props) {
  const [striking, setStriking] = useState(false);
  const [weighing, setWeighing] = useState(false);
  const { account } = useSignedIn();
  const nameOf = usePeople();
  const { items, grades } = rulesOf(standard);
  const item = items.get(mark.item)?.item;
  const grade = grades.get(mark.grade);
  const name = itemName(standard, mark.item);
  const first = mark.firstGrade && grades.get(mark.firstGrade)?.name;
  return (
    <li
      id={`mark-${mark.id}`}
      className={styles.mark}
      data-chosen={chosen}
      aria-label={`${name}, ${grade?.name ?? mark.grade}, ${clockTime(mark.atMs)}`}
    >
      <GradeSign sign={grade?.sign ?? 'noted'} size={24} ghost={mark.struck !== undefined} />
      <b>{clockTime(mark.atMs)}</b>
      <div>
        <b className={mark.struck ? styles.struck! : ''}>{name}</b>
        <div className="muted">
          {mark.struck ? removedWords(mark.struck) : grade?.name}
          {!mark.struck && standard.startScore && item && grade && pointsWords(item, grade)}
          {first && !mark.struck && t('firstRecordedAsFirst', { first })}
          {mark.step && t('missedStep', { step: mark.step })}
          {capped && t('overTheCapNotCounted')}
          {mark.by !== account.id && t('byNameOf', { nameOf: nameOf(mark.by) })}
        </div>
        {mark.detected && (
          <Link to={`/yard/runs/${mark.detected.run}?at=${mark.detected.fromMs}`}>{t('seenBySensors')}</Link>
        )}
        {!mark.struck && (
          <Measure
            standard={standard}
            mark={mark}
            onMeasured={(to, measured) =>
              write({ type: 'regrade', target: mark.id, grade: to, measured, because: 'measured' })
            }
          />
        )}
        {mark.pin && <VoiceOfPin driveId={driveId} pinId={mark.pin} atMs={mark.atMs} named />}
        {mark.note && <div>{mark.note}</div>}
        {mark.advice && !weighing && (
          <div className="muted">
            {t('suggestedSentence', { sentence: proposalSentence(propose(standard, mark.item, mark.advice.answers)) })}
          </div>
        )}
        {striking && (
          <StrikeForm
            name={name}
            onCancel={() => setStriking(false)}
            onStrike={(why) => void write({ type: 'strike', target: mark.id, ...why })}
          />
        )}
      </div>
      {mark.struck ? (
        <Button
          variant="text"
          aria-label={t('restoreNameAtTime', { name, time: clockTime(mark.atMs) })}
          onClick={() => void write({ type: 'strike', target: mark.struck!.strikeId, because: 'restored' })}
        >
          {t('restored')}
        </Button>
      ) : (
        !striking && (
          <div className={styles.markActions}>
            {item && gradesOf(standard, item).length > 1 && (
              <TextField
                select
                size="small"
                label={t('grade')}
                value={mark.grade}
                sx={{ minWidth: '8rem' }}
                onChange={(event) => void write({ type: 'regrade', target: mark.id, grade: event.target.value })}
                slotProps={{ select: { 'aria-label': t('gradeOfNameAtTime', { name, time: clockTime(mark.atMs) }) } }}
              >
                {gradesOf(standard, item).map(({ code, short }) => (
                  <MenuItem key={code} value={code}>
                    {short}
                  </MenuItem>
                ))}
              </TextField>
            )}
            {item && (
              <Button
                variant="text"
                aria-expanded={weighing}
                aria-label={t('suggestGradeForNameAtTime', { name, time: clockTime(mark.atMs) })}
                onClick={() => setWeighing(!weighing)}
              >
                {weighing ? t('close') : t('suggestGrade')}
              </Button>
            )}
            <Button
              variant="text"
              aria-label={t('removeNameAtTime', { name, time: clockTime(mark.atMs) })}
              onClick={() => setStriking(true)}
            >
              {t('remove')}
            </Button>
          </div>
        )
      )}
      {weighing && !mark.struck && (
        <div className={styles.weighing}>
          <Adviser
            standard={standard}
            mark={mark}
            times={times}
            onAnswers={write}
            onRegrade={(to) => write({ type: 'regrade', target: mark.id, grade: to, because: 'adviser' })}
          />
        </div>
      )}
    </li>
  );
}
