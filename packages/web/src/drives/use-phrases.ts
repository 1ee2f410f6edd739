import { api } from '../base/api';
import { staleOf } from '../ui/Conflict';
import type { PhrasesView } from '@jasperwren/contract/phrases';

const none: readonly string[] = [];

/** The phrases of the school for notes to learners, and how one is added to them. */
export function usePhrases() {
  const { data } = api.usePhrasesQuery();
  const [set] = api.useSetPhrasesMutation();
  const phrases = data?.phrases ?? none;
  const withOne = (view: PhrasesView, phrase: string) =>
    set({ body: { phrases: [...view.phrases.filter((one) => one !== phrase), phrase], version: view.version } });
  const add = async (phrase: string) => {
    if (!data || phrases.includes(phrase)) return;
    const { error } = await withOne(data, phrase);
    // Somebody else has added one meanwhile: theirs stays.
    const theirs = staleOf<PhrasesView>(error);
    if (theirs) await withOne(theirs, phrase);
  };
  return { phrases, add };
}
