import { failureOf } from '../ui/failure';
import { dayAndTime } from '../ui/format';
import { t } from '@jasperwren/words/school';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { AuditLine, auditFilters } from '@jasperwren/contract/audit';
import dayjs from 'dayjs';
import { useState } from 'react';
import { Link } from 'react-router';
import { addressFor, api } from '../base/api';
import { DateBox } from '../ui/DateField';
import { Page } from '../ui/Page';
import { Empty, Failed, Loading } from '../ui/states';
import { deedOf, deedWords, detailOf, doerOf } from './audit-words';
import styles from './school.module.css';

const ends = ['from', 'to'] as const;

/** An id that says nothing to anybody. */
const madeUp = /[0-9a-f]{8}-[0-9a-f]{4}-/;

/** How the trail is narrowed. */
type AuditFilter = Readonly<Partial<Record<(typeof auditFilters)[number], string>>>;

const deeds = Object.entries(deedWords).sort(([, a], [, b]) => a.localeCompare(b));

/** Who did what, when, and from where; for leads. */
export default function AuditPage() {
  const [filter, setFilter] = useState<AuditFilter>({});
  // Each page begins where the one before ended.
  const [pages, setPages] = useState<readonly (string | undefined)[]>([undefined]);
  const narrow = (change: AuditFilter) => {
    setFilter({ ...filter, ...change });
    setPages([undefined]);
  };
  return (
    <Page
      title={t('activityLog')}
      over={<Link to="/school">{t('school2')}</Link>}
      sub={t('keptForAtLeastAYear')}
      actions={
        <Button variant="outlined" component="a" href={addressFor('auditTable', filter)} download>
          {t('downloadCSV')}
        </Button>
      }
    >
      <Filters filter={filter} onChange={narrow} />
      {pages.map((before, i) => (
        <Lines
          key={JSON.stringify([filter, before])}
          filter={before === undefined ? filter : { ...filter, before }}
          onMore={i === pages.length - 1 ? (next) => setPages([...pages, String(next)]) : undefined}
        />
      ))}
    </Page>
  );
}

function Filters({
  filter,
  onChange,
}: {
  readonly filter: AuditFilter;
  readonly onChange: (change: AuditFilter) => void;
}) {
  const { data: people = [] } = api.usePeopleQuery();
  const { data: learners = [] } = api.useLearnersQuery();
  const choices: readonly (readonly [keyof AuditFilter, string, readonly (readonly [string, string])[]])[] = [
    ['account', t('who'), people.map(({ id, name }) => [id, name])],
    ['learner', t('about'), learners.map(({ id, name }) => [id, name])],
    ['action', t('what'), deeds],
  ];
  return (
    <div className={styles.filters}>
      {choices.map(([name, label, options]) => (
        <TextField
          key={name}
          select
          size="small"
          sx={{ minWidth: 176 }}
          label={label}
          value={filter[name] ?? ''}
          onChange={(event) => onChange({ [name]: event.target.value })}
        >
          <MenuItem value="">{t('everything')}</MenuItem>
          {options.map(([value, words]) => (
            <MenuItem key={value} value={value}>
              {words}
            </MenuItem>
          ))}
        </TextField>
      ))}
      {ends.map((name) => (
        <DateBox
          key={name}
          small
          label={name === 'from' ? t('from') : t('upTo')}
          value={filter[name] ?? ''}
          // A half-typed date narrows nothing yet.
          onChange={(day) => (day === '' || dayjs(day).isValid()) && onChange({ [name]: day })}
        />
      ))}
    </div>
  );
}

function Lines({
  filter,
  onMore,
}: {
  readonly filter: AuditFilter;
  readonly onMore: ((next: number) => void) | undefined;
}) {
  const { data: page, ...asked } = api.useAuditQuery(filter);
  const failed = failureOf(asked);
  if (failed) return <Failed {...failed} />;
  if (!page) return <Loading what={t('log')} />;
  if (page.lines.length === 0) return <Empty>{t('nothingMatchesRemoveAFilterTo')}</Empty>;
  return (
    <>
      <table className={styles.lines}>
        <thead>
          <tr>
            <th scope="col">{t('when')}</th>
            <th scope="col">{t('activityLog')}</th>
            <th scope="col">{t('about')}</th>
            <th scope="col">{t('from')}</th>
          </tr>
        </thead>
        <tbody>
          {page.lines.map((line) => (
            <Line key={line.id} line={line} />
          ))}
        </tbody>
      </table>
      {onMore && page.next !== undefined && (
        <Button variant="outlined" onClick={() => onMore(page.next!)}>
          {t('showEarlier')}
        </Button>
      )}
    </>
  );
}

function Line({ line }: { readonly line: AuditLine }) {
  const { at, learner, subject, subjectName, detail, address } = line;
  return (
    <tr>
      <td>{dayAndTime(at)}</td>
      <td>
        <b>{doerOf(line)}</b> {deedOf(line)}
        {detail && <span className="muted"> ({detailOf(detail)})</span>}
      </td>
      <td>
        {learner ? (
          learner.name ? (
            <Link to={`/learners/${learner.id}`}>{learner.name}</Link>
          ) : (
            t('anErasedLearner')
          )
        ) : (
          ''
        )}
        {subjectName ?? (!learner && subject && !madeUp.test(subject) && <span className="muted">{subject}</span>)}
      </td>
      <td className="muted">{address ?? t('theCommandLine')}</td>
    </tr>
  );
}
