import { findBehaviour } from '../catalogue/catalogue';
import { foldDrive } from '../drive/fold';
import { fullTest, logOf, start } from '../drive/testing';
import { marksByArea } from './areas';
import { judgeDrive } from './judge';
import { houseDefault } from './provenance';
import { gradesOf } from './rules';
import type { EffectiveStandard } from './standard';
import { tally, templates } from './testing-standards';

const mark = (item: string, grade = 'driving') => ({ type: 'mark', item, grade }) as const;

describe.each(templates)('the $id template', (standard) => {
  it('is plain data', () => {
    expect(JSON.parse(JSON.stringify(standard))).toEqual(standard);
  });

  it('lists behaviours of the catalogue, each category and item with a letter of its own', () => {
    const letters = standard.categories.map((category) => category.letter);
    expect(new Set(letters).size).toBe(letters.length);
    for (const category of standard.categories) {
      expect(new Set(category.items.map((item) => item.letter)).size).toBe(category.items.length);
      for (const item of category.items) {
        expect(findBehaviour(item.behaviour)).toBeDefined();
        expect(gradesOf(standard, item).length).toBeGreaterThan(0);
      }
    }
  });

  it('fits one screen of the desk', () => {
    expect(standard.categories.length).toBeLessThanOrEqual(21);
    for (const category of standard.categories) expect(category.items.length).toBeLessThanOrEqual(8);
  });
});

/** A school of marking made up on the spot: nothing of it is known to the evaluator. */
const pointsYard: EffectiveStandard = {
  ...tally,
  id: 'made-up',
  startScore: houseDefault(100, 'test'),
  grades: [
    {
      code: 'off',
      name: 'deduction',
      plural: 'deductions',
      short: 'off',
      sign: 'counted',
      meaning: '',
      points: houseDefault(2, 'test'),
    },
  ],
  categories: [
    {
      code: 'yard',
      name: 'Yard',
      letter: 'Y',
      items: [
        { code: 'line', behaviour: 'yard.line', name: 'Line', letter: 'L', points: { off: houseDefault(5, 'test') } },
        { code: 'look', behaviour: 'reversing.observation', name: 'Look', letter: 'O', class: 'observation' },
        { code: 'stall', behaviour: 'yard.stalled', name: 'Stall', letter: 'E', exercise: 'slope' },
      ],
    },
  ],
  limits: [
    {
      code: 'total',
      name: 'Points',
      scope: { kind: 'test' },
      measure: { kind: 'points', grades: ['off'] },
      allowed: houseDefault(20, 'test'),
      effect: { kind: 'fail-test' },
    },
    {
      code: 'looks',
      name: 'Looks',
      scope: { kind: 'class', class: 'observation' },
      measure: { kind: 'count', grades: ['off'] },
      allowed: houseDefault(2, 'test'),
      effect: { kind: 'fail-test' },
    },
    {
      code: 'each',
      name: 'In one exercise',
      scope: { kind: 'exercise' },
      measure: { kind: 'points', grades: ['off'] },
      allowed: houseDefault(5, 'test'),
      effect: { kind: 'fail-exercise' },
    },
    {
      code: 'exercises',
      name: 'Exercises failed',
      scope: { kind: 'test' },
      measure: { kind: 'failed-exercises' },
      allowed: houseDefault(1, 'test'),
      effect: { kind: 'fail-test' },
    },
  ],
  caps: [],
};

describe('a standard that nobody wrote code for', () => {
  const judge = (bodies: Parameters<typeof fullTest>[0]) => judgeDrive(pointsYard, foldDrive(fullTest(bodies)));
  const used = (verdict: ReturnType<typeof judge>) =>
    Object.fromEntries(verdict.headroom.map((room) => [`${room.limit.code}${room.scope ?? ''}`, room.used]));

  it('adds up points, the item’s own before the grade’s', () => {
    expect(used(judge([mark('line', 'off'), mark('look', 'off')]))).toMatchObject({ total: 7, looksobservation: 1 });
  });

  it('fails on a class of error by its own allowance', () => {
    expect(judge([mark('look', 'off'), mark('look', 'off')]).outcome).toBe('pass');
    expect(judge([mark('look', 'off'), mark('look', 'off'), mark('look', 'off')]).reasons[0]?.limit.code).toBe('looks');
  });

  it('fails an exercise on its points, and the test on too many failed exercises', () => {
    const yard = (...bodies: Parameters<typeof fullTest>[0]) =>
      judgeDrive(
        pointsYard,
        foldDrive(
          logOf([
            [0, start()],
            [12, { type: 'section', section: 'independent' }],
            [32, { type: 'section', section: 'exercise', exercise: 'bay' }],
            ...bodies.map((body) => [33, body] as const),
            [40, { type: 'ended', ending: 'completed' }],
          ]),
        ),
      );
    const lines = [mark('line', 'off'), mark('line', 'off')];
    const stalls = [mark('stall', 'off'), mark('stall', 'off'), mark('stall', 'off')];
    expect(used(yard(...lines))).toMatchObject({ eachbay: 10, exercises: 1 });
    expect(yard(...lines).outcome).toBe('pass');
    expect(yard(...lines, ...stalls).reasons.map((reason) => reason.limit.code)).toEqual(['exercises']);
  });
});

describe('marks by area', () => {
  it('counts standing marks by category in the order of the standard', () => {
    const drive = foldDrive(
      fullTest([mark('junctions.cutting'), mark('controls.gears'), mark('controls.clutch', 'serious')]),
    );
    expect(marksByArea(tally, drive)).toEqual([
      { category: 'controls', name: 'Controls', byGrade: { driving: 1, serious: 1 }, total: 2 },
      { category: 'junctions', name: 'Junctions', byGrade: { driving: 1 }, total: 1 },
    ]);
  });
});
