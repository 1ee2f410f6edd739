import type { Layout } from '@jasperwren/motion/layout/layout';
import type { Placed } from '@jasperwren/motion/moves/roll';
import { insideMirrorView, seenInside } from '@jasperwren/motion/sight/inside-mirror';
import { mirrorSides } from '@jasperwren/motion/sight/mirror';
import { mirrorView, seenInMirror } from '@jasperwren/motion/sight/door-mirror';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { mirrorShows } from '@jasperwren/words/motion-sentences';
import { ViewPicture } from './ViewPicture';
import styles from './sight.module.css';

export interface Seen {
  readonly vehicle: Vehicle;
  readonly placed: Placed;
  readonly layout: Layout;
}

/** What the mirrors show where the vehicle stands, and which markers: both door mirrors, and the one inside where there is a rear window. */
export function Mirrors({ vehicle, placed, layout }: Seen) {
  const inside = insideMirrorView(vehicle, placed, layout);
  const insideShows = mirrorShows(
    'inside',
    layout.markers.length > 0 ? seenInside(vehicle, placed, layout) : undefined,
  );
  return (
    <>
      {inside && (
        <figure className={styles.inside}>
          <ViewPicture view={inside} label={insideShows} />
          <figcaption aria-hidden="true">{insideShows}</figcaption>
        </figure>
      )}
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
