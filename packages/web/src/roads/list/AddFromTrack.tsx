import type { RoadsView } from '@jasperwren/contract/roads';
import type { Track } from '@jasperwren/roads/formats/gpx';
import { readTrack } from '@jasperwren/roads/formats/read-track';
import { RoadsError } from '@jasperwren/roads/problem';
import { roadsProblem } from '@jasperwren/words/roads/problems';
import { t } from '@jasperwren/words/routes';
import { useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { api } from '../../base/api';
import { useTrack, type TrackQuestion } from '../work/use-roads-work';
import { FileButton } from '../../ui/FileButton';

/** What the editor is given of a track. */
export interface FromFile {
  readonly name: string | undefined;
  readonly stops: readonly { readonly lat: number; readonly lon: number; readonly mode: 'directions' }[];
  readonly unmatched: readonly { readonly from: number; readonly to: number }[];
}

/** Makes a new route of a GPX or GeoJSON file on the newest roads. */
export function AddFromTrack({ roads }: { readonly roads: RoadsView }) {
  const [track, setTrack] = useState<Track>();
  const [failed, setFailed] = useState<string>();
  const read = async (file: File) => {
    try {
      setFailed(undefined);
      setTrack(readTrack(file.name, await file.text()));
    } catch (error) {
      setFailed(error instanceof RoadsError ? roadsProblem(error.problem) : String(error));
    }
  };
  return (
    <>
      <FileButton variant="text" label={t('importTrack')} accept=".gpx,.geojson,.json" onFile={read} />
      {failed !== undefined && <span role="alert">{failed}</span>}
      {track && <Matching roads={roads} track={track} />}
    </>
  );
}

/** Looks for the track on the roads, then leads to the editor. */
function Matching({ roads, track }: { readonly roads: RoadsView; readonly track: Track }) {
  const navigate = useNavigate();
  const { data: stored, error } = api.useRoadsOfQuery({ roadsId: roads.id });
  const question = useMemo(() => stored && { stored, places: track.places }, [stored, track]);
  if (error && !stored) return <span role="alert">{error.message}</span>;
  if (!question) return <span role="status">{t('workingItOut')}</span>;
  return (
    <Found
      question={question}
      onFound={(found) =>
        void navigate(`/routes/new?roads=${roads.id}`, { state: { name: track.name, ...found } satisfies FromFile })
      }
    />
  );
}

function Found({
  question,
  onFound,
}: {
  readonly question: TrackQuestion;
  readonly onFound: (found: Omit<FromFile, 'name'>) => void;
}) {
  const { parts, failed } = useTrack(question);
  const { found } = parts;
  useEffect(() => {
    if (found && found.stops.length > 1) onFound(found as Omit<FromFile, 'name'>);
    // Once: it leads away from here.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [found]);
  if (failed !== undefined) return <span role="alert">{failed}</span>;
  if (found && found.stops.length < 2) return <span role="alert">{t('trackOffRoads')}</span>;
  return <span role="status">{t('workingItOut')}</span>;
}
