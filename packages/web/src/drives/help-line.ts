import type { Help, HelpKind } from '@jasperwren/core/drive/drive';
import { helpName, t } from '@jasperwren/words/help-given';
import { clockTime } from '../ui/format';

/** Help in a list: what it is called, when it was given, and both for whoever hears the page. */
export function helpLine({ kind, atMs }: Help & { readonly kind: HelpKind }) {
  const [name, time] = [helpName(kind), clockTime(atMs)];
  return { name, time, label: t('helpAtTime', { help: name, time }) };
}
