import { otherwiseSentence } from '@jasperwren/words/debrief-points';
import { verdictSentence } from '@jasperwren/words/marking/verdict';
import { t } from '@jasperwren/words/debrief';
import { itemName } from '@jasperwren/words/marking/names';
import Button from '@mui/material/Button';
import { api } from '../../base/api';
import { debriefOf } from '@jasperwren/core/debrief/debrief';
import { isFinal } from '@jasperwren/core/debrief/for-learner';
import { foldDrive } from '@jasperwren/core/drive/fold';
import { lazyOrNothing } from '../../base/lazy-or-nothing';
import { Suspense, useMemo, useState } from 'react';
import { Link, Navigate, useParams } from 'react-router';
import { drivenMs } from '@jasperwren/core/drive/clock';
import { firstName, longDate, wholeMinutes } from '../../ui/format';
import { Page } from '../../ui/Page';
import { Failed, Loading } from '../../ui/states';
import type { OpenDrive } from '../log/drive-logs';
import { useDriveLog, useOpenDrive } from '../log/use-drive';
import { ChooseWork } from './ChooseWork';
import { DebriefBody } from './DebriefBody';
import { DebriefLinks } from './DebriefLinks';
import { NextLesson } from './NextLesson';
import { NoteOnFault } from './NoteOnFault';
import { NotesToLearner } from './NotesToLearner';

const Film = lazyOrNothing(() => import('../film/Film'));

export default function DebriefPage() {
  const { driveId = '' } = useParams();
  const opening = useOpenDrive(driveId);
  if (opening.state === 'loading') return <Loading what={t('mockTest')} />;
  if (opening.state === 'failed') return <Failed error={opening.error} onRetry={opening.retry} />;
  return <DebriefView log={opening.log} />;
}

/** The talk-through with the learner looking on. Nothing private stands here. */
function DebriefView({ log: { meta, events, unsent } }: { readonly log: OpenDrive }) {
  const { standard } = meta;
  const { drive, debrief } = useMemo(() => {
    const folded = foldDrive(events);
    return { drive: folded, debrief: debriefOf(standard, folded, meta.past) };
  }, [events, standard, meta.past]);
  const { write } = useDriveLog(meta.id);
  const { data: road } = api.useDriveRoadQuery({ driveId: meta.id });
  const [sharing, setSharing] = useState(false);
  const [picked, setPicked] = useState<readonly string[]>();
  if (!drive.ended) return <Navigate to={`/drive/${meta.id}/desk`} replace />;
  const name = firstName(meta.learnerName);
  const final = isFinal(drive);
  const toLearner = drive.notes.filter((note) => !note.private);
  const workOn = picked ?? debrief.workOn.map(({ item }) => item);
  return (
    <Page
      title={verdictSentence(standard, debrief.verdict)}
      tab={t('debriefOf', { name: meta.learnerName })}
      over={
        <>
          <Link to={`/learners/${meta.learnerId}`}>{meta.learnerName}</Link>
          {meta.number > 0 && t('mockTestNumber', { number: meta.number })},{' '}
          {drive.startedAt && longDate(drive.startedAt)}
          {t('standardVVersion', { standard: standard.name, version: standard.version })}
          {drive.route && t('onRoute', { route: drive.route.name })}
        </>
      }
      sub={
        <>
          {debrief.otherwise
            ? otherwiseSentence(standard, debrief.otherwise)
            : t('timeDriven', { time: wholeMinutes(drivenMs(drive, drive.lastMs)) })}{' '}
          {!final && <strong>{t('resultNotFinalFaultsOrPins')}</strong>}
        </>
      }
      actions={
        <>
          <Button variant="text" component={Link} to={`/drive/${meta.id}`}>
            {final ? t('backToTheResult') : t('sortOutPins')}
          </Button>
          {drive.debriefed && <NextLesson learnerId={meta.learnerId} />}
          <Button variant="outlined" onClick={() => window.print()}>
            {t('print')}
          </Button>
          <Button variant="outlined" aria-expanded={sharing} disabled={!final} onClick={() => setSharing(!sharing)}>
            {t('shareWithName', { name })}
          </Button>
          <Button
            variant="contained"
            disabled={!final || (drive.debriefed !== undefined && picked === undefined)}
            onClick={() => {
              void write({ type: 'debriefed', workOn });
              setPicked(undefined);
            }}
          >
            {drive.debriefed ? t('debriefed') : t('markAsDebriefed')}
          </Button>
        </>
      }
    >
      {sharing && <DebriefLinks driveId={meta.id} name={name} waiting={unsent.length > 0} />}
      <DebriefBody
        standard={standard}
        drive={drive}
        debrief={debrief}
        road={road ?? undefined}
        belowMark={(mark) => (
          <NoteOnFault
            learner={name}
            mark={mark}
            fault={itemName(standard, mark.item)}
            notes={toLearner.filter(({ target }) => target === mark.id)}
            write={write}
          />
        )}
        beside={(chosen) => (
          <Suspense fallback={null}>
            <Film driveId={meta.id} standard={standard} drive={drive} chosen={chosen} />
          </Suspense>
        )}
        noting={
          <NotesToLearner learner={name} notes={toLearner.filter(({ target }) => target === undefined)} write={write} />
        }
        {...(debrief.worth.length > 0 && {
          choose: <ChooseWork standard={standard} worth={debrief.worth} chosen={workOn} onChosen={setPicked} />,
        })}
      />
    </Page>
  );
}
