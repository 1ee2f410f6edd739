import type { RouteView } from '@jasperwren/contract/driving-routes';
import type { Place } from '@jasperwren/roads/geometry';
import type { StoredRoads } from '@jasperwren/roads/source';
import { placeWords, t } from '@jasperwren/words/routes';
import { divIcon, type Map as LeafletMap } from 'leaflet';
import { lazy, Suspense, useReducer, useRef, useState } from 'react';
import { Marker, useMap, useMapClick } from '../picture/on-map';
import { api } from '../../base/api';
import { told } from '../../ui/told';
import type { FromFile } from '../list/AddFromTrack';
import { RoadPicture } from '../picture/RoadPicture';
import { useReading } from '../use-route';
import { isRead } from '../work/use-roads-work';
import { drawingOf, edited, isClosed } from './edit';
import { useTitle } from '../../ui/use-title';
import styles from './editor.module.css';
import { EditorSide } from './EditorSide';
import { EditorTools, type Tool } from './EditorTools';
import lines from './lines.module.css';
import { NoteMarks } from './NoteMarks';
import { RouteLines, StopMarks } from './RouteLines';
import { RouteRibbon } from './RouteRibbon';
import { boundsOf } from '../picture/bounds';

const NoteDialog = lazy(() => import('./NoteDialog'));

interface Props {
  readonly stored: StoredRoads;
  readonly roadsId: string;
  /** The route as it is saved; undefined for a new one. */
  readonly route: RouteView | undefined;
  /** What a new route begins with, from a file. */
  readonly given: FromFile | undefined;
  readonly planFirst: boolean;
}

const begun = (given: FromFile | undefined) => ({
  name: given?.name ?? t('newRouteName'),
  stops: given?.stops ?? [],
  places: [],
});

/** The picture with the route on it, what can be done to it, and what it holds. */
export function Editor({ stored, roadsId, route, given, planFirst }: Props) {
  const [drawing, edit] = useReducer(edited, route ?? begun(given), drawingOf);
  const { now } = drawing;
  useTitle(now.name);
  const [tool, setTool] = useState<Tool>('stop');
  const [noteAt, setNoteAt] = useState<Place>();
  const map = useRef<LeafletMap | null>(null);
  const { data: notes = [] } = api.useRoadNotesQuery();
  const [dropNote] = api.useDropRoadNoteMutation();
  const { reading, failed, again } = useReading(stored, now.stops);
  const closed = isClosed(now.stops);
  const use = (at: Place) => {
    if (tool === 'note') setNoteAt(at);
    else if (tool === 'stop')
      edit(closed ? { type: 'insert', after: now.stops.length - 2, at } : { type: 'append', at });
    else edit({ type: 'place', kind: tool, at });
    if (tool !== 'stop') setTool('stop');
  };
  const middle = (): Place => {
    const { lat, lng } = map.current!.getCenter();
    return { lat, lon: lng };
  };
  const shown = isRead(reading) && now.stops.length > 1 ? reading : undefined;
  return (
    <main className={styles.editor}>
      <div className={styles.map}>
        <RoadPicture
          stored={stored}
          fillsPage
          show={now.stops.length < 2 ? undefined : boundsOf(now.stops.map(({ lat, lon }) => [lat, lon]))}
        >
          <Taps onTap={use} onMap={(one) => (map.current = one)} />
          {shown && <RouteLines reading={shown} onInsert={(leg, at) => edit({ type: 'insert', after: leg, at })} />}
          <StopMarks stops={now.stops} closed={closed} onMove={(stop, at) => edit({ type: 'move', stop, at })} />
          {now.places.map(({ kind, lat, lon }, i) => (
            <Marker
              key={`${kind} ${i}`}
              position={[lat, lon]}
              alt={placeWords(kind)}
              title={placeWords(kind)}
              icon={divIcon({
                className: lines.place!,
                html: `<i>${placeWords(kind).charAt(0)}</i>`,
                iconSize: [28, 28],
              })}
            />
          ))}
          <NoteMarks stored={stored} notes={notes} onDrop={(noteId) => void dropNote({ noteId }).then(told)} />
        </RoadPicture>
        <EditorTools drawing={drawing} tool={tool} closed={closed} onTool={setTool} onEdit={edit} />
        <p className={styles.hint}>
          <span>{hintFor(tool)}</span>
        </p>
      </div>
      <EditorSide
        {...{ stored, roadsId, route, now, reading, failed, again, closed, planFirst, given }}
        onEdit={edit}
        onHere={() => use(middle())}
        from={() => now.stops[0] ?? middle()}
      />
      {shown && <RouteRibbon reading={shown} />}
      {noteAt && (
        <Suspense fallback={null}>
          <NoteDialog at={noteAt} onClose={() => setNoteAt(undefined)} />
        </Suspense>
      )}
    </main>
  );
}

function hintFor(tool: Tool): string {
  if (tool === 'stop') return t('tapTheRoads');
  return tool === 'note' ? t('tapForNote') : t('tapForPlace', { place: placeWords(tool) });
}

/** Hands on taps on the roads, and the picture itself. */
function Taps({ onTap, onMap }: { readonly onTap: (at: Place) => void; readonly onMap: (map: LeafletMap) => void }) {
  const map = useMap();
  onMap(map);
  useMapClick(onTap);
  return null;
}
