import type { RoadNoteView } from '@jasperwren/contract/roads';
import { t } from '@jasperwren/words/routes';
import dayjs from 'dayjs';
import { divIcon } from 'leaflet';
import { Marker, Popup } from 'react-leaflet';
import { longDate } from '../../ui/format';
import styles from './lines.module.css';

/** Notes on the roads, each opened by a tap. */
export function NoteMarks({
  notes,
  onDrop,
}: {
  readonly notes: readonly RoadNoteView[];
  readonly onDrop: (id: string) => void;
}) {
  const today = dayjs().format('YYYY-MM-DD');
  return (
    <>
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
