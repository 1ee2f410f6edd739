import { AccountInput, PasswordChange, SignInRequest } from './accounts';
import { parseInput } from './parse-input';

const fieldsOf = (checked: ReturnType<typeof parseInput>) =>
  checked.ok ? [] : checked.problems.map(({ field }) => field);
const account = { name: 'Ada', email: 'ada@school.example', role: 'instructor', password: 'twelve and more' };

describe('an account', () => {
  it('is trimmed', () => {
    expect(parseInput(AccountInput, { ...account, name: '  Ada ', email: ' ada@school.example ' })).toMatchObject({
      ok: true,
      value: { name: 'Ada', email: 'ada@school.example' },
    });
  });

  it.each([
    ['name', { ...account, name: '' }],
    ['name', { ...account, name: 'x'.repeat(81) }],
    ['email', { ...account, email: 'ada' }],
    ['role', { ...account, role: 'owner' }],
    ['password', { ...account, password: 'short' }],
    ['password', { ...account, password: 'x'.repeat(201) }],
    ['password', { ...account, password: undefined }],
    ['schoolId', { ...account, schoolId: 'another' }],
  ])('has its %s checked', (field, input) => {
    expect(fieldsOf(parseInput(AccountInput, input))).toEqual([field]);
  });
});

describe('a sign-in', () => {
  it('needs an address and a password, and takes old short passwords as they are', () => {
    expect(fieldsOf(parseInput(SignInRequest, {}))).toEqual(['email', 'password']);
    expect(parseInput(SignInRequest, { email: 'ada@school.example', password: 'x' }).ok).toBe(true);
  });

  it('keeps the spaces of a password', () => {
    expect(parseInput(SignInRequest, { email: 'ada@school.example', password: ' x ' })).toMatchObject({
      value: { password: ' x ' },
    });
  });
});

describe('a change of password', () => {
  it('asks for both, and the new one to be long enough', () => {
    expect(fieldsOf(parseInput(PasswordChange, {}))).toEqual(['current', 'next']);
    expect(fieldsOf(parseInput(PasswordChange, { current: 'old', next: 'too short' }))).toEqual(['next']);
  });
});

describe('what is no object', () => {
  it.each([[null], [undefined], ['text'], [[]], [7]])('is refused as a whole (%#)', (input) => {
    expect(parseInput(SignInRequest, input)).toEqual({
      ok: false,
      problems: [{ field: '', message: 'An object is expected.' }],
    });
  });
});
