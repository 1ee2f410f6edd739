import { t } from '@jasperwren/words/film';
import Button from '@mui/material/Button';
import { standingMarks, type Drive } from '@jasperwren/core/drive/drive';
import type { FilmAnchor } from '@jasperwren/core/drive/film';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { itemName } from '@jasperwren/words/marking/names';
import { useEffect, useMemo, useState } from 'react';
import type { KeptFilm } from '../../base/device/device-db';
import { FileButton } from '../../ui/FileButton';
import { Section } from '../../ui/Page';
import styles from './film.module.css';
import { FilmPlayer, type Moment } from './FilmPlayer';
import { fileOf, keepFilm, keptFilm, picker, pickFilm } from './films';

interface Props {
  readonly driveId: string;
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  /** The fault that was chosen last: it is played. */
  readonly chosen: string | undefined;
}

/** A film of the drive beside its ribbon: opened here, never sent. */
export default function Film({ driveId, standard, drive, chosen }: Props) {
  const [kept, setKept] = useState<KeptFilm>();
  const [file, setFile] = useState<File>();
  useEffect(() => {
    let here = true;
    void keptFilm(driveId).then((found) => here && setKept(found));
    return () => {
      here = false;
    };
  }, [driveId]);
  const moments = useMemo(
    (): readonly Moment[] => [
      { id: 'moved-off', name: t('movingOff'), atMs: drive.movedOffMs ?? 0 },
      ...standingMarks(drive).map(({ id, item, atMs }) => ({ id, name: itemName(standard, item), atMs })),
    ],
    [standard, drive],
  );
  const keep = (film: KeptFilm) => {
    setKept(film);
    void keepFilm(film);
  };
  const open = (opened: File | undefined, handle?: FileSystemFileHandle) => {
    if (!opened) return;
    setFile(opened);
    // Another film begins at another moment.
    const anchors = kept?.name === opened.name ? kept.anchors : [];
    keep({ driveId, name: opened.name, anchors, ...(handle && { handle }) });
  };
  const pick = picker();
  const choose = async () => {
    const handle = pick && (await pickFilm(pick));
    if (handle) open(await fileOf(handle), handle);
  };
  const words = file ? t('otherFilm') : t('openFilm');
  return (
    <Section title={t('film')}>
      {!file && (
        <>
          <p>{t('why')}</p>
          <p className="muted">{t('caution')}</p>
        </>
      )}
      {file && kept && (
        <FilmPlayer
          key={file.name}
          file={file}
          driveId={driveId}
          moments={moments}
          anchors={kept.anchors}
          chosen={chosen}
          onAnchors={(anchors: readonly FilmAnchor[]) => keep({ ...kept, anchors })}
        />
      )}
      <div className={styles.open}>
        {!file && kept?.handle && (
          <Button
            variant="outlined"
            onClick={() => void fileOf(kept.handle!).then((found) => open(found, kept.handle))}
          >
            {t('openAgain', { name: kept.name })}
          </Button>
        )}
        {pick ? (
          <Button variant="outlined" onClick={() => void choose()}>
            {words}
          </Button>
        ) : (
          <FileButton label={words} accept="video/*" variant="outlined" onFile={(chosenFile) => open(chosenFile)} />
        )}
      </div>
    </Section>
  );
}
