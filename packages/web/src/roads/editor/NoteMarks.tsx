import type { RoadNoteView } from '@jasperwren/contract/roads';
import type { StoredRoads } from '@jasperwren/roads/source';
import { t } from '@jasperwren/words/routes';
import dayjs from 'dayjs';
import { divIcon } from 'leaflet';
import { useMemo } from 'react';
import { Marker, Polyline, Popup } from '../picture/on-map';
import { useThemeName } from '../../base/Theme';
import { tokens } from '../../base/tokens';
import { longDate } from '../../ui/format';
import { useStretches } from '../work/use-roads-work';
import styles from './lines.module.css';

/** Notes on the roads, each opened by a tap. */
export function NoteMarks({
  stored,
  notes,
  onDrop,
}: {
  readonly stored: StoredRoads;
  readonly notes: readonly RoadNoteView[];
  readonly onDrop: (id: string) => void;
}) {
  const colours = tokens[useThemeName()];
  const question = useMemo(() => ({ stored, places: notes.filter(({ along }) => along) }), [stored, notes]);
  const { lines = [] } = useStretches(question).parts;
  const today = dayjs().format('YYYY-MM-DD');
  return (
    <>
      {lines.map((line, i) => (
        <Polyline
          key={i}
          positions={line.map(([lat, lon]): [number, number] => [lat, lon])}
          pathOptions={{ color: colours.jasper, weight: 10, opacity: 0.3 }}
          interactive={false}
        />
      ))}
      {notes.map((note) => (
        <Marker
          key={note.id}
          position={[note.lat, note.lon]}
          alt={note.text}
          title={note.text}
          icon={divIcon({ className: styles.note!, html: '<i></i>', iconSize: [24, 24] })}
        >
          <Popup>
            <b>{note.text}</b>
            <br />
            {t('noteBy', { name: note.writtenBy, date: longDate(note.writtenAt), reviewBy: longDate(note.reviewBy) })}
            {note.reviewBy < today && (
              <>
                <br />
                {t('noteOverdue', { reviewBy: longDate(note.reviewBy) })}
              </>
            )}
            <br />
            <button type="button" onClick={() => onDrop(note.id)}>
              {t('removeNote')}
            </button>
          </Popup>
        </Marker>
      ))}
    </>
  );
}
