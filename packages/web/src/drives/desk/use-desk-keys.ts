import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { useEffect } from 'react';
import { useAppDispatch, useAppSelector } from '../../base/hooks';
import { store } from '../../base/store';
import type { DeskActions } from './desk-actions';
import { deskKeys } from './desk-keys';

/** Listens to the keyboard for the desk, where the settings of the device say so. */
export function useDeskKeys(standard: EffectiveStandard, actions: DeskActions): void {
  const dispatch = useAppDispatch();
  const on = useAppSelector((state) => state.settings.deskKeys);
  useEffect(() => {
    if (!on) return;
    const takeKey = deskKeys(standard, actions, dispatch, () => store.getState().desk);
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat || isTyping(event.target)) return;
      if (event.key === ' ' && isBox(event.target)) return;
      if (takeKey(event.key, isControl(event.target))) event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [on, standard, actions, dispatch]);
}

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.matches(`input:not(${chosenByKeys}), textarea, select`) || target.isContentEditable)
  );
}

/** Fields into which nothing is typed: a box that has the focus stops no shortcut but the space bar that ticks it. */
const chosenByKeys = '[type=radio], [type=checkbox], [type=button], [type=submit], [type=file]';

const isBox = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.matches('[type=checkbox]');

function isControl(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.matches('button, a, input');
}
