/** Below this a test of 40 minutes might not fit with what else the browser keeps (house default). */
const leastRoomBytes = 20 * 1024 * 1024;

export type Room = { readonly state: 'enough' | 'unknown' } | { readonly state: 'low'; readonly leftMB: number };

/** How much room this device has left for marks. */
export async function storageRoom(): Promise<Room> {
  try {
    const { usage, quota } = await navigator.storage.estimate();
    if (usage === undefined || quota === undefined) return { state: 'unknown' };
    const left = quota - usage;
    return left < leastRoomBytes
      ? { state: 'low', leftMB: Math.max(0, Math.floor(left / 1024 / 1024)) }
      : { state: 'enough' };
  } catch {
    return { state: 'unknown' };
  }
}

/** Asks the browser not to clear what is kept here when room runs short. */
export function askToPersist(): void {
  void navigator.storage?.persist?.().catch(() => undefined);
}
