import { templates } from '../../marking/testing-standards';
import { checkNumbers, figure } from '../numbers';
import { kindsOf, problemsOf, standardsAsking } from '../question';
import { controlCodes, describeControl, inCar, placeNames, problemsOfVehicle, schematicPoint } from '../vehicle';
import { shippedVehicles } from '../vehicles';
import { bankOf, shippedQuestions } from './bank';
import { showTasks } from './show';

const of = (kind: string) => shippedQuestions.filter((question) => question.kind === kind);

describe('the questions that ship', () => {
  it('are fourteen to tell, seven to show, the bonnet, six hand signals, and sixty and more of rules and signs', () => {
    expect([of('tell').length, of('show').length, of('bonnet').length, of('hand-signal').length]).toEqual([
      14, 7, 1, 6,
    ]);
    expect(of('rules').length).toBeGreaterThanOrEqual(60);
  });

  it('of the moving car say what to do by itself as well, and nothing more is kept with them', () => {
    expect(of('show').map(({ ask }) => ask)).toEqual(showTasks.map((task) => `When it is safe, ${task}.`));
    for (const question of of('show')) expect(question).not.toHaveProperty('task');
  });

  it('have nothing wrong with them, and each an id of its own', () => {
    expect(shippedQuestions.flatMap((question) => problemsOf(question).map((it) => `${question.id}: ${it}`))).toEqual(
      [],
    );
    expect(new Set(shippedQuestions.map(({ id }) => id)).size).toBe(shippedQuestions.length);
  });

  it('hold the critical points of the trade (common practice)', () => {
    const critical = (id: string) =>
      shippedQuestions.find((question) => question.id === id)?.points.filter((p) => p.critical).length;
    expect(['tell.brakes', 'tell.pressures', 'tell.tread', 'tell.rear-fog', 'tell.oil'].map(critical)).toEqual([
      1, 3, 4, 2, 2,
    ]);
  });

  it('are asked by the standards that have an item for them', () => {
    expect(standardsAsking('show', templates)).toContain('Tally');
    expect(standardsAsking('hand-signal', templates)).toContain('Graded marks');
    expect(standardsAsking('hand-signal', templates)).not.toContain('Tally');
    for (const template of templates) expect(kindsOf(template).length).toBeLessThanOrEqual(5);
  });
});

describe('the numbers', () => {
  it('are those of their sources', () => {
    // Road Vehicles (Construction and Use) Regulations 1986, reg. 27; from memory.
    expect(figure('tread-depth')).toBe('1.6 mm');
    expect(figure('tread-breadth')).toBe('the middle three quarters');
    // The Highway Code, rule 226; from memory.
    expect(figure('rear-fog')).toBe('100 m');
    // Motor Vehicles (Driving Licences) Regulations 1999, sch. 8; from memory.
    expect([figure('plate'), figure('plate-wide')]).toEqual(['20 m', '20.5 m']);
    // Common practice.
    expect([figure('main-beam'), figure('mirror-car')]).toEqual(['150 m', '10 to 15 %']);
  });

  it('of stopping add thinking and braking up (The Highway Code, rule 126; from memory)', () => {
    const sums = [20, 30, 40, 50, 60, 70].map(
      (mph) => checkNumbers.find(({ code }) => code === `stopping-${mph}`)?.value.value,
    );
    expect(sums).toEqual([6 + 6, 9 + 14, 12 + 24, 15 + 38, 18 + 55, 21 + 75]);
  });

  it('are never among their own wrong answers', () => {
    for (const { code, others } of checkNumbers) expect(others).not.toContain(figure(code));
  });
});

describe('a school’s own questions', () => {
  const shipped = shippedQuestions[0]!;

  it('stand in the place of those they edit, follow the shipped ones, or take one out', () => {
    const edited = { ...shipped, version: 2, ask: 'How do you try the brakes?' };
    const own = { ...shipped, id: 'own.1' };
    expect(bankOf([{ question: edited, retired: false }])[0]).toEqual(edited);
    expect(bankOf([{ question: own, retired: false }]).at(-1)).toEqual(own);
    expect(bankOf([{ question: edited, retired: true }]).some(({ id }) => id === shipped.id)).toBe(false);
  });

  it('are refused with a reason where nothing could make an answer wrong', () => {
    const points = shipped.points.map((point) => ({ ...point, critical: false }));
    expect(problemsOf({ ...shipped, points })).toEqual(['nothing-required']);
    expect(problemsOf({ ...shipped, points: [], ask: ' ', topic: '' })).toHaveLength(3);
  });
});

describe('the cars', () => {
  it('are three, complete, and different in where things are', () => {
    expect(shippedVehicles).toHaveLength(3);
    expect(shippedVehicles.flatMap(problemsOfVehicle)).toEqual([]);
    const fog = shippedVehicles.map((vehicle) => describeControl(vehicle, 'rear-fog'));
    expect(new Set(fog).size).toBe(3);
  });

  it('put their own words into an answer', () => {
    expect(inCar('Switch them on ({control:rear-fog}).', shippedVehicles[0])).toBe(
      'Switch them on (stalk left of the wheel: turn the ring behind its end; off: turn the ring again).',
    );
    expect(inCar('Work it: {control:horn}.', undefined)).toBe('Work it: horn.');
    for (const { points } of shippedQuestions)
      for (const { text } of points) expect(inCar(text, shippedVehicles[1])).not.toContain('{');
  });

  it('are drawn as mirror images with the wheel on the other side, left staying left', () => {
    for (const place of Object.keys(placeNames) as (keyof typeof placeNames)[]) {
      const [right, left] = [schematicPoint(place, 'right'), schematicPoint(place, 'left')];
      expect(right.x).toBeGreaterThanOrEqual(0);
      expect(right.x).toBeLessThanOrEqual(1000);
      if (!/left|right/.test(place)) expect(left.x).toBe(1000 - right.x);
    }
    expect(schematicPoint('stalk-left', 'left').x).toBeLessThan(schematicPoint('stalk-right', 'left').x);
    expect(controlCodes.length).toBe(12);
  });
});
