import { check, type InputClass } from '@jasperwren/contract/check';
import createError from 'http-errors';
import type { Ctx } from './context';

/**
 * The body of a request, checked against a class of the contract.
 * @throws 422 with every field that is wrong
 */
export function bodyOf<T extends object>(ctx: Ctx, type: InputClass<T>): T {
  const checked = check(type, (ctx.request as { body?: unknown }).body);
  if (checked.ok) return checked.value;
  throw createError(422, 'Some fields are not right. Nothing was saved.', {
    code: 'invalid',
    problems: checked.problems,
  });
}
