import { keptAnswers, noteAnswer } from './kept-answers';

const kept = (date: string) => new Headers({ 'x-kept': '1', date });
const live = new Headers({ date: 'Wed, 02 Dec 2026 09:00:00 GMT' });
const [early, late] = ['Tue, 01 Dec 2026 18:00:00 GMT', 'Wed, 02 Dec 2026 08:00:00 GMT'];

beforeEach(() => keptAnswers.clear());

it('says since when the oldest answer stands that did not come from the server', () => {
  noteAnswer('/api/learners', live);
  expect(keptAnswers.oldest()).toBeUndefined();
  noteAnswer('/api/learners', kept(late));
  noteAnswer('/api/drives', kept(early));
  expect(keptAnswers.oldest()).toBe(early);
  noteAnswer('/api/drives', live);
  expect(keptAnswers.oldest()).toBe(late);
});

it('tells of it once for each change', () => {
  const told = jest.fn();
  const stop = keptAnswers.subscribe(told);
  noteAnswer('/api/drives', kept(early));
  noteAnswer('/api/learners', kept(late));
  expect(told).toHaveBeenCalledTimes(1);
  keptAnswers.clear();
  expect(told).toHaveBeenCalledTimes(2);
  stop();
  noteAnswer('/api/drives', kept(early));
  expect(told).toHaveBeenCalledTimes(2);
});
