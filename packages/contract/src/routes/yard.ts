import { del, get, post } from '../route';
import type { NewYardCar, YardCarInput, YardCarView, YardRunInput, YardRunView } from '../yard';

/** The yard: runs of sensor values, and the cars that send them. */
export const yardRoutes = {
  yardRuns: get('/api/yard/runs', 'staff', { reads: ['yard', 'learners', 'drives'], live: true }).answers<
    readonly YardRunView[]
  >(),
  addYardRun: post('/api/yard/runs', 'staff', { changes: ['yard'] })
    .takes<YardRunInput>()
    .answers<YardRunView>(201),
  yardRunFile: get('/api/yard/runs/:runId/file', 'staff').file(),
  dropYardRun: del('/api/yard/runs/:runId', 'staff', { changes: ['yard'] }).done(),
  yardCars: get('/api/yard/cars', 'staff', { reads: ['yard'] }).answers<readonly YardCarView[]>(),
  addYardCar: post('/api/yard/cars', 'lead', { changes: ['yard'] })
    .takes<YardCarInput>()
    .answers<NewYardCar>(201),
  dropYardCar: del('/api/yard/cars/:carId', 'lead', { changes: ['yard'] }).done(),
} as const;
