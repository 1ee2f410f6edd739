import type { Layout } from '@jasperwren/motion/layout/layout';
import type { Placed } from '@jasperwren/motion/moves/roll';
import { mirrorSides } from '@jasperwren/motion/sight/mirror';
import { mirrorView, seenInMirror } from '@jasperwren/motion/sight/views';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { mirrorShows } from '@jasperwren/words/motion-sentences';
import { ViewPicture } from './ViewPicture';
import styles from './sight.module.css';

export interface Seen {
  readonly vehicle: Vehicle;
  readonly placed: Placed;
  readonly layout: Layout;
}

/** What both door mirrors show where the vehicle stands, and which markers. */
export function Mirrors({ vehicle, placed, layout }: Seen) {
  return (
    <>
      {mirrorSides.map((side) => {
        const ids = layout.markers.length > 0 ? seenInMirror(vehicle, placed, layout, side) : undefined;
        const shows = mirrorShows(side, ids);
        return (
          <figure key={side} className={styles[side]}>
            <ViewPicture view={mirrorView(vehicle, placed, layout, side)} label={shows} />
            <figcaption aria-hidden="true">{shows}</figcaption>
          </figure>
        );
      })}
    </>
  );
}
