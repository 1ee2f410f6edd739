import type { Layout } from '@jasperwren/motion/layout/layout';
import { t } from '@jasperwren/words/motion';
import { edgeName } from '@jasperwren/words/motion-sentences';
import type { Handle } from './edit-layout';

const edgeNames = {
  line: (id: string) => t('lineNamed', { id }),
  kerb: (id: string) => t('kerbNamed', { id }),
  wall: (id: string) => t('wallIs', { id }),
};

/** "Cone A", "Line 2, one end", "Where it begins". */
export function handleName({ markers, edges }: Layout, handle: Handle): string {
  switch (handle.kind) {
    case 'marker': {
      const pole = markers.find(({ id }) => id === handle.id)?.kind === 'pole';
      return t(pole ? 'poleNamed' : 'coneNamed', { id: handle.id });
    }
    case 'edge': {
      const kind = edges.find(({ id }) => id === handle.id)?.kind ?? 'line';
      return t(handle.end === 'from' ? 'edgeFrom' : 'edgeTo', { thing: edgeNames[kind](edgeName(handle.id)) });
    }
    default:
      return t(handle.kind === 'start' ? 'startPose' : 'goalPose');
  }
}
