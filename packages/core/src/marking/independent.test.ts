import { foldDrive } from '../drive/fold';
import { logOf, minute, start } from '../drive/testing';
import { independentPart } from './independent';
import { tally, timedYard } from './testing-standards';

const guided = foldDrive(logOf([[0, start()]]));
const from = (min: number) =>
  foldDrive(
    logOf([
      [0, start()],
      [min, { type: 'section', section: 'independent' }],
    ]),
  );

describe('the independent part', () => {
  it('of a test of 40 min has to begin by 25 min, for 15 to 20 min are asked for (common practice)', () => {
    expect(independentPart(tally, guided, 22 * minute)?.state).toBe('in-time');
    expect(independentPart(tally, guided, 23 * minute)?.state).toBe('soon');
    expect(independentPart(tally, guided, 25 * minute)?.state).toBe('soon');
    expect(independentPart(tally, guided, 25 * minute + 1)?.state).toBe('late');
  });

  it('is enough after 15 min', () => {
    expect(independentPart(tally, from(10), 24 * minute)).toMatchObject({ haveMs: 14 * minute, state: 'in-time' });
    expect(independentPart(tally, from(10), 25 * minute)?.state).toBe('enough');
  });

  it('does not warn while it is being driven in time', () => {
    expect(independentPart(tally, from(24), 30 * minute)?.state).toBe('in-time');
    expect(independentPart(tally, from(26), 30 * minute)?.state).toBe('late');
  });

  it('is no matter where the standard asks for none', () => {
    expect(independentPart(timedYard, guided, minute)).toBeUndefined();
  });
});
