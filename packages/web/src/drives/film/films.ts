import { deviceDb, type KeptFilm } from '../../base/device/device-db';

type Picker = (options: object) => Promise<readonly FileSystemFileHandle[]>;

/** The browser's own way to choose a file that it can find again; undefined where it has none. */
export const picker = (): Picker | undefined =>
  (window as unknown as { readonly showOpenFilePicker?: Picker }).showOpenFilePicker;

/** Asks for a film by the browser's own way; undefined where nobody chose one. */
export async function pickFilm(pick: Picker): Promise<FileSystemFileHandle | undefined> {
  const types = [{ accept: { 'video/*': [] } }];
  const [handle] = await pick({ types }).catch(() => []);
  return handle;
}

/** The file of a handle, asked for again where the browser wants that; undefined where it may not be read or is gone. */
export async function fileOf(handle: FileSystemFileHandle): Promise<File | undefined> {
  const asks = handle as unknown as { readonly requestPermission?: (how: object) => Promise<PermissionState> };
  if ((await asks.requestPermission?.({ mode: 'read' })) === 'denied') return undefined;
  return handle.getFile().catch(() => undefined);
}

export const keptFilm = (driveId: string): Promise<KeptFilm | undefined> =>
  deviceDb.films.get(driveId).catch(() => undefined);

export const keepFilm = (film: KeptFilm): Promise<unknown> => deviceDb.films.put(film).catch(() => undefined);
