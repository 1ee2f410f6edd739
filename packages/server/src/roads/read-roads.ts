import { open } from 'node:fs/promises';
import type { MessagePort } from 'node:worker_threads';
import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import { buildGraph } from '@jasperwren/roads/graph/graph';
import { summarise, type RoadsSummary } from '@jasperwren/roads/graph/summary';
import { RoadsError, type RoadsProblem } from '@jasperwren/roads/problem';
import { readRoads } from '@jasperwren/roads/read-roads';
import { storeRoads } from '@jasperwren/roads/source';

const zip = promisify(gzip);

/** A file of roads to be read in a thread. */
export interface RoadsTask {
  /** Where it lies, and what it is called, which tells its format. */
  readonly path: string;
  readonly file: string;
}

/** What is told while it is read, and at the end. */
export type RoadsNews =
  | { readonly kind: 'progress'; readonly percent: number }
  | { readonly kind: 'read'; readonly summary: RoadsSummary; readonly ways: Uint8Array }
  | { readonly kind: 'unusable'; readonly problem: RoadsProblem };

/** Reads a file of roads and tells through the port how far it is and what came of it. */
export async function readRoadsFile({ path, file }: RoadsTask, news: MessagePort): Promise<void> {
  const tell = (bit: RoadsNews) => news.postMessage(bit);
  // Opened at once: a file that is taken away meanwhile is still read.
  const handle = await open(path);
  const { size } = await handle.stat();
  // Packed text is about ten times as long as its file.
  const whole = file.toLowerCase().endsWith('.gz') ? size * 10 : size;
  let told = 0;
  try {
    const source = await readRoads(file, handle.createReadStream(), {
      onProgress(read) {
        const percent = Math.min(95, Math.floor((read / Math.max(whole, 1)) * 95));
        if (percent >= told + 5) tell({ kind: 'progress', percent: (told = percent) });
      },
    });
    const summary = summarise(buildGraph(source));
    tell({ kind: 'read', summary, ways: await zip(JSON.stringify(storeRoads(source))) });
  } catch (error) {
    if (!(error instanceof RoadsError)) throw error;
    tell({ kind: 'unusable', problem: error.problem });
  } finally {
    await handle.close();
  }
}
