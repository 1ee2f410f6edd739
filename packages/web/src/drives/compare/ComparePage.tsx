import { t, unsaidWords } from '@jasperwren/words/compare';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { judgeUnder, type Compared } from '@jasperwren/core/marking/compare/translate';
import { isNotJudged, type Outcome } from '@jasperwren/core/marking/verdict';
import { joinWords } from '@jasperwren/words/lists';
import { verdictDetail, verdictSentence } from '@jasperwren/words/marking/verdict';
import { useMemo } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { api } from '../../base/api';
import { failureOf } from '../../ui/failure';
import { longDate } from '../../ui/format';
import { OutcomeWord, outcomeWord } from '../../ui/OutcomeWord';
import { Page, Rows, Section } from '../../ui/Page';
import { Empty, Failed, Loading } from '../../ui/states';
import type { OpenDrive } from '../log/drive-logs';
import { useJudgedDrive, useOpenDrive } from '../log/use-drive';
import styles from './compare.module.css';
import { Translations } from './Translations';
import { Side } from './Side';

/** One drive under its own standard and others, side by side. */
export default function ComparePage() {
  const { driveId = '' } = useParams();
  const opening = useOpenDrive(driveId);
  const { data: standards, ...asked } = api.useStandardsQuery();
  const failed = failureOf(asked);
  if (opening.state === 'failed') return <Failed error={opening.error} onRetry={opening.retry} />;
  if (failed) return <Failed {...failed} />;
  if (opening.state === 'loading' || !standards) return <Loading what={t('theMockTestAndTheStandards')} />;
  return <Compare log={opening.log} standards={standards} />;
}

function Compare({ log, standards }: { readonly log: OpenDrive; readonly standards: readonly EffectiveStandard[] }) {
  const [search, setSearch] = useSearchParams();
  const { meta } = log;
  const { drive } = useJudgedDrive(log);
  const own = meta.standard;
  const all = useMemo(() => {
    const others = standards.filter(({ id, version }) => id !== own.id || version !== own.version);
    return [own, ...others].map((standard) => judgeUnder(own, standard, drive));
  }, [own, standards, drive]);
  const asked = search.get('with')?.split(',') ?? [];
  const chosen = all.filter(({ standard }, i) => i > 0 && asked.includes(standard.id));
  const others = chosen.length > 0 ? chosen : all.slice(1, 2);
  return (
    <Page
      title={t('compareStandards')}
      over={
        <>
          <Link to={`/drive/${meta.id}`}>
            {meta.learnerName}, {drive.startedAt && longDate(drive.startedAt)}
          </Link>
          {t('markedUnderOwnVVersion', { own: own.name, version: own.version })}
        </>
      }
      sub={t('faultsAreMatchedByWhatWas')}
    >
      {others.length === 0 ? (
        <Empty>{t('noOtherStandardToCompareWith')}</Empty>
      ) : (
        <>
          <TextField
            select
            label={t('compareWith')}
            value={others.map(({ standard }) => standard.id)}
            // With several to choose the field gives a list, which its type does not say.
            onChange={({ target }) => setSearch({ with: [target.value].flat().join(',') }, { replace: true })}
            slotProps={{ select: { multiple: true } }}
            sx={{ width: '20rem', maxWidth: '100%' }}
          >
            {all.slice(1).map(({ standard }) => (
              <MenuItem key={standard.id} value={standard.id}>
                {standard.name}
              </MenuItem>
            ))}
          </TextField>
          <p role="status" className={styles.apart}>
            {apartWords([all[0]!, ...others])}
          </p>
          <div className={styles.sides}>
            <Side compared={all[0]!} />
            {others.map((one) => (
              <Side key={one.standard.id} compared={one} />
            ))}
          </div>
          <Section title={t('eachFaultInTheOtherStandard')}>
            <Translations from={own} compared={others} />
          </Section>
          <Section title={t('underEveryStandard')}>
            <Everywhere all={all} />
          </Section>
        </>
      )}
    </Page>
  );
}

/** Where the results part ways, in a sentence. */
function apartWords(compared: readonly Compared[]): string {
  const under = (outcome: Outcome) =>
    compared.filter(({ verdict }) => verdict.outcome === outcome).map(({ standard }) => standard.name);
  const parts = outcomes.flatMap((outcome) => {
    const names = under(outcome);
    return names.length === 0
      ? []
      : [t('outcomeUnder', { outcome: outcomeWord(outcome), standards: joinWords(names) })];
  });
  return parts.length === 1
    ? t('sameResult', { outcome: outcomeWord(compared[0]!.verdict.outcome) })
    : t('resultsDiffer', { parts: parts.join('; ') });
}

const outcomes: readonly Outcome[] = ['pass', 'fail', 'incomplete'];

function Everywhere({ all }: { readonly all: readonly Compared[] }) {
  return (
    <Rows>
      {all.map(({ standard, verdict, translations, unsaid }, i) => (
        <li key={`${standard.id} ${standard.version}`} className={styles.everywhere}>
          {i === 0 ? <b>{standard.name}</b> : <Link to={`?with=${standard.id}`}>{standard.name}</Link>}
          {isNotJudged(verdict) ? (
            <span className="muted">{verdictSentence(standard, verdict)}</span>
          ) : (
            <span>
              {unsaid && <b>{unsaidWords(unsaid).join(' ')} </b>}
              <OutcomeWord outcome={verdict.outcome} />: {verdictDetail(standard, verdict)}.
            </span>
          )}
          <span className="muted">
            {t('countOfCount2FaultsJudged', {
              count: translations.filter((entry) => 'grade' in entry).length,
              count2: translations.length,
            })}
          </span>
        </li>
      ))}
    </Rows>
  );
}
