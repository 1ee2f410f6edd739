import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { judgeUnder, whyNot, type Compared, type Translation } from '@jasperwren/core/marking/translate';
import {
  crossingWords,
  isNotJudged,
  itemName,
  missingWords,
  reasonSentence,
  verdictDetail,
  verdictSentence,
} from '@jasperwren/core/marking/wording';
import { useMemo } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { api } from '../../base/api';
import { clockTime, counted, longDate } from '../../ui/format';
import { GradeSign } from '../../ui/GradeSign';
import { OutcomeWord } from '../../ui/OutcomeWord';
import { Page, Rows, Section } from '../../ui/Page';
import { Empty, Failed, Loading } from '../../ui/states';
import type { OpenDrive } from '../log/drive-logs';
import { useJudgedDrive, useOpenDrive } from '../log/use-drive';
import styles from './compare.module.css';

/** One drive under its own standard and another, side by side. */
export default function ComparePage() {
  const { driveId = '' } = useParams();
  const opening = useOpenDrive(driveId);
  const { data: standards, error, refetch } = api.useStandardsQuery();
  if (opening.state === 'failed') return <Failed error={opening.error} onRetry={opening.retry} />;
  if (error) return <Failed error={error} onRetry={() => void refetch()} />;
  if (opening.state === 'loading' || !standards) return <Loading what="the drive and the standards" />;
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
  const asked = search.get('with');
  const other = all.find(({ standard }, i) => i > 0 && standard.id === asked) ?? all[1];
  return (
    <Page
      title="The same drive, marked elsewhere"
      over={
        <>
          <Link to={`/drive/${meta.id}`}>
            {meta.learnerName}, {drive.startedAt && longDate(drive.startedAt)}
          </Link>
          , marked under {own.name} v{own.version}
        </>
      }
      sub="Marks are taken over by what was watched, and grades by their severity. What has no place elsewhere is listed, not dropped in silence."
    >
      {!other ? (
        <Empty>There is no other standard to compare with.</Empty>
      ) : (
        <>
          <TextField
            select
            label="Judge it under"
            value={other.standard.id}
            onChange={(event) => setSearch({ with: event.target.value }, { replace: true })}
            sx={{ width: '20rem' }}
          >
            {all.slice(1).map(({ standard }) => (
              <MenuItem key={standard.id} value={standard.id}>
                {standard.name}
              </MenuItem>
            ))}
          </TextField>
          <div className={styles.sides}>
            <Side compared={all[0]!} />
            <Side compared={other} />
          </div>
          <Section title="How each mark reads there">
            <Translations from={own} compared={other} />
          </Section>
          <Section title="Under every standard">
            <Everywhere all={all} />
          </Section>
        </>
      )}
    </Page>
  );
}

function Side({ compared: { standard, verdict, grades, translations } }: { readonly compared: Compared }) {
  const without = translations.filter((entry) => 'why' in entry).length;
  const read = grades.filter(({ from, to }) => to === 'none' || from.name !== to.name);
  return (
    <section aria-label={standard.name} className={styles.side}>
      <p className="muted">
        {standard.name} v{standard.version}
      </p>
      <h2>{verdictSentence(standard, verdict)}</h2>
      <ul>
        {verdict.reasons.map((reason) => (
          <li key={reason.limit.code + reason.scope}>
            {reasonSentence(standard, reason)}{' '}
            <span className="muted">Decided by {crossingWords(standard, reason)}.</span>
          </li>
        ))}
        {verdict.outcome === 'fail' &&
          missingWords(verdict.missing).map((missing) => <li key={missing}>Missing besides: {missing}.</li>)}
        {read.map(({ from, to, marks }) => (
          <li key={from.code}>
            {counted(marks, 'mark', 'marks')} of “{from.name}”{' '}
            {to === 'none' ? 'count for nothing here' : `read as “${to.name}”`}.
          </li>
        ))}
        {without > 0 && (
          <li>
            <strong>
              {without} of {translations.length} marks have no place here.
            </strong>
          </li>
        )}
      </ul>
    </section>
  );
}

const hows: Readonly<Record<Extract<Translation, { readonly how: unknown }>['how'], string>> = {
  itself: '',
  'same-severity': '',
  'nearest-severity': 'nearest grade this item has',
  measured: 'graded anew by what was measured',
};

function Translations({ from, compared }: { readonly from: EffectiveStandard; readonly compared: Compared }) {
  const { grades } = rulesOf(from);
  if (compared.translations.length === 0) return <Empty>Nothing was marked on this drive.</Empty>;
  return (
    <Rows>
      {compared.translations.map((entry) => {
        const { mark } = entry;
        const grade = grades.get(mark.grade);
        return (
          <li key={mark.id} className={styles.pair}>
            <b>{clockTime(mark.atMs)}</b>
            <span className={styles.sign}>
              <GradeSign sign={grade?.sign ?? 'noted'} size={20} />
              <span>
                {itemName(from, mark.item)}, {grade?.name ?? mark.grade}
              </span>
            </span>
            {'grade' in entry ? (
              <span className={styles.sign}>
                <GradeSign sign={entry.grade.sign} size={20} />
                <span>
                  {entry.category.name}: {entry.item.name.toLowerCase()}, {entry.grade.name}
                  {hows[entry.how] && <span className="muted"> ({hows[entry.how]})</span>}
                  {entry.fits > 1 && <span className="muted"> (one of {entry.fits} items it fits)</span>}
                </span>
              </span>
            ) : (
              <em>No place: {whyNot(compared.standard, entry.why)}.</em>
            )}
          </li>
        );
      })}
    </Rows>
  );
}

function Everywhere({ all }: { readonly all: readonly Compared[] }) {
  return (
    <Rows>
      {all.map(({ standard, verdict, translations }, i) => (
        <li key={`${standard.id} ${standard.version}`} className={styles.everywhere}>
          {i === 0 ? <b>{standard.name}</b> : <Link to={`?with=${standard.id}`}>{standard.name}</Link>}
          {isNotJudged(verdict) ? (
            <span className="muted">{verdictSentence(standard, verdict)}</span>
          ) : (
            <span>
              <OutcomeWord outcome={verdict.outcome} />: {verdictDetail(standard, verdict)}.
            </span>
          )}
          <span className="muted">
            {translations.filter((entry) => 'grade' in entry).length} of {translations.length} marks judged
          </span>
        </li>
      ))}
    </Rows>
  );
}
