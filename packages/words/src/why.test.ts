import type { EventBody } from '@jasperwren/core/drive/event';
import { usualReasons } from '@jasperwren/core/drive/event-kinds';
import { foldDrive } from '@jasperwren/core/drive/fold';
import { logOf, start } from '@jasperwren/core/drive/testing';
import { givenWhy, removedWords, stepDetail, whyWords } from './why';

const minute = 1;
const drive = (...bodies: readonly EventBody[]) =>
  foldDrive(logOf([[0, start()], ...bodies.map((body) => [minute, body, body.type] as const)]));

describe('the reason for what is done', () => {
  it('has words for each of the usual ones', () => {
    const words = usualReasons.map((because) => whyWords({ because }));
    expect(new Set(words).size).toBe(usualReasons.length);
  });

  it('is read from an older log, which has it in words, and from one that has its code', () => {
    const fault = { type: 'mark', item: 'signs.lights', grade: 'driving' } as const;
    const removed = (...why: readonly EventBody[]) => removedWords(drive(fault, ...why).marks[0]!.struck!);
    expect(removed({ type: 'strike', target: 'mark', because: 'misread' })).toBe('Removed: I misread it');
    expect(removed({ type: 'strike', target: 'mark', reason: 'It was green' })).toBe('Removed: It was green');
    expect(removed({ type: 'strike', target: 'mark' })).toBe('Removed');
  });

  it('is said of a pause by the note on it', () => {
    const pause = { type: 'pause', state: 'paused' } as const;
    const of = (note: EventBody) => givenWhy(drive(pause, note).pauses[0]?.why);
    expect(of({ type: 'note', because: 'toilet', target: 'pause' })).toBe('Toilet stop');
    expect(of({ type: 'note', text: 'A dog', target: 'pause' })).toBe('A dog');
    expect(of({ type: 'prompt' })).toBe('no reason given');
    expect(drive(pause, { type: 'note', because: 'toilet', target: 'pause' }).notes).toEqual([]);
  });
});

describe('a step of the briefing', () => {
  it('tells what was missed, how it went, or what an older log says of it', () => {
    const of = (more: Partial<Extract<EventBody, { type: 'check' }>>) =>
      stepDetail(drive({ type: 'check', check: 'cockpit', result: 'done', ...more }).checks[0]!);
    expect(of({ missed: ['Mirrors', 'Head restraint'] })).toBe('Missed: Mirrors; Head restraint');
    expect(of({ because: 'glasses' })).toBe('With glasses or lenses');
    expect(of({ detail: 'With glasses' })).toBe('With glasses');
    expect(of({})).toBeUndefined();
  });
});
