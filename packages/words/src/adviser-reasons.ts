import { wordsOf } from './words';

/** Why a grade is proposed, as the tail of a sentence that learners read as well. */
export const resource = {
  'no-one-endangered': 'it was not good enough, and it put no one in danger',
  'wrong-way-safe': 'a wrong direction driven safely is no fault',
  'last-signal-right': 'the signals did not agree, and the last one was right',
  'going-on-safer': 'going on was the safer choice; how serious it is depends on who was behind',
  'others-reacted': 'someone else had to slow, stop or swerve',
  'took-control': 'the instructor had to take control',
  'prompt-kept-safe': 'a prompt of the instructor kept it safe',
  'not-under-control': 'the car was not under control',
  'someone-close': 'someone was close enough to be endangered',
  'others-waited': 'others waited through a whole green light, or as long',
  'no-time-to-look': 'the line was crossed at a speed that left no time to look',
  'could-not-stop': 'too fast to stop for a hazard',
  'red-light': 'a red light was passed',
  'other-side': 'the car was on the side of oncoming traffic',
  'mirrors-useless': 'the mirrors were badly set for most of the way',
  'head-not-turned': 'this standard asks for a turned head through most of a reverse',
  'clutch-first': 'pressing the clutch first loses engine braking',
  'brake-first-wanted': 'this standard wants the brake before the clutch',
  'restarted-well': 'no one was held up and the car was restarted with the proper checks',
  'mirrors-back-in-time': 'the mirrors were back in place before they were needed',
  'put-right-at-once': 'it was seen and put right at once, with a look round first',
  'stopping-more-dangerous': 'stopping would have endangered others more than going on',
  'both-pedals-taught': 'both pedals together is what this standard teaches',
  'form-matters': 'this standard looks at form, though nothing came of it',
  'affected-no-one': 'it affected no other road user',
  'signal-for-no-one': 'no one would have benefited from a signal',
  habit: 'a repeated fault may be a habit, which weighs more',
} as const;

export const t = wordsOf('adviser-reasons', resource);
