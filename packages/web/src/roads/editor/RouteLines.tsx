import type { RouteStop } from '@jasperwren/core/routes/driving-route';
import type { RouteReading } from '@jasperwren/core/routes/read-route';
import { placesAlong } from '@jasperwren/core/routes/along-line';
import { metresBetween } from '@jasperwren/roads/geometry';
import { DomEvent, divIcon, type LatLng, type LeafletMouseEvent } from 'leaflet';
import { useMemo, useRef } from 'react';
import { Marker, Polyline, useMap } from '../picture/on-map';
import { t } from '@jasperwren/words/routes';
import { useThemeName } from '../../base/Theme';
import { tokens } from '../../base/tokens';
import styles from './lines.module.css';

interface Props {
  readonly reading: RouteReading;
  /** Called with the leg that was tapped or pulled, and where to. */
  readonly onInsert?: (leg: number, at: { readonly lat: number; readonly lon: number }) => void;
}

/** Less movement than this, in pixels, is a tap. */
const pullFrom = 6;

/** The route on the roads: ink where directions are given, slate where the learner finds the way. */
export function RouteLines({ reading, onInsert }: Props) {
  const colours = tokens[useThemeName()];
  const map = useMap();
  const legs = useMemo(() => legLines(reading), [reading]);
  const pulled = useRef(false);
  const insert = (leg: number, { lat, lng }: LatLng) => onInsert?.(leg, { lat, lon: lng });
  // A tap adds a stop where it is; a pull with the mouse adds it where the button is let go.
  const begin = (leg: number) => (event: LeafletMouseEvent) => {
    DomEvent.stop(event.originalEvent);
    pulled.current = false;
    const from = event.containerPoint;
    map.dragging.disable();
    window.addEventListener(
      'mouseup',
      (up) => {
        map.dragging.enable();
        if (map.mouseEventToContainerPoint(up).distanceTo(from) < pullFrom) return;
        pulled.current = true;
        insert(leg, map.mouseEventToLatLng(up));
      },
      { once: true },
    );
  };
  const tap = (leg: number) => (event: LeafletMouseEvent) => {
    DomEvent.stop(event.originalEvent);
    if (!pulled.current) insert(leg, event.latlng);
    pulled.current = false;
  };
  return (
    <>
      {legs.map(({ line, mode }, i) => (
        <Polyline
          // A line of Leaflet keeps the handlers it was made with.
          key={`${i} ${mode} ${line.length}`}
          positions={line as [number, number][]}
          pathOptions={{ color: mode === 'directions' ? colours.ink : colours.slate, weight: 6, opacity: 0.95 }}
          eventHandlers={{ mousedown: begin(i), click: tap(i) }}
        />
      ))}
      {legs
        .filter(({ mode }) => mode !== 'directions')
        .map(({ line, mode }, i) => (
          <Polyline
            key={`dash ${i} ${line.length}`}
            positions={line as [number, number][]}
            interactive={false}
            pathOptions={{ color: colours.ground, weight: 2, dashArray: mode === 'signs' ? '6 7' : '1 7' }}
          />
        ))}
      <DirectionTicks reading={reading} />
    </>
  );
}

function legLines({ line, legs }: RouteReading) {
  const at = placesAlong(line);
  const sums = lengths(line);
  return legs.map(({ from, to, mode }) => {
    const inside = line.filter((_, i) => sums[i]! > from && sums[i]! < to);
    const ends = [at(from), at(to)].map(({ lat, lon }) => [lat, lon] as const);
    return { mode, line: [ends[0]!, ...inside, ends[1]!] };
  });
}

function lengths(line: RouteReading['line']): readonly number[] {
  const at = [0];
  for (let i = 1; i < line.length; i++)
    at.push(at[i - 1]! + metresBetween(line[i - 1]![0], line[i - 1]![1], line[i]![0], line[i]![1]));
  return at;
}

/** Small arrows that show which way the route is driven. */
function DirectionTicks({ reading: { line, metres } }: Pick<Props, 'reading'>) {
  const ticks = useMemo(() => {
    const at = placesAlong(line);
    const count = Math.max(2, Math.min(24, Math.round(metres / 600)));
    return Array.from({ length: count }, (_, i) => {
      const where = ((i + 0.5) / count) * metres;
      const [a, b] = [at(where - 4), at(where + 4)];
      const angle = (Math.atan2((b.lon - a.lon) * Math.cos((a.lat * Math.PI) / 180), b.lat - a.lat) * 180) / Math.PI;
      return { ...at(where), angle };
    });
  }, [line, metres]);
  return (
    <>
      {ticks.map(({ lat, lon, angle }, i) => (
        <Marker
          key={`${i} ${lat} ${lon}`}
          position={[lat, lon]}
          interactive={false}
          keyboard={false}
          zIndexOffset={-1000}
          icon={divIcon({
            className: styles.tick!,
            html: `<i style="transform:rotate(${angle}deg)"></i>`,
            iconSize: [12, 12],
          })}
        />
      ))}
    </>
  );
}

interface StopProps {
  readonly stops: readonly RouteStop[];
  readonly closed: boolean;
  readonly onMove: (stop: number, at: { readonly lat: number; readonly lon: number }) => void;
}

/** The stops, each of which can be dragged. */
export function StopMarks({ stops, closed, onMove }: StopProps) {
  return (
    <>
      {stops.map(({ lat, lon }, i) => {
        // The end of a loop lies below its start.
        if (closed && i === stops.length - 1) return null;
        const name = i === 0 ? t('start') : t('stopNth', { nth: i + 1 });
        return (
          <Marker
            key={i}
            position={[lat, lon]}
            draggable
            alt={name}
            title={name}
            icon={divIcon({
              className: i === 0 ? styles.start! : styles.stop!,
              html: i === 0 ? '<i></i>' : `<i>${i + 1}</i>`,
              iconSize: [28, 28],
            })}
            eventHandlers={{
              dragend: ({ target }) => {
                const { lat: y, lng: x } = (target as { getLatLng: () => { lat: number; lng: number } }).getLatLng();
                onMove(i, { lat: y, lon: x });
                if (closed && i === 0) onMove(stops.length - 1, { lat: y, lon: x });
              },
            }}
          />
        );
      })}
    </>
  );
}
