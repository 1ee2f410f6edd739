import type { BenchDrive } from '@jasperwren/motion/moves/bench';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { memo } from 'react';
import { TracksShape } from '../picture/TracksShape';

interface Props {
  readonly vehicle: Vehicle;
  readonly kept: readonly BenchDrive[];
}

/** A drive grows at its end: what lies behind is drawn once, in pieces of so many moments. */
const pieceLength = 40;

const Piece = memo(
  ({ vehicle, kept }: Props) => <TracksShape vehicle={vehicle} way={kept.map(({ placed }) => placed)} />,
  (was, is) => was.vehicle === is.vehicle && was.kept[0] === is.kept[0] && was.kept.length === is.kept.length,
);
Piece.displayName = 'Piece';

/** The ways of the wheels along a drive so far. */
export function DrivenTracks({ vehicle, kept }: Props) {
  const pieces = Array.from({ length: Math.ceil(kept.length / pieceLength) }, (_, i) =>
    // Each begins where the one before it ends.
    kept.slice(i * pieceLength, (i + 1) * pieceLength + 1),
  );
  return (
    <>
      {pieces.map((piece, i) => (
        <Piece key={i} vehicle={vehicle} kept={piece} />
      ))}
    </>
  );
}
