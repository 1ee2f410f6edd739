import createError from 'http-errors';
import { addReviews, reviewsOf } from '../checks/store';
import type { HandlersOf } from '../http/call';
import { triesOf } from '../http/tries';
import { endAccess, getLearner } from '../learners/store';
import { makeCode, useCode } from './access';
import { me, myDebrief, myDebriefs } from './store';

const wrongCodes = 10;

type Names = 'letIn' | 'endAccess' | 'learnerSignIn' | 'me' | 'myReviews' | 'addMyReviews' | 'myDebriefs' | 'myDebrief';

/** What a learner may do, and how an instructor lets a learner in. */
export function meHandlers(): HandlersOf<Names> {
  const guessed = triesOf('code', wrongCodes, 'Signing in with a code');
  return {
    letIn: ({ write, who }, { learnerId }, { kind }) => write((db) => makeCode(db, who, learnerId, kind)),
    endAccess: ({ write, who }, { learnerId }) =>
      write(async (db) => {
        await getLearner(db, who.schoolId, learnerId);
        await endAccess(db, who.schoolId, learnerId);
      }),

    async learnerSignIn({ db, write, address, signIn, setHeader }, _, { code }) {
      await guessed.take(setHeader, address);
      const learner = await write(
        async (trx) => {
          const found = await useCode(trx, code);
          if (found) return found;
          throw createError(
            401,
            'This code is not known, was used, or has run out. Ask your instructor for a new one.',
            {
              code: 'wrong-code',
            },
          );
        },
        ({ schoolId, learnerId }) => ({ schoolId, learnerId }),
      );
      await guessed.giveBack(address);
      const csrfToken = await signIn.begin(learner);
      return me(db, learner, csrfToken);
    },

    me: ({ db, who, signIn }) => me(db, who, signIn.csrfToken),
    myReviews: ({ db, who }) => reviewsOf(db, who.schoolId, who.learnerId),
    addMyReviews: ({ write, who }, _, { reviews }) =>
      write((db) => addReviews(db, who.schoolId, who.learnerId, reviews), { detail: String(reviews.length) }),
    myDebriefs: ({ db, who }) => myDebriefs(db, who),
    myDebrief: ({ db, who }, { shareId }) => myDebrief(db, who, shareId),
  };
}
