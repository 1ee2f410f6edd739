import { shippedQuestions } from '@jasperwren/core/safety-questions/bank/bank';
import { shippedVehicles } from '@jasperwren/core/safety-questions/vehicles';
import { parseInput } from './parse-input';
import { QuestionInput } from './safety-questions';
import { AccessRequest, CodeSignIn } from './access';
import { ReviewBatch } from './reviews';
import { VehicleChoice, VehicleInput } from './vehicles';

const fieldsOf = (checked: ReturnType<typeof parseInput>) =>
  checked.ok ? [] : checked.problems.map(({ field }) => field);
/** As a form sends it: what is not given is not there. */
const sent = (value: object): Record<string, unknown> => JSON.parse(JSON.stringify(value)) as Record<string, unknown>;

describe('a question of a school', () => {
  const questions = shippedQuestions.map((question) => {
    const { id, version, ...input } = sent(question);
    return { id: `${String(id)} v${String(version)}`, input };
  });

  it('may be any of those that ship', () => {
    for (const { id, input } of questions) expect([id, fieldsOf(parseInput(QuestionInput, input))]).toEqual([id, []]);
  });

  const { input } = questions[0]!;
  const [point] = input['points'] as object[];

  it.each<[string, object]>([
    ['kind', { kind: 'riddle' }],
    ['topic', { topic: ' ' }],
    ['ask', { ask: 'x'.repeat(401) }],
    ['points', { points: [] }],
    ['points', { points: Array.from({ length: 13 }, () => point) }],
    ['points.0.text', { points: [{ ...point, text: '' }] }],
    ['points.0.critical', { points: [{ ...point, critical: 'yes' }] }],
    ['points.0.says', { points: [{ ...point, says: Array.from({ length: 13 }, () => 'x') }] }],
    ['controls', { controls: ['warp-drive'] }],
    ['id', { id: 'mine' }],
    ['version', { version: 9 }],
  ])('has its %s checked', (field, change) => {
    expect(fieldsOf(parseInput(QuestionInput, { ...input, ...change }))).toEqual([field]);
  });
});

describe('a car', () => {
  const cars = shippedVehicles.map((vehicle) => {
    const { id, version, ...input } = sent(vehicle);
    return { id: `${String(id)} v${String(version)}`, input };
  });
  const { input } = cars[0]!;
  const controls = input['controls'] as Record<string, object>;

  it('may be any of those that ship', () => {
    for (const { id, input: car } of cars) expect([id, fieldsOf(parseInput(VehicleInput, car))]).toEqual([id, []]);
  });

  it.each<[string, object]>([
    ['name', { name: '' }],
    ['wheelSide', { wheelSide: 'middle' }],
    ['transmission', { transmission: 'oars' }],
    ['controls.horn.place', { controls: { ...controls, horn: { ...controls['horn'], place: 'roof' } } }],
    ['controls.horn.kind', { controls: { ...controls, horn: { ...controls['horn'], kind: 'bell' } } }],
    ['controls.horn.how', { controls: { ...controls, horn: { ...controls['horn'], how: ' ' } } }],
    ['colour', { colour: 'red' }],
  ])('has its %s checked', (field, change) => {
    expect(fieldsOf(parseInput(VehicleInput, { ...input, ...change }))).toEqual([field]);
  });

  it('without one of its controls is refused', () => {
    for (const code of Object.keys(controls)) {
      const rest = Object.fromEntries(Object.entries(controls).filter(([one]) => one !== code));
      expect(fieldsOf(parseInput(VehicleInput, { ...input, controls: rest }))[0]).toMatch(/^controls/);
    }
  });

  it('is chosen by its id, or none is', () => {
    expect(parseInput(VehicleChoice, { vehicleId: ' ' })).toMatchObject({ ok: true, value: {} });
    expect(parseInput(VehicleChoice, { vehicleId: 'tarrel' })).toMatchObject({
      ok: true,
      value: { vehicleId: 'tarrel' },
    });
    expect(fieldsOf(parseInput(VehicleChoice, { vehicleId: 'x'.repeat(300) }))).toEqual(['vehicleId']);
  });
});

describe('reviews', () => {
  const review = {
    id: 'r',
    question: 'tell.oil',
    at: '2026-05-01T10:00:00Z',
    rating: 'good',
    mode: 'type',
    missed: [],
  };
  const of = (change: object) => fieldsOf(parseInput(ReviewBatch, { reviews: [{ ...review, ...change }] }));

  it('are answers with a moment and a rating', () => {
    expect(of({})).toEqual([]);
    expect(of({ missed: ['dipstick'] })).toEqual([]);
  });

  it.each<[string, object]>([
    ['reviews.0.id', { id: '' }],
    ['reviews.0.at', { at: 'yesterday' }],
    ['reviews.0.rating', { rating: 'superb' }],
    ['reviews.0.mode', { mode: 'telepathy' }],
    ['reviews.0.missed', { missed: 'dipstick' }],
    ['reviews.0.missed', { missed: Array.from({ length: 21 }, () => 'x') }],
    ['reviews.0.learnerId', { learnerId: 'somebody else' }],
  ])('have their %s checked', (field, change) => expect(of(change)).toEqual([field]));

  it('come one at least', () => expect(fieldsOf(parseInput(ReviewBatch, { reviews: [] }))).toEqual(['reviews']));
});

describe('access', () => {
  it('is asked for by code or invitation', () => {
    expect(parseInput(AccessRequest, { kind: 'code' }).ok).toBe(true);
    expect(parseInput(AccessRequest, { kind: 'invitation' }).ok).toBe(true);
    expect(fieldsOf(parseInput(AccessRequest, { kind: 'master key' }))).toEqual(['kind']);
  });

  it('is used by a code as people write it', () => {
    for (const code of ['K7QM-2XRD', 'k7qm 2xrd', ' K7QM2XRD ']) expect(parseInput(CodeSignIn, { code }).ok).toBe(true);
    for (const code of ['', 'K7', 'K7QM_2XRD', 'x'.repeat(41), 42]) {
      expect(fieldsOf(parseInput(CodeSignIn, { code }))).toEqual(['code']);
    }
  });
});
