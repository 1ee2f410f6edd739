import type { KeptKind } from '@jasperwren/motion/read-spec';
import { v7 as newId } from 'uuid';
import { api } from '../../base/api';

/** Keeps something for the school by a name; gives its id once it is kept. */
export function useKeep() {
  const [send, { error, isLoading }] = api.useKeepWheelsMutation();
  return {
    error,
    busy: isLoading,
    keep: async (kind: KeptKind, name: string, body: object, id = newId()): Promise<string | undefined> => {
      try {
        await send({ body: { id, kind, name, body: JSON.stringify(body) } }).unwrap();
        return id;
      } catch {
        // It stands in `error`.
        return undefined;
      }
    },
  };
}
