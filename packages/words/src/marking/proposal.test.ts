import { advise, propose } from '@jasperwren/core/adviser/advise';
import { commonQuestions, questionsFor } from '@jasperwren/core/adviser/questions';
import { behaviours } from '@jasperwren/core/catalogue/catalogue';
import { graded, tally } from '@jasperwren/core/marking/testing-standards';
import { t as questions } from '../adviser-questions';
import { t as reasons } from '../adviser-reasons';
import { t as told } from '../adviser-told';
import { proposalSentence } from './proposal';

describe('a suggested grade', () => {
  it('is said in the words of the standard, with its reasons', () => {
    expect(proposalSentence(propose(tally, 'junctions.stop-line', { speed: 'fast' }))).toBe(
      'Serious fault: the line was crossed at a speed that left no time to look.',
    );
    expect(proposalSentence(propose(graded, 'mirrors.before-direction', { help: 'control' }))).toMatch(
      /: the instructor had to take control\.$/,
    );
  });

  it('names what it could also pass as, and that there may be no fault', () => {
    const stalled = propose(tally, 'controls.stalled', { 'held-up': 'no', righted: 'looked' });
    expect(proposalSentence(stalled)).toBe(
      'Driving fault: no one was held up and the car was restarted with the proper checks.',
    );
  });

  it('has a sentence for each reason that any answers lead to', () => {
    for (const behaviour of ['signs.lights', 'reversing.accuracy', 'set-up.mirrors', 'emergency-stop.footwork'])
      for (const { code, answers } of questionsFor(behaviour))
        for (const answer of answers)
          for (const reason of advise(tally, behaviour, { [code]: answer.code }).because)
            expect(reasons(reason)).toMatch(/^[a-z].*[a-z]$/);
  });
});

describe('what the adviser asks', () => {
  it('is a question with answers of its own', () => {
    for (const { code, answers } of commonQuestions) {
      expect(questions(code)).toMatch(/^[A-Z].*\?$/);
      const said = answers.map(({ key }) => questions(key));
      expect(new Set(said).size).toBe(said.length);
    }
  });

  it('is first which it was, where a behaviour covers things that weigh differently', () => {
    const [which] = questionsFor('signs.lights');
    expect(questions(which!.code)).toBe('Which was it?');
    expect(which!.answers.map(({ key }) => questions(key))).toEqual(['Through a red light', 'Slow to react to green']);
    expect(questionsFor('speed.slow')).toEqual(commonQuestions);
  });

  it('has a sentence for the learner to each answer, and no two are the same', () => {
    const keys = [
      ...commonQuestions,
      ...behaviours.flatMap(({ code }) => questionsFor(code).slice(0, -commonQuestions.length)),
    ]
      .flatMap(({ answers }) => answers)
      .map(({ key }) => key);
    for (const key of keys) expect(told(key)).toMatch(/^[A-Z].*\.$/);
    expect(new Set(keys.map((key) => told(key))).size).toBe(keys.length);
  });
});
