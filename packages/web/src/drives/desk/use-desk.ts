import type { Drive } from '@jasperwren/core/drive/drive';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { useCallback, useMemo } from 'react';
import { useAppDispatch, useAppSelector } from '../../base/hooks';
import { useDriveLog } from '../log/use-drive';
import { deskActions } from './desk-actions';
import { said } from './desk-slice';
import { giveReceipt } from './receipts';

/** What the desk can do, for the drive that is on it; the same from mark to mark, so that little is drawn anew. */
export function useDesk(driveId: string, standard: EffectiveStandard, phase: Drive['phase']) {
  const dispatch = useAppDispatch();
  const { write, undo: undoLast } = useDriveLog(driveId);
  const receipts = useAppSelector((state) => state.settings.receipts);
  const settling = useAppSelector((state) => state.desk.settling);
  const running = phase === 'running' || phase === 'paused';
  const canMark = running || settling !== undefined;

  const tell = useCallback(
    (text: string, kind: 'taken' | 'undone' = 'taken') => {
      dispatch(said(text));
      if (receipts) giveReceipt(kind);
    },
    [dispatch, receipts],
  );

  return useMemo(() => {
    const receipt = () => {
      if (receipts) giveReceipt('taken');
    };
    return deskActions({ driveId, standard, running, canMark, write, undoLast, tell, receipt, dispatch });
  }, [running, canMark, driveId, standard, dispatch, write, undoLast, tell, receipts]);
}
