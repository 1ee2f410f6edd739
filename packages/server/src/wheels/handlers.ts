import type { HandlersOf } from '../http/call';
import { dropKept, keep, listKept } from './store';

export const wheelsHandlers: HandlersOf<'keptWheels' | 'keepWheels' | 'dropWheels'> = {
  keptWheels: (call) => listKept(call),
  keepWheels: ({ write }, _, body) => write((trx) => keep(trx, body), { subject: body.id }),
  async dropWheels({ write }, { keptId }) {
    await write((trx) => dropKept(trx, keptId));
  },
};
