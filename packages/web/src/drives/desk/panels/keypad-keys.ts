import { t } from '@jasperwren/words/desk';
import { useEffect, useRef } from 'react';
import { useAppDispatch } from '../../../base/hooks';
import { said } from '../desk-slice';

/** What keys do while a keypad is shown. */
interface KeypadKeys {
  /** A digit, a point, or a comma as a point. */
  readonly digit: (key: string) => void;
  readonly back: () => void;
  readonly enter: () => void;
}

/** Digits go into the keypad wherever the focus is; in a text field they go there by themselves. */
export function useKeypadKeys(keys: KeypadKeys): void {
  const latest = useRef(keys);
  useEffect(() => {
    latest.current = keys;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.target instanceof HTMLElement && event.target.matches('input, textarea')) return;
      const { digit, back, enter } = latest.current;
      if (/^[\d.,]$/.test(event.key)) digit(event.key.replace(',', '.'));
      else if (event.key === 'Backspace') back();
      // The button that has the focus would be pressed once more.
      else if (event.key === 'Enter') enter();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}

/**
 * Tells of something typed that is dropped.
 * @returns says that it was taken: then nothing is told
 */
export function useDropped(typed: string, tell: (typed: string) => void): () => void {
  const latest = useRef({ typed, tell });
  const taken = useRef(false);
  useEffect(() => {
    latest.current = { typed, tell };
  });
  useEffect(() => {
    taken.current = false;
    return () => {
      const { typed: left, tell: say } = latest.current;
      if (left !== '' && !taken.current) say(left);
    };
  }, []);
  return () => {
    taken.current = true;
  };
}

/** Tells of words that were typed and are dropped; see `useDropped`. */
export function useUnsaved(typed: string): () => void {
  const dispatch = useAppDispatch();
  return useDropped(typed.trim(), (text) => void dispatch(said(t('notSaved', { text }))));
}
