import type { DrivenPiece, TraceReading } from '@jasperwren/core/traces/reading';
import { placeOf } from '@jasperwren/roads/traces/along-piece';
import { useMemo } from 'react';
import { Polyline } from '../picture/on-map';
import { useThemeName } from '../../base/Theme';
import { tokens } from '../../base/tokens';

/** A stretch less sure than this is drawn thin. */
export const sureFrom = 0.8;

interface Props {
  readonly reading: TraceReading;
  /** Where its roads were known, in metres of each piece; missing where that is not shown. */
  readonly known?: readonly (readonly (readonly [from: number, to: number])[])[] | undefined;
}

/** The way that was driven: broad where it is sure, thin where it is not, dotted where it lies on no road. */
export function TraceLines({ reading, known }: Props) {
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
      {known?.flatMap((spans, i) =>
        spans.map(([from, to]) => (
          <Polyline
            key={`known ${i} ${from}`}
            positions={between(reading.pieces[i]!.line, from, to)}
            interactive={false}
            pathOptions={{ color: colours.ground, weight: 2, dashArray: '5 6' }}
          />
        )),
      )}
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

/** The part of a line between two distances along it. */
function between(line: DrivenPiece['line'], from: number, to: number): [number, number][] {
  const at = placeOf(line);
  const inside = line.filter(([, , metres]) => metres > from && metres < to);
  const [first, last] = [at(from), at(to)];
  return [[first.lat, first.lon], ...inside.map(([lat, lon]): [number, number] => [lat, lon]), [last.lat, last.lon]];
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
