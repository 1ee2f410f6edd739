import type { StoredRoads } from '@jasperwren/roads/source';
import type { CallTimingInput, CallTimingView } from '../call-timing';
import type { RouteEdit, RouteInput, RouteView, SharedRehearsal } from '../driving-routes';
import type { RoadNoteInput, RoadNoteView, RoadsView } from '../roads';
import { del, get, post, put } from '../route';
import type { NewShare, ShareInput, ShareView } from '../shares';

/** Roads and the routes drawn on them. */
export const roadsRoutes = {
  roads: get('/api/roads', 'staff', { reads: ['roads'], live: true }).answers<readonly RoadsView[]>(),
  addRoads: post('/api/roads', 'staff', {
    query: ['file', 'name'],
    changes: ['roads'],
    upload: true,
  }).answers<RoadsView>(201),
  dropRoads: del('/api/roads/:roadsId', 'staff', { changes: ['roads'] }).done(),
  roadsOf: get('/api/roads/:roadsId/ways', 'staff', { reads: ['roads'] }).answers<StoredRoads>(),
  roadNotes: get('/api/road-notes', 'staff', { reads: ['roads', 'accounts'] }).answers<readonly RoadNoteView[]>(),
  addRoadNote: post('/api/road-notes', 'staff', { changes: ['roads'] })
    .takes<RoadNoteInput>()
    .answers<RoadNoteView>(201),
  editRoadNote: put('/api/road-notes/:noteId', 'staff', { changes: ['roads'] })
    .takes<RoadNoteInput>()
    .answers<RoadNoteView>(),
  dropRoadNote: del('/api/road-notes/:noteId', 'staff', { changes: ['roads'] }).done(),
  routes: get('/api/routes', 'staff', { reads: ['routes'] }).answers<readonly RouteView[]>(),
  addRoute: post('/api/routes', 'staff', { changes: ['routes'] })
    .takes<RouteInput>()
    .answers<RouteView>(201),
  editRoute: put('/api/routes/:routeId', 'staff', { changes: ['routes'] })
    .takes<RouteEdit>()
    .answers<RouteView>(),
  callTiming: get('/api/call-timing', 'staff', { reads: ['routes'] }).answers<CallTimingView>(),
  setCallTiming: put('/api/call-timing', 'staff', { changes: ['routes'] })
    .takes<CallTimingInput>()
    .answers<CallTimingView>(),
  routeShares: get('/api/routes/:routeId/shares', 'staff', { reads: ['shares'], live: true }).answers<
    readonly ShareView[]
  >(),
  shareRoute: post('/api/routes/:routeId/shares', 'staff', { changes: ['shares'] })
    .takes<ShareInput>()
    .answers<NewShare>(201),
  revokeRouteShare: del('/api/routes/:routeId/shares/:linkId', 'staff', { changes: ['shares'] }).done(),
  sharedRoute: get('/api/shared-routes/:token', 'anybody').answers<SharedRehearsal>(),
  dropRoute: del('/api/routes/:routeId', 'staff', { changes: ['routes'] }).done(),
} as const;
