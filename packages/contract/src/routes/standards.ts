import type { EffectiveStandard, Standard } from '@jasperwren/core/marking/standard';
import { del, get, post, put } from '../route';
import type { DraftInput, DraftView, ImportInput, NewStandard, StandardSummary, StandardView } from '../standards';

/** Standards of marking. */
export const standardsRoutes = {
  standards: get('/api/standards', 'staff', { reads: ['standards'], ofSchool: true }).answers<
    readonly EffectiveStandard[]
  >(),
  library: get('/api/standards/library', 'staff', { reads: ['standards', 'drives'] }).answers<
    readonly StandardSummary[]
  >(),
  beginStandard: post('/api/standards', 'lead', { changes: ['standards'] })
    .takes<NewStandard>()
    .answers<DraftView>(201),
  importStandard: post('/api/standards/import', 'lead', {
    changes: ['standards'],
  })
    .takes<ImportInput>()
    .answers<DraftView>(201),
  standard: get('/api/standards/:id', 'staff', { reads: ['standards'] }).answers<StandardView>(),
  standardVersion: get('/api/standards/:id/versions/:version', 'staff', { reads: ['standards'] }).answers<Standard>(),
  standardFile: get('/api/standards/:id/versions/:version/file', 'staff').file(),
  draft: get('/api/standards/:id/draft', 'staff', { live: true }).answers<DraftView>(),
  saveDraft: put('/api/standards/:id/draft', 'lead', { changes: ['standards'] })
    .takes<DraftInput>()
    .answers<DraftView>(),
  dropDraft: del('/api/standards/:id/draft', 'lead', { changes: ['standards'] }).done(),
  publishStandard: post('/api/standards/:id/publish', 'lead', {
    changes: ['standards', 'readiness'],
  }).answers<Standard>(),
  retireStandard: put('/api/standards/:id/retired', 'lead', { changes: ['standards'] }).done(),
  unretireStandard: del('/api/standards/:id/retired', 'lead', { changes: ['standards'] }).done(),
} as const;
