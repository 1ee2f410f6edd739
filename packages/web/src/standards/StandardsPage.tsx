import { problemWords } from '@jasperwren/words/marking/problems';
import { t } from '@jasperwren/words/standards';
import Button from '@mui/material/Button';
import type { StandardSummary } from '@jasperwren/contract/standards';
import { fileText } from '@jasperwren/core/formats/file-text';
import { capital } from '@jasperwren/words/lists';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api } from '../base/api';
import { apiError, type ApiError } from '../base/client';
import { useSignedIn } from '../base/signed-in';
import { failureOf } from '../ui/failure';
import { shortDate } from '../ui/format';
import { Page, Rows, Section } from '../ui/Page';
import { Empty, Failed, Loading } from '../ui/states';
import { CopyDialog } from './CopyDialog';
import styles from './standards.module.css';
import { FileButton } from '../ui/FileButton';

/** The library: what the school made itself, and what comes with the product. */
export default function StandardsPage() {
  const { account } = useSignedIn();
  const [failure, setFailure] = useState<ImportFailure>();
  const [starting, setStarting] = useState(false);
  const { data: library, ...asked } = api.useLibraryQuery();
  const failed = failureOf(asked);
  if (failed) return <Failed {...failed} />;
  if (!library) return <Loading what={t('standards')} />;
  const own = library.filter(({ template }) => !template);
  return (
    <Page
      title={t('markingStandards')}
      sub={t('whatIsObservedHowItIs')}
      actions={
        account.role === 'lead' && (
          <>
            <Import onFailure={setFailure} />
            <Button variant="outlined" onClick={() => setStarting(true)}>
              {t('newStandard')}
            </Button>
          </>
        )
      }
    >
      <CopyDialog open={starting} onClose={() => setStarting(false)} suggested="" />
      {failure && <FailedImport {...failure} />}
      <Section title={t('yourSchoolsStandards')}>
        {own.length === 0 ? (
          <Empty>{t('noneYetCopyAndEditThe')}</Empty>
        ) : (
          <Rows>
            {own.map((standard) => (
              <StandardRow key={standard.id} standard={standard} />
            ))}
          </Rows>
        )}
      </Section>
      <Section title={t('readyMadeStandards')}>
        <Rows>
          {library
            .filter(({ template }) => template)
            .map((standard) => (
              <StandardRow key={standard.id} standard={standard} />
            ))}
        </Rows>
      </Section>
    </Page>
  );
}

function StandardRow({ standard }: { readonly standard: StandardSummary }) {
  const { id, name, summary, version, retiredAt, draftSavedAt, drives } = standard;
  return (
    <li className={styles.row}>
      <div>
        <Link to={version === undefined ? `/standards/${id}/edit` : `/standards/${id}`} className={styles.name}>
          {name}
        </Link>
        <div className="muted">{summary}</div>
      </div>
      <div>
        {version === undefined ? t('notPublishedYet') : t('versionVersion', { version })}
        {retiredAt && <div>{t('retiredDate', { date: shortDate(retiredAt) })}</div>}
        {draftSavedAt && version !== undefined && (
          <Link to={`/standards/${id}/edit`}>{t('draftOfDate', { date: shortDate(draftSavedAt) })}</Link>
        )}
      </div>
      <span className="muted">{drives === 0 ? t('noMockTests') : t('mockTests', { count: drives })}</span>
    </li>
  );
}

interface ImportFailure {
  readonly file: string;
  readonly error: ApiError;
}

/** Brings in a standard from a file. */
function Import({ onFailure }: { readonly onFailure: (failure: ImportFailure | undefined) => void }) {
  const navigate = useNavigate();
  const [bringIn, { isLoading }] = api.useImportStandardMutation();
  const read = async (file: File) => {
    onFailure(undefined);
    const text = fileText(new Uint8Array(await file.arrayBuffer()));
    if (!text.ok)
      return onFailure({
        file: file.name,
        error: { status: 422, code: 'encoding', message: capital(`${problemWords(text.problems[0]!)}.`) },
      });
    const { data, error } = await bringIn({ body: { source: text.value } });
    if (data) void navigate(`/standards/${data.standard.id}/edit`);
    else onFailure({ file: file.name, error: apiError(error)! });
  };
  return (
    <FileButton
      variant="outlined"
      label={t('importFile')}
      fileLabel={t('markingStandardFile')}
      accept="application/json,.json"
      disabled={isLoading}
      onFile={read}
    />
  );
}

/** What is wrong with a file, each problem with its place in it. */
function FailedImport({ file, error }: ImportFailure) {
  return (
    <div role="alert" className={styles.failure}>
      <p>
        <b>{file}:</b> {error.message}
      </p>
      <ul>
        {error.problems?.map(({ field, message }, i) => (
          <li key={i}>
            <code>{field || t('file')}</code> {message}
          </li>
        ))}
      </ul>
    </div>
  );
}
