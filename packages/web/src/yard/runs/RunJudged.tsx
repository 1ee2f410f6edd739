import type { YardRunView } from '@jasperwren/contract/yard';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { JudgedRun } from '@jasperwren/core/yard/judge-run';
import type { SentSample } from '@jasperwren/core/yard/sample';
import { channelsMissing, unseenWithout } from '@jasperwren/core/yard/unseen';
import { t } from '@jasperwren/words/yard-pages';
import { foundSentence, leftOutSentence, unseenSentence } from '@jasperwren/words/yard-runs';
import { verdictSentence } from '@jasperwren/words/marking/verdict';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useSignedIn } from '../../base/signed-in';
import { Section } from '../../ui/Page';
import { NotWorkedOut, Working } from '../../ui/states';
import styles from '../yard-pages.module.css';
import { Choose } from '../../ui/Choose';
import CourseTable from './CourseTable';
import { KeepRun } from './KeepRun';
import { RunStrip } from './RunStrip';
import { exercisesDriven } from './exercises-driven';
import { stoppingAddress } from './stopping-address';
import { useJudgedRun } from './use-judged-run';

interface JudgedProps {
  readonly run: YardRunView;
  readonly runs: readonly YardRunView[];
  readonly standards: readonly EffectiveStandard[];
  readonly samples: readonly SentSample[];
}

/** What came of a run under a standard that may be chosen, and its values over time. */
export function RunJudged({ run, runs, standards, samples }: JudgedProps) {
  const { account } = useSignedIn();
  const [standardId, setStandardId] = useState(run.standardId);
  const [retest, setRetest] = useState(false);
  const standard = standards.find(({ id }) => id === standardId) ?? standards[0];
  const question = useMemo(
    () =>
      standard && {
        standard,
        samples,
        facts: {
          run: run.id,
          learnerId: '',
          startedAt: run.startedAt,
          by: account.id,
          ...(run.car && { car: run.car }),
          ...(retest && { retest }),
        },
      },
    [standard, samples, run.id, run.startedAt, run.car, account.id, retest],
  );
  if (!standard || !question) return <p>{t('noCourse')}</p>;
  return (
    <>
      <div className={styles.choices}>
        <Choose
          label={t('standard')}
          value={standard.id}
          options={standards.map(({ id, name }) => [id, name])}
          onChoose={setStandardId}
        />
        {standard.retestExtraS && (
          <FormControlLabel
            control={<Checkbox checked={retest} onChange={(_, checked) => setRetest(checked)} />}
            label={t('retest')}
          />
        )}
      </div>
      <Result key={standard.id} question={question} run={run} runs={runs} />
    </>
  );
}

interface ResultProps {
  readonly question: Parameters<typeof useJudgedRun>[0];
  readonly run: YardRunView;
  readonly runs: readonly YardRunView[];
}

function Result({ question, run, runs }: ResultProps) {
  const { standard, samples } = question;
  const { parts, failed, again } = useJudgedRun(question);
  const [asked, setAsked] = useSearchParams();
  const [chosen, setFault] = useState<string>();
  if (failed !== undefined) return <NotWorkedOut what={t('run')} why={failed} onAgain={again} />;
  const { judged } = parts;
  if (judged === undefined) return <Working doing={t('judging')} />;
  if (judged === null) return <p>{t('noResult')}</p>;
  // A link from a result names the moment.
  const linked = asked.get('at');
  const { marks } = judged.drive;
  const fault = chosen ?? marks.find(({ detected }) => detected && String(detected.fromMs) === linked)?.id;
  const mark = marks.find(({ id }) => id === fault);
  const explained = mark && stoppingAddress(standard, mark, samples);
  return (
    <>
      <p role="status">
        <b>{verdictSentence(standard, judged.verdict)}</b>
      </p>
      <Told judged={judged} standard={standard} samples={samples} />
      <Section title={t('exercises')}>
        <CourseTable standard={standard} judged={judged} onFault={setFault} />
      </Section>
      <Section title={t('strip')}>
        <RunStrip
          standard={standard}
          judged={judged}
          samples={samples}
          fault={fault}
          onPart={() => {
            setFault(undefined);
            setAsked({}, { replace: true });
          }}
          others={runs.filter(({ id }) => id !== run.id)}
        />
        <WheelsLinks standard={standard} run={run.id} samples={samples} />
        {explained && <Link to={explained.address}>{t('stoppingAt', { speed: explained.kmh })}</Link>}
      </Section>
      <KeepRun run={run} judged={judged} />
    </>
  );
}

interface WheelsLinksProps {
  readonly standard: EffectiveStandard;
  readonly run: string;
  readonly samples: readonly SentSample[];
}

/** For each exercise whose positions were sent, where its wheels went. */
function WheelsLinks({ standard, run, samples }: WheelsLinksProps) {
  const driven = useMemo(() => exercisesDriven(standard, samples), [standard, samples]);
  return driven.map(({ code, name, bench }) => (
    <p key={code}>
      <Link
        to={`/yard/wheels?${new URLSearchParams({ way: 'run', run, zone: code, exercise: bench.code, side: bench.side })}`}
      >
        {t('wheelsOf', { exercise: name })}
      </Link>
    </p>
  ));
}

interface ToldProps {
  readonly judged: JudgedRun;
  readonly standard: EffectiveStandard;
  readonly samples: readonly SentSample[];
}

/** Gaps, measurements, what was left out, and the faults that the run has no values to see by. */
function Told({ judged: { findings, leftOut }, standard, samples }: ToldProps) {
  const unseen = useMemo(() => unseenSentence(unseenWithout(standard, channelsMissing(samples))), [standard, samples]);
  const sentences = [...findings.map(foundSentence), leftOutSentence(leftOut)].filter(Boolean);
  return (
    <>
      {unseen && <p>{unseen}</p>}
      {sentences.length > 0 && <p className="muted">{sentences.join(' ')}</p>}
    </>
  );
}
