import { roundTheWay } from '../traces/shared-road';
import { t } from '@jasperwren/words/refusals';
import { notSignedIn } from '../refusal';
import { addReviews, reviewsOf } from '../safety-questions/store';
import type { HandlersOf } from '../http/call';
import { triesOf } from '../http/tries';
import { endAccess, getLearner } from '../learners/store';
import { makeCode, redeemCode } from './access';
import type { Workers } from '../jobs/threads';
import { sharedDebrief } from '../shares/store';
import { me, myDebriefs, mySharedDrive } from './store';

const wrongCodes = 10;

type Names =
  | 'letIn'
  | 'endAccess'
  | 'learnerSignIn'
  | 'me'
  | 'myReviews'
  | 'addMyReviews'
  | 'myDebriefs'
  | 'myDebrief'
  | 'myDebriefRoad';

/** What a learner may do, and how an instructor lets a learner in. */
export function meHandlers(workers: Workers): HandlersOf<Names> {
  const guessed = triesOf('code', wrongCodes);
  return {
    letIn: ({ write }, { learnerId }, { kind }) => write((trx) => makeCode(trx, learnerId, kind)),
    endAccess: ({ write }, { learnerId }) =>
      write(async (trx) => {
        await getLearner(trx, learnerId);
        await endAccess(trx, learnerId);
      }),

    async learnerSignIn(call, _, { code }) {
      await guessed.take(call.setHeader, call.address);
      const learner = await call.write(
        async (trx) => {
          const found = await redeemCode(trx, code);
          if (found) return found;
          throw notSignedIn(t('codeNotKnown'), {
            code: 'wrong-code',
          });
        },
        ({ schoolId, learnerId }) => ({ schoolId, learnerId }),
      );
      await guessed.giveBack(call.address);
      const csrfToken = await call.signIn.begin(learner);
      return me({ ...call, who: learner }, csrfToken);
    },

    me: (call) => me(call, call.signIn.csrfToken),
    myReviews: (call) => reviewsOf(call, call.who.learnerId),
    addMyReviews: ({ write, who }, _, { reviews }) =>
      write((trx) => addReviews(trx, who.learnerId, reviews), { detail: String(reviews.length) }),
    myDebriefs: (call) => myDebriefs(call),
    myDebrief: async (call, { shareId }) => sharedDebrief(call, await mySharedDrive(call, shareId)),
    myDebriefRoad: async (call, { shareId }) =>
      workers.run({ kind: 'shared-road', around: roundTheWay.link, ...(await mySharedDrive(call, shareId)) }),
  };
}
