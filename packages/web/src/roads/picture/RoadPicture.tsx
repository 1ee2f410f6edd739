import 'leaflet/dist/leaflet.css';
import type { StoredRoads } from '@jasperwren/roads/source';
import { openRoads } from '@jasperwren/roads/source';
import { t } from '@jasperwren/words/routes';
import type { LatLngBoundsExpression } from 'leaflet';
import { useMemo, type ReactNode } from 'react';
import { MapPicture, TileLayer } from './on-map';
import { api } from '../../base/api';
import { prepareRoads } from './prepare';
import styles from './picture.module.css';
import { RoadLayer } from './RoadLayer';
import { WheelOnceChosen } from './WheelOnceChosen';

interface Props {
  readonly stored: StoredRoads;
  /** South-west and north-east of what is shown first; all roads where it is left out. */
  readonly show?: LatLngBoundsExpression | undefined;
  /** Nothing lies below it that the wheel could bring up. */
  readonly fillsPage?: boolean;
  readonly children?: ReactNode;
}

/** A picture of roads that can be pulled and zoomed, without any network. */
export function RoadPicture({ stored, show, fillsPage = false, children }: Props) {
  const roads = useMemo(() => prepareRoads(openRoads(stored)), [stored]);
  const { data: welcome } = api.useWelcomeQuery();
  const tiles = welcome?.tiles;
  const [south, west, north, east] = roads.bounds;
  return (
    <div className={styles.picture} role="region" aria-label={t('roadPicture')}>
      <MapPicture
        className={styles.map!}
        bounds={
          show ?? [
            [south, west],
            [north, east],
          ]
        }
        options={{
          zoomSnap: 0.5,
          scrollWheelZoom: fillsPage,
          wheelPxPerZoomLevel: 120,
          maxZoom: 18,
          minZoom: 9,
          attributionControl: false,
          preferCanvas: true,
        }}
        zoomTitles={{ zoomInTitle: t('zoomIn'), zoomOutTitle: t('zoomOut') }}
      >
        {tiles && <TileLayer url={tiles.address} opacity={0.35} maxZoom={18} className={styles.tiles!} />}
        <RoadLayer roads={roads} />
        {!fillsPage && <WheelOnceChosen />}
        {children}
      </MapPicture>
      {tiles && <p className={styles.credit}>{tiles.credit}</p>}
    </div>
  );
}
