import type { RouteBody } from '@jasperwren/core/routes/driving-route';
import type { RouteReading } from '@jasperwren/core/routes/read-route';
import { writeGpx } from '@jasperwren/roads/formats/gpx';
import { writeRouteGeoJson } from '@jasperwren/roads/formats/route-geojson';
import { t } from '@jasperwren/words/routes';
import Button from '@mui/material/Button';
import { offerFile } from '../../ui/offer-file';

interface Props {
  readonly route: RouteBody;
  readonly reading: RouteReading;
}

/** The route as files for other programs. */
export function Downloads({ route: { name, stops }, reading: { line } }: Props) {
  const save = (ending: string, type: string, text: string) =>
    offerFile(`${name.replace(/[^\p{L}\p{N} -]/gu, '').trim() || 'route'}.${ending}`, type, text);
  return (
    <>
      <Button variant="text" onClick={() => save('gpx', 'application/gpx+xml', writeGpx(name, stops, line))}>
        {t('downloadGpx')}
      </Button>
      <Button
        variant="text"
        onClick={() => save('geojson', 'application/geo+json', writeRouteGeoJson(name, stops, line))}
      >
        {t('downloadGeoJson')}
      </Button>
    </>
  );
}
