import type { ErrorBody } from '@jasperwren/contract/errors';
import type { RoadsView } from '@jasperwren/contract/roads';
import { addressFor } from '../../base/api';
import { csrfHeader } from '../../base/client';

/** Sends a file of roads as it is. Throws an `Error` with a sentence where it was not taken. */
export async function sendRoads(file: File): Promise<RoadsView> {
  const response = await fetch(addressFor('addRoads', { file: file.name }), {
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream', ...csrfHeader() },
    body: file,
  });
  if (response.ok) return (await response.json()) as RoadsView;
  const body = (await response.json().catch(() => undefined)) as ErrorBody | undefined;
  throw new Error(body?.error.message ?? response.statusText);
}
