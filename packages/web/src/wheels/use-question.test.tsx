import type { KeptView } from '@jasperwren/contract/wheels';
import { layOut } from '@jasperwren/motion/layout/exercises';
import { ruleText } from '@jasperwren/motion/sight/rule-text';
import { vehicleClasses } from '@jasperwren/motion/vehicle/classes';
import { renderToStaticMarkup } from 'react-dom/server';
import { MemoryRouter } from 'react-router';
import { useQuestion, type Question } from './use-question';

/** What a page of this address asks. */
function asked(address: string, kept: readonly KeptView[] = []): Question {
  const seen: Question[] = [];
  function Page() {
    seen.push(useQuestion(kept));
    return null;
  }
  renderToStaticMarkup(
    <MemoryRouter initialEntries={[`/yard/wheels?${address}`]}>
      <Page />
    </MemoryRouter>,
  );
  return seen[0]!;
}

const keptAt = '2026-05-04T09:00:00Z';
const rule = [{ back: true, lock: 1, until: { kind: 'in-line' } }] as const;

describe('the question of an address', () => {
  it('is the usual car, reversing into a bay on the right, where the address says nothing', () => {
    const question = asked('');
    expect(question).toMatchObject({
      kind: 'car',
      exercise: { code: 'bay-reverse', side: 'right', space: {} },
      clearanceM: 0.1,
      way: 'plan',
      rule: undefined,
      run: undefined,
      vehicleProblems: [],
      spaceProblems: [],
    });
    expect(question.vehicle).toEqual(vehicleClasses.car);
    expect(question.ground?.layout).toEqual(layOut(question.exercise!, vehicleClasses.car));
  });

  it('takes vehicle, measures, exercise, side, ground, clearance and way from it', () => {
    const question = asked(
      'vehicle=van&wheelbaseM=3.4&exercise=parallel&side=left&gapM=8&clearance=25&way=set-out&run=r1&zone=slope',
    );
    expect(question).toMatchObject({
      kind: 'van',
      vehicle: { wheelbaseM: 3.4 },
      exercise: { code: 'parallel', side: 'left', space: { gapM: 8 } },
      clearanceM: 0.25,
      way: 'set-out',
      run: { run: 'r1', zone: 'slope' },
    });
    expect(question.file).toMatchObject({
      vehicle: 'van',
      measures: { wheelbaseM: 3.4 },
      exercise: 'parallel',
      side: 'left',
      space: { gapM: 8 },
      clearanceM: 0.25,
    });
  });

  it.each([
    ['vehicle=tank', { kind: 'car' }],
    ['exercise=loop', { exercise: { code: 'bay-reverse' } }],
    ['side=up', { exercise: { side: 'right' } }],
    ['way=fly', { way: 'plan' }],
    ['clearance=nonsense', { clearanceM: 0.1 }],
    ['clearance=-4', { clearanceM: 0.1 }],
    ['clearance=4000', { clearanceM: 0.1 }],
    ['rule=nonsense', { rule: undefined }],
    ['run=r1', { run: undefined }],
    ['kept=gone', { kept: undefined }],
  ])('takes the usual for what nobody can mean: %s', (address, expected) => {
    expect(asked(address)).toMatchObject(expected);
  });

  it.each([
    ['wheelbaseM=nonsense', 'vehicleProblems'],
    ['wheelbaseM=-2', 'vehicleProblems'],
    ['lockDeg=89', 'vehicleProblems'],
    ['bayM=nonsense', 'spaceProblems'],
    ['bayM=0.1', 'spaceProblems'],
    ['aisleM=-5', 'spaceProblems'],
  ] as const)('has no ground, and says why, where a measure cannot be: %s', (address, where) => {
    const question = asked(address);
    expect(question.ground).toBeUndefined();
    expect(question[where].length).toBeGreaterThan(0);
  });

  it('has a ground all the same where a measure is only strange', () => {
    const question = asked('lockDeg=44');
    expect(question.ground).toBeDefined();
  });

  it('addresses another way to look at the same', () => {
    const question = asked('vehicle=van&bayM=3&way=plan');
    const other = new URLSearchParams(question.addressOf('drive').slice(1));
    expect(Object.fromEntries(other)).toEqual({ vehicle: 'van', bayM: '3', way: 'drive' });
  });
});

describe('what is kept', () => {
  const question: KeptView = {
    id: 'q',
    kind: 'question',
    name: 'Tight bay',
    keptAt,
    body: {
      vehicle: 'van',
      measures: { wheelbaseM: 3.5 },
      exercise: 'alley-dock',
      side: 'left',
      space: { bayM: 3.1 },
      clearanceM: 0.2,
      rule: [...rule],
    },
  };

  it('is what the page begins with, and its rule is what is looked at', () => {
    expect(asked('kept=q', [question])).toMatchObject({
      kind: 'van',
      vehicle: { wheelbaseM: 3.5 },
      exercise: { code: 'alley-dock', side: 'left', space: { bayM: 3.1 } },
      clearanceM: 0.2,
      rule,
      way: 'rule',
      kept: { id: 'q' },
    });
  });

  it('gives way to what the address says: another vehicle has measures of its own, another exercise a ground of its own', () => {
    const other = asked('kept=q&vehicle=car&exercise=parallel&clearance=5&way=drive', [question]);
    expect(other.vehicle).toEqual(vehicleClasses.car);
    expect(other).toMatchObject({ exercise: { code: 'parallel', space: {} }, clearanceM: 0.05, way: 'drive' });
    const text = ruleText([{ back: false, lock: -1, until: { kind: 'in-place' } }]);
    expect(asked(`kept=q&rule=${encodeURIComponent(text)}`, [question]).rule).toEqual([
      { back: false, lock: -1, until: { kind: 'in-place' } },
    ]);
  });

  it('may be a ground of the school’s own, which has no exercise and is called by its name', () => {
    const layout = { ...layOut({ code: 'bay-reverse', side: 'right', space: {} }, vehicleClasses.car), name: '' };
    const ground: KeptView = { id: 'g', kind: 'ground', name: 'Behind the hall', keptAt, body: layout };
    const own = asked('kept=g', [ground]);
    expect(own.exercise).toBeUndefined();
    expect(own.groundName).toBe('Behind the hall');
    expect(own.ground?.layout).toEqual(layout);
    expect(own.file).toMatchObject({ layout });
    // Asked for an exercise it is that one's ground again.
    expect(asked('kept=g&exercise=parallel', [ground]).exercise?.code).toBe('parallel');
  });
});
