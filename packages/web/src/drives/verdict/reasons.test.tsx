import type { EventBody } from '@jasperwren/core/drive/event';
import { foldDrive } from '@jasperwren/core/drive/fold';
import { logOf, start } from '@jasperwren/core/drive/testing';
import { judgeDrive } from '@jasperwren/core/marking/judge';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { attemptsYard, timedYard } from '@jasperwren/core/marking/testing-standards';
import { renderToStaticMarkup } from 'react-dom/server';
import { Reasons } from './Reasons';

/** The words of the page for a test under a standard. */
function words(standard: EffectiveStandard, bodies: readonly EventBody[]): string {
  const log = logOf([[0, start(standard.id)], ...bodies.map((body, i) => [i + 1, body] as const)]);
  const verdict = judgeDrive(standard, foldDrive(log));
  return renderToStaticMarkup(<Reasons standard={standard} verdict={verdict} write={() => undefined} />).replace(
    /<[^>]*>/g,
    ' ',
  );
}

describe('the reasons of a result', () => {
  it('show a measurement and a grade that contradict each other, and which counts', () => {
    const rolled: EventBody = { type: 'mark', item: 'slope.roll-back', grade: 'demerit', measured: 40 };
    const shown = words(timedYard, [rolled]);
    expect(shown).toContain('Measurement and grade differ');
    expect(shown).toContain(
      '40 cm means failing error in this standard, but you gave demerit. The measurement counts.',
    );
    expect(words(timedYard, [{ ...rolled, measured: 20 }])).not.toContain('Measurement and grade differ');
  });

  it('tell a failed attempt from a failed exercise', () => {
    const movements: EventBody[] = Array.from({ length: 4 }, () => ({ type: 'step', step: 'movement' }));
    const park: EventBody = { type: 'section', section: 'exercise', exercise: 'parallel-left' };
    const once = words(attemptsYard, [park, ...movements]);
    expect(once).toContain('Attempts failed');
    expect(once).not.toContain('Exercises failed');
    expect(words(attemptsYard, [park, ...movements, park, ...movements])).toContain('Exercises failed');
  });

  it('say of a drive that is not judged what was not found, and nothing else', () => {
    const shown = words(timedYard, [{ type: 'mark', item: 'moon', grade: 'fail' }]);
    expect(shown).toContain('Not judged: this standard has no fault type');
    expect(shown).not.toMatch(/Why it is a fail|Exercises failed|Close to a limit/);
  });
});
