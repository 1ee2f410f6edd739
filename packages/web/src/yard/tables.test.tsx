import { exerciseResults } from '@jasperwren/core/yard/exercise-history';
import { reversingArea, timedYard } from '@jasperwren/core/marking/testing-standards';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { runWith } from '@jasperwren/core/yard/testing-runs';
import { renderToStaticMarkup } from 'react-dom/server';
import ExerciseTable from './ExerciseTable';
import CourseTable from './runs/CourseTable';

jest.mock('../ui/GradeSign', () => ({ GradeSign: () => null }));

const wordsOf = (html: string) =>
  html
    .replaceAll(/<\/(td|th|div|tr|li|p)>/g, ' | ')
    .replaceAll(/<[^>]+>/g, '')
    .replaceAll(/( \| )+/g, ' | ');

type Slips = Parameters<typeof runWith>[1];

describe('the course of a mock test', () => {
  const course = (exercise: string, slips: Slips, standard: EffectiveStandard = timedYard) =>
    wordsOf(
      renderToStaticMarkup(
        <CourseTable standard={standard} judged={runWith(exercise, slips, { standard })} onFault={() => undefined} />,
      ),
    );

  it('says of each exercise its time, what it used up and how it ended', () => {
    const words = course('slope', [{ sign: 'roll-back', value: 16 }]);
    expect(words).toMatch(
      /Slope \| [\d.]+ s of 90 s \| \d s forwards, \d s reversing, \d s standing \| 1 of 5 \| \d:\d\d Rolled back, demerit, 16 cm \| passed/,
    );
    expect(words).toMatch(/Parallel bay \| [\d.]+ s of 300 s \| .*standing \| 0 of 5 \| passed/);
  });

  it('names the fault that failed an exercise, or the limit that was used up', () => {
    expect(course('garage-bay', [{ sign: 'line' }])).toContain('failedGarage bay: line touched or parked outside');
    const reverse = [{ sign: 'extra-reverse' }, { sign: 'extra-reverse' }] as const;
    const brake = [...reverse, { sign: 'dry-steering' }, { sign: 'brake-on' }] as const;
    expect(course('garage-bay', brake)).toContain(
      'failed6 points (Demerits in one exercise, Garage bay at 90 degrees). 5 allowed.',
    );
  });

  it('has a row for what belongs to no exercise, and no time limit where there is none', () => {
    const stop = { sign: 'stalled', after: 'slope' } as const;
    const html = renderToStaticMarkup(
      <CourseTable standard={timedYard} judged={runWith('slope', [], { between: [stop] })} onFault={() => undefined} />,
    );
    expect(wordsOf(html)).toMatch(/Anywhere in the yard \| \d:\d\d Engine stopped, demerit/);
    expect(course('reverse', [], reversingArea)).toMatch(/Reverse into the bay \| [\d.]+ s \| .* reversing/);
  });
});

describe('the exercises of a learner', () => {
  const drive = (slips: Slips) => {
    const run = runWith('garage-bay', slips);
    return exerciseResults(timedYard, run.drive, run.verdict);
  };

  it('begins with the weakest, and with the course as a whole', () => {
    const words = wordsOf(
      renderToStaticMarkup(
        <ExerciseTable drives={[drive([{ sign: 'line' }]), drive([])]} exercises={timedYard.exercises} />,
      ),
    );
    expect(words).toMatch(
      /^Weakest: Garage bay at 90 degrees, passed 1 of 2 times\. The whole course next time: about \d+\s%/,
    );
    expect(words).toMatch(
      /Slope \| 2 of 2 \| about \d+\s% \(\d+\s% to \d+\s%\) \| \d:\d\d \(\d+ s left\), faults 0 of 5/,
    );
    expect(words).toMatch(/Tightest for time: Emergency brake, \d+ of 90 s last time\./);
  });

  it('says nothing of the course as long as a part of it was not driven', () => {
    const words = wordsOf(
      renderToStaticMarkup(<ExerciseTable drives={[drive([]).slice(1)]} exercises={timedYard.exercises} />),
    );
    expect(words).not.toContain('The whole course');
  });
});
