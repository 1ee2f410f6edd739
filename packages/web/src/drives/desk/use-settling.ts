import type { Drive, Pin } from '@jasperwren/core/drive/drive';
import { useEffect, useMemo } from 'react';
import { useAppDispatch, useAppSelector } from '../../base/hooks';
import { lingeredEnough } from './desk-slice';

const lingerMs = 700;

/** The pin that the next mark settles; the same object for as long as nothing about it changes. */
export function useSettling(drive: Drive): Pin | undefined {
  const id = useAppSelector((state) => state.desk.settling);
  const found = drive.pins.find((one) => one.id === id);
  const atMs = found?.atMs;
  const state = found?.state;
  return useMemo(
    () => (id === undefined || atMs === undefined || state === undefined ? undefined : { id, atMs, state }),
    [id, atMs, state],
  );
}

/** Lets a mark be seen to land in its cell, then goes back to what is likely now. */
export function useLingering(): void {
  const dispatch = useAppDispatch();
  // The receipt is new with each mark, so that a second mark in the same category lingers anew.
  const receipt = useAppSelector((state) => (state.desk.lingering ? state.desk.receipt : undefined));
  useEffect(() => {
    if (receipt === undefined) return;
    const timer = setTimeout(() => dispatch(lingeredEnough()), lingerMs);
    return () => clearTimeout(timer);
  }, [receipt, dispatch]);
}
