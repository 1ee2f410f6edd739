import type { RouteReading } from '@jasperwren/core/routes/read-route';
import type { Side } from '@jasperwren/roads/graph/side';
import type { Units } from '@jasperwren/words/roads/distances';

/** What every way of rehearsing works with. */
export interface ModeProps {
  readonly reading: RouteReading;
  readonly units: Units;
  readonly side: Side;
  readonly metres: number;
  readonly playing: boolean;
  readonly setPlaying: (playing: boolean) => void;
}
