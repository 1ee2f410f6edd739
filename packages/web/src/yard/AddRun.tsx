import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { csvHead, csvRows, mostCsvBytes, readRunCsv } from '@jasperwren/core/yard/telemetry-csv';
import { t } from '@jasperwren/words/yard-pages';
import { csvProblem } from '@jasperwren/words/yard-runs';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { api } from '../base/api';
import { apiError } from '../base/client';
import { sendWholeRun } from './feed/send-run';
import { learners, newLearner, simulatedRows, type LearnerKind } from './feed/simulated';
import { FileButton } from '../ui/FileButton';

interface Run {
  readonly name: string;
  readonly source: 'file' | 'simulated';
  readonly standardId: string;
  readonly rows: readonly string[];
}

/** Adds a run from a file, or simulates one, and leads to it. */
export function AddRun({ standards }: { readonly standards: readonly EffectiveStandard[] }) {
  const navigate = useNavigate();
  const [addRun] = api.useAddYardRunMutation();
  const [anchor, setAnchor] = useState<HTMLElement>();
  const [said, setSaid] = useState('');
  const [failed, setFailed] = useState('');
  const first = standards[0];
  if (!first) return <p className="muted">{t('noCourse')}</p>;

  async function add({ rows, ...run }: Run): Promise<void> {
    setFailed('');
    const id = newId();
    try {
      await addRun({ body: { id, ...run, columns: csvHead } }).unwrap();
      await sendWholeRun({ run: id, columns: csvHead, rows }, (have) =>
        setSaid(t('sendingFile', { have, of: rows.length })),
      );
      void navigate(`/yard/runs/${id}`);
    } catch (error) {
      setFailed(error instanceof Error ? error.message : (apiError(error)?.message ?? ''));
    } finally {
      setSaid('');
    }
  }

  async function addFile(file: File): Promise<void> {
    if (file.size > mostCsvBytes) {
      setFailed(csvProblem({ code: 'too-large', mostMb: mostCsvBytes / 1e6 }));
      return;
    }
    const zones = new Set(standards.flatMap(({ exercises }) => exercises.map(({ code }) => code)));
    const read = readRunCsv(await file.text(), { zones });
    if (!('run' in read)) {
      setFailed(csvProblem(read.problem));
      return;
    }
    await add({
      name: file.name.slice(0, 80),
      source: 'file',
      standardId: first!.id,
      rows: csvRows(read.run.samples),
    });
  }

  async function simulate(standard: EffectiveStandard, kind: LearnerKind): Promise<void> {
    setAnchor(undefined);
    const name = t('simulatedOf', { kind: t(kind), standard: standard.name });
    await add({ name, source: 'simulated', standardId: standard.id, rows: simulatedRows(standard, newLearner(kind)) });
  }

  return (
    <>
      <Button variant="outlined" aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)}>
        {t('simulateRun')}
      </Button>
      <Menu open={anchor !== undefined} anchorEl={anchor ?? null} onClose={() => setAnchor(undefined)}>
        {standards.flatMap((standard) =>
          (Object.keys(learners) as readonly LearnerKind[]).map((kind) => (
            <MenuItem key={`${standard.id} ${kind}`} onClick={() => void simulate(standard, kind)}>
              {t('simulatedOf', { kind: t(kind), standard: standard.name })}
            </MenuItem>
          )),
        )}
      </Menu>
      <FileButton variant="contained" label={t('addFile')} accept=".csv,text/csv" onFile={addFile} />
      {said && <span role="status">{said}</span>}
      {failed && <span role="alert">{failed}</span>}
    </>
  );
}
