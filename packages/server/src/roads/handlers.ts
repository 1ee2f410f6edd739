import { t } from '@jasperwren/words/refusals';
import { rename, rm } from 'node:fs/promises';
import type { HandlersOf } from '../http/call';
import { queueJob } from '../jobs/queue';
import type { Runner } from '../jobs/runner';
import { invalid } from '../refusal';
import { addNote, dropNote, editNote, notesOfSchool } from './notes';
import { fileOfRoads } from './roads-job';
import { beginRoads, dropRoads, roadsOfSchool, waysOf } from './store';

type Names =
  'roads' | 'addRoads' | 'dropRoads' | 'roadsOf' | 'roadNotes' | 'addRoadNote' | 'editRoadNote' | 'dropRoadNote';

export const roadsHandlers = (jobs: Runner, dataDir: string): HandlersOf<Names> => ({
  roads: (call) => roadsOfSchool(call),
  async addRoads({ write, who, now, upload }, { file = '', name }) {
    if (upload === undefined) throw invalid(t('sendTheFileItself'));
    const added = await write(async (trx) => {
      const roads = await beginRoads(trx, file, name);
      await queueJob(trx.db, { schoolId: who.schoolId, kind: 'roads', subject: roads.id }, now);
      await rename(upload, fileOfRoads(dataDir, roads.id));
      return roads;
    });
    jobs.wake();
    return added;
  },
  async dropRoads({ write, who }, { roadsId }) {
    await write((trx) => dropRoads(trx, roadsId));
    jobs.cancel(who.schoolId, roadsId);
    await rm(fileOfRoads(dataDir, roadsId), { force: true });
  },
  roadsOf: (call, { roadsId }) => waysOf(call, roadsId),
  roadNotes: (call) => notesOfSchool(call),
  addRoadNote: ({ write }, _, body) => write((trx) => addNote(trx, body)),
  editRoadNote: ({ write }, { noteId }, body) => write((trx) => editNote(trx, noteId, body)),
  dropRoadNote: ({ write }, { noteId }) => write((trx) => dropNote(trx, noteId)),
});
