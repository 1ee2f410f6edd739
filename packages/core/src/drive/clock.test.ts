import fc from 'fast-check';
import { currentSpan, drivenMs, sectionMs } from './clock';
import { foldDrive } from './fold';
import { logOf, minute, start } from './testing';
import { anyLog } from './testing-arbitraries';

describe('the clocks of a drive under way', () => {
  const drive = foldDrive(
    logOf([
      [0, start()],
      [5, { type: 'section', section: 'independent' }],
      [8, { type: 'pause', state: 'paused' }],
      [10, { type: 'pause', state: 'resumed' }],
    ]),
  );

  it('run to the moment that is asked for', () => {
    expect(drivenMs(drive, 12 * minute)).toBe(10 * minute);
    expect(sectionMs(drive, 'independent', 12 * minute)).toBe(5 * minute);
    expect(sectionMs(drive, 'guided', 12 * minute)).toBe(5 * minute);
    expect(currentSpan(drive)?.section).toBe('independent');
  });

  it('stand still in a pause that has not ended', () => {
    const paused = foldDrive(
      logOf([
        [0, start()],
        [8, { type: 'pause', state: 'paused' }],
      ]),
    );
    expect(paused.phase).toBe('paused');
    expect(drivenMs(paused, 30 * minute)).toBe(8 * minute);
  });

  it('do not count what happens after the end', () => {
    const ended = foldDrive(
      logOf([
        [0, start()],
        [20, { type: 'ended', ending: 'abandoned', reason: 'The car' }],
        [22, { type: 'section', section: 'independent' }],
        [23, { type: 'pause', state: 'paused' }],
      ]),
    );
    expect(drivenMs(ended, 99 * minute)).toBe(20 * minute);
    expect(sectionMs(ended, 'independent', 99 * minute)).toBe(0);
    expect(ended.ended).toEqual({ atMs: 20 * minute, ending: 'abandoned', why: { reason: 'The car' } });
  });

  it('have no length where the drive ended before the car moved', () => {
    const log = logOf([
      [0, { ...start(), briefing: true }],
      [3, { type: 'section', section: 'independent' }],
      [5, { type: 'ended', ending: 'abandoned' }],
      [9, { type: 'moved-off' }],
    ]);
    expect(foldDrive(log).spans).toEqual([{ section: 'independent', fromMs: 5 * minute, toMs: 5 * minute }]);
    expect(drivenMs(foldDrive(log), 9 * minute)).toBe(0);
  });

  it('never run backwards, whatever the log', () => {
    fc.assert(
      fc.property(anyLog, fc.nat(5_000_000), fc.nat(5_000_000), (log, a, b) => {
        const any = foldDrive(log);
        const [earlier, later] = [Math.min(a, b) + any.lastMs, Math.max(a, b) + any.lastMs];
        expect(drivenMs(any, earlier)).toBeLessThanOrEqual(drivenMs(any, later));
        expect(drivenMs(any, later)).toBeLessThanOrEqual(later);
      }),
    );
  });
});
