import type { DriveNews, DriveSummary, DriveView, EventBatch, EventReceipt } from '../drives';
import { del, get, post, put } from '../route';
import type { NewShare, ShareInput, ShareView, SharedDebrief } from '../shares';
import type { VoiceInput, VoiceView } from '../voices';
import type { FixBatch, SharedRoad, TraceEdit, TraceView } from '../traces';

/** Mock tests: their logs, traces and what is shown of them to a learner. */
export const drivesRoutes = {
  drives: get('/api/drives', 'staff', {
    reads: ['drives', 'learners', 'accounts'],
    ofSchool: true,
  }).answers<readonly DriveSummary[]>(),
  learnerDrives: get('/api/learners/:learnerId/drives', 'staff', {
    reads: ['drives', 'learners', 'accounts'],
  }).answers<readonly DriveSummary[]>(),
  drive: get('/api/drives/:driveId', 'staff', { live: true }).answers<DriveView>(),
  driveNews: get('/api/drives/:driveId/news', 'staff', { query: ['known'], live: true }).answers<DriveNews | null>(),
  sendEvents: post('/api/drives/:driveId/events', 'staff', { changes: ['drives'], ahead: true })
    .takes<EventBatch>()
    .answers<EventReceipt>(),
  driveRecord: get('/api/drives/:driveId/record', 'staff').file(),
  driveTable: get('/api/drives/:driveId/marks.csv', 'staff').file(),
  trace: get('/api/drives/:driveId/trace', 'staff', {
    reads: ['traces', 'drives', 'roads', 'routes'],
  }).answers<TraceView | null>(),
  driveRoad: get('/api/drives/:driveId/road', 'staff', {
    reads: ['traces', 'drives', 'roads', 'routes'],
  }).answers<SharedRoad | null>(),
  sendFixes: post('/api/drives/:driveId/fixes', 'staff', { changes: ['traces'], ahead: true })
    .takes<FixBatch>()
    .done(),
  editTrace: put('/api/drives/:driveId/trace', 'staff', { changes: ['traces'] })
    .takes<TraceEdit>()
    .done(),
  dropTrace: del('/api/drives/:driveId/trace', 'staff', { changes: ['traces', 'readiness'] }).done(),
  voices: get('/api/drives/:driveId/voices', 'staff', { reads: ['drives'] }).answers<readonly VoiceView[]>(),
  sendVoice: put('/api/drives/:driveId/voices/:pinId', 'staff', { changes: ['drives'], ahead: true })
    .takes<VoiceInput>()
    .done(),
  dropVoice: del('/api/drives/:driveId/voices/:pinId', 'staff', { changes: ['drives'] }).done(),
  traceFile: get('/api/drives/:driveId/trace.gpx', 'staff').file(),
  shares: get('/api/drives/:driveId/shares', 'staff', { reads: ['shares'], live: true }).answers<
    readonly ShareView[]
  >(),
  share: post('/api/drives/:driveId/shares', 'staff', { changes: ['shares'] })
    .takes<ShareInput>()
    .answers<NewShare>(201),
  revokeShare: del('/api/drives/:driveId/shares/:shareId', 'staff', { changes: ['shares'] }).done(),
  sharedDebrief: get('/api/shared/:token', 'anybody').answers<SharedDebrief>(),
  sharedDebriefRoad: get('/api/shared/:token/road', 'anybody').answers<SharedRoad | null>(),
} as const;
