import { standardFile } from '@jasperwren/core/formats/standard-file';
import { file, type HandlersOf } from '../http/call';
import { beginStandard, dropDraft, getDraft, importDraft, publishDraft, saveDraft } from './drafts';
import { library, setRetired, viewStandard } from './library';
import { getStandard, latestStandards } from './store';

type Names =
  | 'standards'
  | 'library'
  | 'beginStandard'
  | 'importStandard'
  | 'standard'
  | 'standardVersion'
  | 'standardFile'
  | 'draft'
  | 'saveDraft'
  | 'dropDraft'
  | 'publishStandard'
  | 'retireStandard'
  | 'unretireStandard';

export const standardHandlers: HandlersOf<Names> = {
  standards: (call) => latestStandards(call),
  library: (call) => library(call),
  beginStandard: ({ write }, _, body) =>
    write(
      (trx) => beginStandard(trx, body),
      ({ standard }) => ({ subject: standard.id }),
    ),
  importStandard: ({ write }, _, { source }) =>
    write(
      (trx) => importDraft(trx, source),
      ({ standard }) => ({ subject: standard.id }),
    ),
  standard: (call, { id }) => viewStandard(call, id),
  standardVersion: (call, { id, version }) => getStandard(call, id, Number(version)),
  async standardFile(call, { id, version }) {
    const standard = await getStandard(call, id, Number(version));
    return file(`${standard.id}-v${standard.version}.json`, 'json', JSON.stringify(standardFile(standard)));
  },
  draft: (call, { id }) => getDraft(call, id),
  saveDraft: ({ write }, { id }, body) => write((trx) => saveDraft(trx, id, body)),
  dropDraft: ({ write }, { id }) => write((trx) => dropDraft(trx, id)),
  publishStandard: ({ write }, { id }) => write((trx) => publishDraft(trx, id)),
  retireStandard: ({ write }, { id }) => write((trx) => setRetired(trx, id, true)),
  unretireStandard: ({ write }, { id }) => write((trx) => setRetired(trx, id, false)),
};
