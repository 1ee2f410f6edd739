import fc from 'fast-check';
import type { Context } from 'koa';
import { plainBody, smallSignIn } from './plain-body';

interface Refused {
  readonly status: number;
  readonly problems?: readonly { readonly field: string }[];
}

/** What becomes of a body: nothing where it goes on, else the refusal. */
async function taken(body: unknown): Promise<Refused | undefined> {
  try {
    await plainBody({ request: { body } } as unknown as Parameters<typeof plainBody>[0], () => Promise.resolve());
    return undefined;
  } catch (error) {
    return error as Refused;
  }
}

async function signsIn(path: string, length: number | undefined, method = 'POST'): Promise<Refused | undefined> {
  try {
    await smallSignIn({ method, path, request: { length } } as unknown as Context, () => Promise.resolve());
    return undefined;
  } catch (error) {
    return error as Refused;
  }
}

const nested = (depth: number): unknown => (depth === 0 ? 'end' : { in: nested(depth - 1) });

describe('what a body may be', () => {
  it('takes whatever the contract could hold', async () => {
    expect(await taken(undefined)).toBeUndefined();
    expect(
      await taken({ name: 'Ola', notes: 'First line\nsecond line\tand a tab', list: [1, null, true, { a: 'b' }] }),
    ).toBeUndefined();
    expect(await taken({ emoji: '🚗', accents: 'Štěpán, 日本' })).toBeUndefined();
  });

  it('refuses what is nested deeper than 24', async () => {
    expect(await taken(nested(24))).toBeUndefined();
    expect(await taken(nested(25))).toMatchObject({ status: 422 });
  });

  it('refuses an object of more than 300 fields, not a list of as many', async () => {
    const fields = (n: number) => Object.fromEntries(Array.from({ length: n }, (_, i) => [`f${i}`, i]));
    expect(await taken(fields(300))).toBeUndefined();
    expect(await taken(fields(301))).toMatchObject({ status: 422 });
    expect(await taken({ list: Array.from({ length: 5000 }, (_, i) => i) })).toBeUndefined();
  });

  it('refuses more than a quarter of a million values without taking long over them', async () => {
    expect(await taken({ list: Array.from({ length: 250_001 }, () => 0) })).toMatchObject({ status: 422 });
  });

  it.each([
    ['a null character', 'a\u0000b'],
    ['a bell', 'a\u0007'],
    ['an escape', '\u001b[31m'],
    ['a delete', '\u007f'],
    ['the first half of a character', 'a\ud83d'],
    ['the second half of a character', '\ude00a'],
  ])('refuses %s, and says in which field', async (_, value) => {
    expect(await taken({ events: [{ note: value }] })).toMatchObject({
      status: 422,
      problems: [{ field: 'events.0.note' }],
    });
    // A whole file has a reader of its own.
    expect(await taken({ source: value })).toBeUndefined();
  });

  it('names the field, however deep it lies', async () => {
    const names = fc.array(fc.stringMatching(/^[a-z]{1,8}$/), { minLength: 1, maxLength: 20 });
    await fc.assert(
      fc.asyncProperty(names, async (path) => {
        fc.pre(path.at(-1) !== 'source');
        const body = path.reduceRight<unknown>((inner, name) => ({ [name]: inner }), '\u0001');
        expect(await taken(body)).toMatchObject({ problems: [{ field: path.join('.') }] });
      }),
      { numRuns: 50 },
    );
  });

  it('never throws anything but a refusal, whatever is sent', async () => {
    await fc.assert(
      fc.asyncProperty(fc.jsonValue(), async (body) => {
        const refused = await taken(body);
        if (refused) expect(refused.status).toBe(422);
      }),
    );
  });
});

describe('what somebody may send who is not signed in', () => {
  it.each(['/api/session', '/api/me/session', '/api/password-links/abc'])(
    '%s: no more than an address and a password',
    async (path) => {
      expect(await signsIn(path, 4096)).toBeUndefined();
      expect(await signsIn(path, 4097)).toMatchObject({ status: 413 });
      // A body that does not say how long it is could be of any length.
      expect(await signsIn(path, undefined)).toMatchObject({ status: 413 });
    },
  );

  it('lets everything else through to whoever asks who that is', async () => {
    expect(await signsIn('/api/drives', 1e6)).toBeUndefined();
    expect(await signsIn('/api/session', 1e6, 'DELETE')).toBeUndefined();
  });
});
