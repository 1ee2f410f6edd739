import type { DrivenPiece, TraceReading } from '@jasperwren/core/traces/reading';
import { useMemo } from 'react';
import { Polyline } from 'react-leaflet';
import { useThemeName } from '../../base/Theme';
import { tokens } from '../../base/tokens';

/** A stretch less sure than this is drawn thin. */
export const sureFrom = 0.8;

/** The way that was driven: broad where it is sure, thin where it is not, dotted where it lies on no road. */
export function TraceLines({ reading }: { readonly reading: TraceReading }) {
  const colours = tokens[useThemeName()];
  const parts = useMemo(() => reading.pieces.flatMap(bySureness), [reading]);
  return (
    <>
      {parts.map(({ line, sure }, i) => (
        <Polyline
          key={`${i} ${line.length} ${sure}`}
          positions={line}
          interactive={false}
          pathOptions={{ color: colours.slate, weight: sure ? 7 : 3, opacity: sure ? 0.75 : 0.9 }}
        />
      ))}
      {reading.beside.map(({ line }, i) => (
        <Polyline
          key={`beside ${i} ${line.length}`}
          positions={line as [number, number][]}
          interactive={false}
          pathOptions={{ color: colours.muted, weight: 3, dashArray: '2 7' }}
        />
      ))}
    </>
  );
}

/** A piece parted wherever it becomes sure or unsure. */
function bySureness({
  line,
  sure,
}: DrivenPiece): readonly { readonly line: [number, number][]; readonly sure: boolean }[] {
  const parts: { line: [number, number][]; sure: boolean }[] = [];
  let step = 0;
  for (const [lat, lon, metres] of line) {
    while (step + 1 < sure.length && sure[step + 1]![0] <= metres) step++;
    const isSure = (sure[step]?.[1] ?? 0) >= sureFrom;
    const last = parts.at(-1);
    last?.line.push([lat, lon]);
    if (last?.sure !== isSure) parts.push({ line: [[lat, lon]], sure: isSure });
  }
  return parts;
}
