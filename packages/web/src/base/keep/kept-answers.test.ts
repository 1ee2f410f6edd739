import { forgetKept, keptSince, noteAnswer } from './kept-answers';

const kept = (date: string) => new Headers({ 'x-kept': '1', date });
const live = new Headers({ date: 'Wed, 02 Dec 2026 09:00:00 GMT' });
const [early, late] = ['Tue, 01 Dec 2026 18:00:00 GMT', 'Wed, 02 Dec 2026 08:00:00 GMT'];

beforeEach(() => forgetKept());

it('says since when the oldest answer stands that did not come from the server', () => {
  noteAnswer('/api/learners', live);
  expect(keptSince.now()).toBeUndefined();
  noteAnswer('/api/learners', kept(late));
  noteAnswer('/api/drives', kept(early));
  expect(keptSince.now()).toBe(early);
  noteAnswer('/api/drives', live);
  expect(keptSince.now()).toBe(late);
});

it('tells of it once for each change', () => {
  const told = jest.fn();
  const stop = keptSince.subscribe(told);
  noteAnswer('/api/drives', kept(early));
  noteAnswer('/api/learners', kept(late));
  expect(told).toHaveBeenCalledTimes(1);
  forgetKept();
  expect(told).toHaveBeenCalledTimes(2);
  stop();
  noteAnswer('/api/drives', kept(early));
  expect(told).toHaveBeenCalledTimes(2);
});
