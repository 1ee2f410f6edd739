import type { HandlersOf } from '../http/call';
import { dropVoice, keepVoice, voicesOf } from './store';

export const voiceHandlers = (): HandlersOf<'voices' | 'sendVoice' | 'dropVoice'> => ({
  voices: (call, { driveId }) => voicesOf(call, driveId),
  async sendVoice({ write }, { driveId, pinId }, body) {
    await write(
      (trx) => keepVoice(trx, driveId, pinId, body),
      ({ learnerId }) => ({ learnerId }),
    );
  },
  async dropVoice({ withdraw }, { driveId, pinId }) {
    await withdraw(
      (trx) => dropVoice(trx, driveId, pinId),
      ({ learnerId }) => ({ learnerId }),
    );
  },
});
