import { t } from '@jasperwren/words/film';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { filmSecondsAt, fitFilm, type FilmAnchor } from '@jasperwren/core/drive/film';
import { useEffect, useEffectEvent, useMemo, useRef, useState } from 'react';
import { clockTime } from '../../ui/format';
import { Rows } from '../../ui/Page';
import { FaultSpeed } from './FaultSpeed';
import styles from './film.module.css';

/** A moment of the drive that can be seen in a film. */
export interface Moment {
  readonly id: string;
  readonly name: string;
  /** Milliseconds of the drive's clock. */
  readonly atMs: number;
}

interface Props {
  readonly driveId: string;
  readonly file: File;
  readonly moments: readonly Moment[];
  readonly anchors: readonly FilmAnchor[];
  /** The moment that was chosen last. */
  readonly chosen: string | undefined;
  readonly onAnchors: (anchors: readonly FilmAnchor[]) => void;
}

/** A fault is seen from so many seconds before it. */
const beforeS = 8;
const momentWords = ({ name, atMs }: Moment) => t('momentAt', { moment: name, time: clockTime(atMs) });

/** Plays a film by the moments of its drive, once one of them was found in it. */
export function FilmPlayer({ driveId, file, moments, anchors, chosen, onAnchors }: Props) {
  const video = useRef<HTMLVideoElement>(null);
  const [fails, setFails] = useState(false);
  const [lengthS, setLengthS] = useState(Infinity);
  const address = useMemo(() => URL.createObjectURL(file), [file]);
  useEffect(() => () => URL.revokeObjectURL(address), [address]);
  const fit = fitFilm(anchors);
  const wanted = moments.find(({ id }) => id === chosen);
  const wantedS = fit && wanted ? filmSecondsAt(fit, wanted.atMs) : undefined;
  const isOutside = wantedS !== undefined && (wantedS < 0 || wantedS > lengthS);
  const play = () => {
    if (!video.current || wantedS === undefined || isOutside) return;
    video.current.currentTime = Math.max(0, wantedS - beforeS);
    void video.current.play().catch(() => undefined);
  };
  const playChosen = useEffectEvent(play);
  useEffect(() => playChosen(), [chosen]);
  if (fails)
    return (
      <p role="alert">
        {t('notPlayed', { name: file.name, kind: file.type || (/\.(\w+)$/.exec(file.name)?.[1] ?? t('unknownKind')) })}
      </p>
    );
  const momentAt = (driveMs: number) => moments.find(({ atMs }) => atMs === driveMs);
  return (
    <>
      <video
        ref={video}
        className={styles.film}
        src={address}
        controls
        muted
        playsInline
        aria-label={file.name}
        onError={() => setFails(true)}
        onLoadedMetadata={({ currentTarget: { duration } }) => setLengthS(duration)}
      />
      {wanted && (
        <p role="status">
          {isOutside && t('outside', { moment: momentWords(wanted) })}
          {fit && !isOutside && (
            <Button variant="text" onClick={play}>
              {t('playFrom', { moment: momentWords(wanted) })}
            </Button>
          )}{' '}
          <FaultSpeed driveId={driveId} atMs={wanted.atMs} />
        </p>
      )}
      {anchors.length > 1 && !fit && <p role="alert">{t('contradict')}</p>}
      {anchors.length > 0 && (
        <Rows>
          {anchors.map((anchor) => {
            const moment = momentAt(anchor.driveMs);
            const name = moment ? momentWords(moment) : clockTime(anchor.driveMs);
            return (
              <li key={anchor.driveMs} className={styles.anchor}>
                {t('isAt', { moment: name, film: clockTime(anchor.filmS * 1000) })}
                <Button
                  variant="text"
                  aria-label={t('removeMoment', { moment: name })}
                  onClick={() => onAnchors(anchors.filter((one) => one !== anchor))}
                >
                  {t('remove')}
                </Button>
              </li>
            );
          })}
        </Rows>
      )}
      <SetMoment
        first={anchors.length === 0}
        moments={moments}
        chosen={chosen}
        onSet={({ atMs: driveMs }) =>
          onAnchors([
            ...anchors.filter((one) => one.driveMs !== driveMs),
            { driveMs, filmS: video.current?.currentTime ?? 0 },
          ])
        }
      />
    </>
  );
}

/** Says which moment the film shows now. */
function SetMoment({
  first,
  moments,
  chosen,
  onSet,
}: {
  readonly first: boolean;
  readonly moments: readonly Moment[];
  readonly chosen: string | undefined;
  readonly onSet: (moment: Moment) => void;
}) {
  const [picked, setPicked] = useState<string>();
  const moment = moments.find(({ id }) => id === (picked ?? chosen)) ?? moments[0]!;
  return (
    <div className={styles.set}>
      <p className="muted">{first ? t('setIt') : t('setMore')}</p>
      <TextField
        select
        size="small"
        label={t('moment')}
        value={moment.id}
        onChange={({ target: { value } }) => setPicked(value)}
        sx={{ minWidth: '14rem' }}
      >
        {moments.map((one) => (
          <MenuItem key={one.id} value={one.id}>
            {momentWords(one)}
          </MenuItem>
        ))}
      </TextField>
      <Button variant={first ? 'contained' : 'outlined'} onClick={() => onSet(moment)}>
        {t('itIsNow')}
      </Button>
    </div>
  );
}
