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
  standards: ({ db, who }) => latestStandards(db, who.schoolId),
  library: ({ db, who }) => library(db, who.schoolId),
  beginStandard: ({ write, who }, _, body) =>
    write(
      (db) => beginStandard(db, who.schoolId, body),
      ({ standard }) => ({ subject: standard.id }),
    ),
  importStandard: ({ write, who }, _, { source }) =>
    write(
      (db) => importDraft(db, who.schoolId, source),
      ({ standard }) => ({ subject: standard.id }),
    ),
  standard: ({ db, who }, { id }) => viewStandard(db, who.schoolId, id),
  standardVersion: ({ db, who }, { id, version }) => getStandard(db, who.schoolId, id, Number(version)),
  async standardFile({ db, who }, { id, version }) {
    const standard = await getStandard(db, who.schoolId, id, Number(version));
    return file(`${standard.id}-v${standard.version}.json`, 'json', JSON.stringify(standardFile(standard)));
  },
  draft: ({ db, who }, { id }) => getDraft(db, who.schoolId, id),
  saveDraft: ({ write, who }, { id }, body) => write((db) => saveDraft(db, who.schoolId, id, body)),
  dropDraft: ({ write, who }, { id }) => write((db) => dropDraft(db, who.schoolId, id)),
  publishStandard: ({ write, who }, { id }) => write((db) => publishDraft(db, who.schoolId, id)),
  retireStandard: ({ write, who }, { id }) => write((db) => setRetired(db, who.schoolId, id, true)),
  unretireStandard: ({ write, who }, { id }) => write((db) => setRetired(db, who.schoolId, id, false)),
};
