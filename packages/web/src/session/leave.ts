import { routes } from '@jasperwren/contract/routes';
import type { Dispatch } from '@reduxjs/toolkit';
import { api } from '../base/api';
import { csrfHeader, keepToken } from '../base/client';
import { forgetAnswers } from '../base/offline';
import { personLeft } from '../base/person';

/** A sign-out that the server has not heard of yet: with the token it will ask for. */
const leavingKey = 'jasperwren.leaving';
/** Who was signed in last on this device. */
const personKey = 'jasperwren.person';
/** Stands in its place once they signed out: no id is left, and whoever comes next begins anew. */
const nobody = '-';

const read = (key: string): string | null => {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
};
const write = (key: string, value: string | undefined): void => {
  try {
    if (value === undefined) localStorage.removeItem(key);
    else localStorage.setItem(key, value);
  } catch {
    // Storage denied: it holds as long as the page.
  }
};

/**
 * Signs out, also where the server cannot be reached: then it hears of it as soon as it can, and nobody is signed in
 * here meanwhile. What was not sent stays, for the one who made it.
 */
export async function leave(dispatch: Dispatch): Promise<void> {
  write(leavingKey, csrfHeader()['x-csrf-token'] ?? '');
  await finishLeaving();
  write(personKey, nobody);
  await forgetPerson(dispatch);
}

/** Whether somebody has signed out here whom the server still takes for signed in. */
export const isLeaving = (): boolean => read(leavingKey) !== null;

/** Tells the server of a sign-out that it has not heard of. Returns whether there is none left to tell. */
export async function finishLeaving(): Promise<boolean> {
  const token = read(leavingKey);
  if (token === null) return true;
  let answer = await askToEnd(token);
  // The page did not know the token of this sign-in, or knew an older one.
  for (const { path } of [routes.session, routes.me])
    if (answer?.status === 403) answer = await askToEnd(await tokenAt(path));
  if (!answer || answer.status >= 500) return false;
  write(leavingKey, undefined);
  return true;
}

const askToEnd = (token: string) =>
  fetch(routes.signOut.path, { method: routes.signOut.method, headers: { 'x-csrf-token': token } }).catch(
    () => undefined,
  );

/** The token of whoever is signed in, as an address tells it; empty where nobody is. */
async function tokenAt(address: string): Promise<string> {
  const answer = await fetch(address).catch(() => undefined);
  return answer?.ok ? ((await answer.json()) as { readonly csrfToken: string }).csrfToken : '';
}

/** Whether it is known that nobody is signed in: the server need not be asked once more. */
let gone = false;
export const isGone = (): boolean => gone;

/** Takes off this device what belongs to whoever was signed in; what waits to be sent stays for them. */
export async function forgetPerson(dispatch: Dispatch): Promise<void> {
  gone = true;
  keepToken('');
  dispatch(api.util.resetApiState());
  await clearDevice(dispatch);
}

async function clearDevice(dispatch: Dispatch): Promise<void> {
  dispatch(personLeft());
  await Promise.all(
    [import('../base/device/forget').then(({ forgetSent }) => forgetSent()), forgetAnswers()].map((one) =>
      one.catch(() => undefined),
    ),
  );
}

/** Who was signed in last on this device, or nobody where they signed out: the only one who is taken back to the page they were on. */
export const lastPerson = (): string | undefined => read(personKey) ?? undefined;

/** Makes way for somebody who has just signed in: nothing of another person is left to be seen. */
export async function arrive(person: string, dispatch: Dispatch): Promise<void> {
  gone = false;
  write(leavingKey, undefined);
  const before = read(personKey);
  if (before !== null && before !== person) await clearDevice(dispatch);
  write(personKey, person);
}
