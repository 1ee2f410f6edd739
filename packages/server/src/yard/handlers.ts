import { t } from '@jasperwren/words/refusals';
import { file, type HandlersOf } from '../http/call';
import { missing } from '../refusal';
import { addCar, addRun, dropCar, dropRun, listCars, listRuns, rowsFrom, runHead } from './store';

type Names = 'yardRuns' | 'addYardRun' | 'yardRunFile' | 'dropYardRun' | 'yardCars' | 'addYardCar' | 'dropYardCar';

export const yardHandlers: HandlersOf<Names> = {
  yardRuns: (call) => listRuns(call),
  addYardRun: ({ write }, _, body) =>
    write((trx) => addRun(trx, body), {
      subject: body.id,
      ...(body.learnerId !== undefined && { learnerId: body.learnerId }),
    }),
  async yardRunFile({ db, who }, { runId }) {
    const head = await runHead(db, who.schoolId, runId);
    if (!head) throw missing(t('runNotFound'), { code: 'no-run' });
    const rows = await rowsFrom(db, head, 0);
    return file('run.csv', 'text/csv', `${[head.columns, ...rows].join('\r\n')}\r\n`);
  },
  async dropYardRun({ withdraw }, { runId }) {
    await withdraw(
      (trx) => dropRun(trx, runId),
      ({ learner }) => ({ ...(learner && { learnerId: learner.id }) }),
    );
  },
  yardCars: (call) => listCars(call),
  addYardCar: ({ write }, _, body) => write((trx) => addCar(trx, body)),
  async dropYardCar({ withdraw }, { carId }) {
    await withdraw((trx) => dropCar(trx, carId));
  },
};
