import { t } from '@jasperwren/words/standards';
import Button from '@mui/material/Button';
import type { StandardView } from '@jasperwren/contract/standards';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { addressFor, api } from '../base/api';
import { useSignedIn } from '../base/signed-in';
import { longDate } from '../ui/format';
import { Page, Section } from '../ui/Page';
import { Failed, Loading } from '../ui/states';
import { told } from '../ui/told';
import { failureOf } from '../ui/failure';
import { ReadView } from './ReadView';
import styles from './standards.module.css';
import { CopyDialog } from './CopyDialog';

/** One version of a standard to read; the latest unless the address says otherwise. */
export default function StandardPage() {
  const { standardId = '' } = useParams();
  const [search] = useSearchParams();
  const asked = Number(search.get('version')) || undefined;
  const view = api.useStandardQuery({ id: standardId });
  const latest = view.data?.standard.version;
  const older = api.useStandardVersionQuery(
    { id: standardId, version: asked ?? 0 },
    { skip: asked === undefined || asked === latest },
  );
  const failed = failureOf(view, older);
  if (failed) return <Failed {...failed} />;
  const standard = asked === undefined || asked === latest ? view.data?.standard : older.data;
  if (!view.data || !standard) return <Loading what={t('standard')} />;
  const { trafficSide, units, basedOn } = standard;
  return (
    <Page
      title={standard.name}
      over={
        <>
          <Link to="/standards">{t('markingStandards')}</Link>
          {t('versionVersion2', { version: standard.version })}
          {standard.version !== latest && ` ${t('ofLatest', { latest: String(latest) })}`}
          {view.data.retiredAt && t('retiredDate2', { date: longDate(view.data.retiredAt) })}
        </>
      }
      sub={standard.summary}
      actions={<Actions view={view.data} version={standard.version} />}
    >
      <p className="muted">
        {t('trafficOnTheTrafficSidePart', {
          trafficSide,
          part: units === 'imperial' ? t('milesAndYards') : t('kilometresAndMetres'),
        })}
        {basedOn && (
          <>
            {t('madeFrom')}{' '}
            <Link to={`/standards/${basedOn.id}?version=${basedOn.version}`}>
              {t('idVersionVersion', { id: basedOn.id, version: basedOn.version })}
            </Link>
          </>
        )}
        .
      </p>
      <ReadView standard={standard} />
      <Section title={t('versions')}>
        <Versions view={view.data} shown={standard.version} />
      </Section>
      <p className={`muted ${styles.caution}`}>{t('testAuthoritiesChangeTheirRulesCompare')}</p>
    </Page>
  );
}

function Versions({ view, shown }: { readonly view: StandardView; readonly shown: number }) {
  const { standard, versions } = view;
  return (
    <ul className={styles.versions}>
      {versions.map(({ version, publishedAt }) => (
        <li key={version}>
          {version === shown ? (
            <b>{t('versionVersion', { version })}</b>
          ) : (
            <Link to={`/standards/${standard.id}?version=${version}`}>{t('versionVersion', { version })}</Link>
          )}{' '}
          <span className="muted">{t('ofDate', { date: longDate(publishedAt) })}</span>
          {version > 1 && (
            <>
              {' '}
              <Link to={`/standards/${standard.id}/changes?from=${version - 1}&to=${version}`}>{t('whatChanged')}</Link>
            </>
          )}
        </li>
      ))}
    </ul>
  );
}

function Actions({ view, version }: { readonly view: StandardView; readonly version: number }) {
  const { account } = useSignedIn();
  const [retire] = api.useRetireStandardMutation();
  const [takeBack] = api.useUnretireStandardMutation();
  const [copying, setCopying] = useState(false);
  const { id, name } = view.standard;
  const retired = view.retiredAt !== undefined;
  const setRetired = async () => {
    told(
      await (retired ? takeBack : retire)({ id }),
      retired ? t('nameRestored', { name }) : t('nameRetiredMockTestsMarkedUnder', { name }),
    );
  };
  return (
    <>
      <Button variant="text" component="a" href={addressFor('standardFile', { id, version })} download>
        {t('export')}
      </Button>
      {account.role === 'lead' && (
        <>
          <Button variant="text" onClick={() => void setRetired()}>
            {retired ? t('restore') : t('retire')}
          </Button>
          <Button variant={view.template ? 'contained' : 'outlined'} onClick={() => setCopying(true)}>
            {t('copyAndEdit')}
          </Button>
          {!view.template && (
            <Button variant="contained" component={Link} to={`/standards/${id}/edit`}>
              {view.hasDraft ? t('continueDraft') : t('edit')}
            </Button>
          )}
        </>
      )}
      <CopyDialog
        open={copying}
        onClose={() => setCopying(false)}
        from={{ id, version }}
        suggested={t('nameOurs', { name })}
      />
    </>
  );
}
