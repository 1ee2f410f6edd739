import type { RoadPlace } from '@jasperwren/core/places/passes';
import type { StoredRoads } from '@jasperwren/roads/source';
import { placeWords, t } from '@jasperwren/words/traces';
import Button from '@mui/material/Button';
import { useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { api } from '../../base/api';
import type { FromFile } from '../list/AddFromTrack';
import { usePractice, type PracticeQuestion } from '../work/use-roads-work';

interface Props {
  readonly place: RoadPlace;
  /** The roads to practise on. */
  readonly id: string;
  readonly stored: StoredRoads;
}

/** Draws a loop that leads over a place several times, from where the school's routes begin. */
export function PractiseButton({ place, id, stored }: Props) {
  const { data: routes } = api.useRoutesQuery();
  const [asked, setAsked] = useState(false);
  const home = routes?.find(({ roadsId }) => roadsId === id)?.stops[0];
  const question = useMemo(() => ({ stored, place, start: home ?? place }), [stored, place, home]);
  return asked ? (
    <Making question={question} roadsId={id} />
  ) : (
    <Button variant="contained" disabled={!routes} onClick={() => setAsked(true)}>
      {t('practise')}
    </Button>
  );
}

function Making({ question, roadsId }: { readonly question: PracticeQuestion; readonly roadsId: string }) {
  const navigate = useNavigate();
  const { parts, failed } = usePractice(question);
  const { stops } = parts;
  useEffect(() => {
    if (!stops || stops === 'none') return;
    const name = t('practiceName', { place: placeWords(question.place) }).slice(0, 80);
    const made: FromFile = {
      name,
      stops: stops.map(({ lat, lon }) => ({ lat, lon, mode: 'directions' })),
      unmatched: [],
    };
    void navigate(`/routes/new?roads=${roadsId}`, { state: made });
    // Once: it leads away from here.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [stops]);
  if (failed !== undefined) return <span role="alert">{failed}</span>;
  return (
    <span role={stops === 'none' ? 'alert' : 'status'}>{stops === 'none' ? t('practiceNone') : t('practise')}</span>
  );
}
