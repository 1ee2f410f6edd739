import { useEffect } from 'react';
import { useAppDispatch } from '../../base/hooks';
import { roomMeasured } from './drive-logs';
import { storageRoom } from './storage-room';

const everyMs = 60_000;

/** Looks now and then whether this device has room left, so that it is said before it matters. */
export function useStorageRoom(): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    const look = () =>
      void storageRoom().then((room) => dispatch(roomMeasured(room.state === 'low' ? room.leftMB : undefined)));
    look();
    const timer = setInterval(look, everyMs);
    return () => clearInterval(timer);
  }, [dispatch]);
}
