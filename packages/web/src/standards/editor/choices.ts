import { clockTriggers, manoeuvres } from '@jasperwren/core/marking/exercise';
import type { Source } from '@jasperwren/core/marking/edit/fields';
import { effective, settingsOf } from '@jasperwren/core/marking/options';
import { sensorSigns, type Standard } from '@jasperwren/core/marking/standard';
import { itemsOf } from '@jasperwren/core/marking/edit/change';
import { t } from '@jasperwren/words/editor';
import { t as say } from '@jasperwren/words/editor-sentences';
import { itemName } from '@jasperwren/words/marking/names';
import type { ChoiceOf } from './Chosen';

/** The values that a choice of the editor offers, with their words, in the order of the standard or of the language. */
export function choicesOf(source: Source, standard: Standard): readonly ChoiceOf<string>[] {
  const named = (entries: readonly { readonly code: string; readonly name: string }[] = []) =>
    entries.map(({ code, name }) => [code, name] as const);
  switch (source) {
    case 'grades':
      return named(standard.grades);
    case 'items': {
      const whole = effective(standard);
      return itemsOf(standard).map(({ code }) => [code, itemName(whole, code)] as const);
    }
    case 'exercises':
      return named(standard.exercises);
    case 'classes':
      return named(standard.classes);
    case 'sides':
      return [
        ['left', say('toLeft')],
        ['right', say('toRight')],
      ];
    case 'unitSystems':
      return [
        ['imperial', say('imperial')],
        ['metric', say('metric')],
      ];
    case 'signs':
      return [
        ['noted', t('noteOnly')],
        ['counted', t('countsUp')],
        ['outright', t('oneFails')],
        ['highest', t('oneFailsMostSerious')],
      ];
    case 'manoeuvres':
      return manoeuvres.map((one) => [one, t(one)] as const);
    case 'clockTriggers':
      return clockTriggers.map((one) => [one, t(one)] as const);
    case 'sensors':
      return sensorSigns.map((sign) => [sign, t(`sign-${sign}`)] as const);
    case 'questionKinds':
      return (['tell', 'show', 'oral'] as const).map((kind) => [kind, say(`kind-${kind}`)] as const);
    case 'capReaches':
      return [
        ['together', t('allTogether')],
        ['each', t('eachAlone')],
      ];
  }
}

/** What a limit allows by the option that is chosen; undefined where no option sets it. */
export const setByOption = (standard: Standard, limit: string): number | undefined =>
  settingsOf(standard).some((setting) => setting.kind === 'limit' && setting.limit === limit)
    ? effective(standard).limits.find(({ code }) => code === limit)?.allowed.value
    : undefined;
