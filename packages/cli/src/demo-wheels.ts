import type { KeptKind } from '@jasperwren/motion/read-spec';
import { v7 as newId } from 'uuid';
import type { Client } from './client';

/** A vehicle, a ground or a plan that the demo's school keeps. */
export interface DemoKept {
  readonly kind: KeptKind;
  readonly name: string;
  readonly body: object;
}

/** Keeps them in the name of whoever is signed in. */
export async function addDemoWheels(client: Client, all: readonly DemoKept[]): Promise<void> {
  for (const { kind, name, body } of all)
    await client.call('keepWheels', { body: { id: newId(), kind, name, body: JSON.stringify(body) } });
}
