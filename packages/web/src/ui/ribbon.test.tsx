import { foldDrive } from '@jasperwren/core/drive/fold';
import { logOf, start } from '@jasperwren/core/drive/testing';
import { anyLog } from '@jasperwren/core/drive/testing-arbitraries';
import { tally } from '@jasperwren/core/marking/testing-standards';
import fc from 'fast-check';
import { renderToStaticMarkup } from 'react-dom/server';
import { Ribbon } from './Ribbon';

const minute = 60_000;
const drive = foldDrive(
  logOf([
    [0, start()],
    [5, { type: 'mark', item: 'signs.lights', grade: 'driving' }],
    [6, { type: 'intervention' }],
    [7, { type: 'prompt' }],
    [8, { type: 'pin' }],
    [10, { type: 'section', section: 'independent' }],
    [12, { type: 'pause', state: 'paused' }],
    [14, { type: 'pause', state: 'resumed' }],
    [20, { type: 'mark', item: 'speed.limit', grade: 'serious' }, 'x'],
    [21, { type: 'strike', target: 'x', reason: 'It was a 40' }],
    [22, { type: 'mark', item: 'speed.limit', grade: 'driving' }, 'u'],
    [23, { type: 'strike', target: 'u', reason: 'Undone', undo: true }],
  ]),
);
const markup = renderToStaticMarkup(<Ribbon standard={tally} drive={drive} nowMs={30 * minute} />);
const labels = (html: string) => [...html.matchAll(/aria-label="([^"]*)"/g)].map(([, label]) => label).slice(1);
/** Every place and width that is drawn, in percent of the line. */
const percents = (html: string) =>
  [...html.matchAll(/(?:left|width):(-?[\d.]+(?:e-?\d+)?)%/g)].map(([, value]) => Number(value));

describe('the ribbon of a drive', () => {
  it('names what happened in order, struck marks as such, undone ones not at all', () => {
    expect(labels(markup)).toEqual([
      'Signs and lights: traffic lights, driving fault, 5:00',
      'Took control, 6:00',
      'Prompt, 7:00',
      'Pin at 8:00, not named',
      'Speed: over the limit, serious fault, 20:00, removed',
    ]);
  });

  it('draws the sections over the length of the test, and where the clock stood still', () => {
    expect(markup).toContain('class="span guided" style="left:0%;width:25%"');
    expect(markup).toContain('class="span independent" style="left:25%;width:50%"');
    expect(markup).toContain('class="pause" style="left:30%;width:5%"');
    expect(markup).toContain('class="now" style="left:75%"');
  });

  it('is as long as the drive once it has ended', () => {
    const ended = foldDrive(
      logOf([
        [0, start()],
        [10, { type: 'section', section: 'independent' }],
        [20, { type: 'ended', ending: 'abandoned' }],
      ]),
    );
    const html = renderToStaticMarkup(<Ribbon standard={tally} drive={ended} nowMs={99 * minute} />);
    expect(html).toContain('class="span independent" style="left:50%;width:50%"');
    expect(html).not.toContain('class="now"');
    expect(html).toContain('20 min');
  });

  it('stays within its line, whatever the log', () => {
    fc.assert(
      fc.property(anyLog, fc.nat(4_000_000), (log, nowMs) => {
        const any = foldDrive(log);
        const html = renderToStaticMarkup(
          <Ribbon standard={tally} drive={any} nowMs={Math.max(nowMs, any.lastMs)} onMark={() => undefined} />,
        );
        for (const value of percents(html)) {
          expect(value).toBeGreaterThanOrEqual(0);
          expect(value).toBeLessThanOrEqual(100.001);
        }
        const shown = any.marks.filter(({ struck }) => !struck?.undo).length;
        const open = any.pins.filter(({ state }) => state === 'unsettled').length;
        expect(labels(html)).toHaveLength(shown + open + any.prompts.length + any.interventions.length);
      }),
    );
  });
});
