import type { RoadsProblem } from '@jasperwren/roads/problem';
import type { RestrictionProblem } from '@jasperwren/roads/source';
import { wordsOf } from '../words';

export const resource = {
  empty: 'The file is empty.',
  tooLarge: 'The file is larger than {{megabytes}} MB. Cut it down to the area you drive in.',
  notUtf8: 'The file is not UTF-8 text: byte {{byte}} or one soon after it does not fit.',
  otherEncoding: 'The file is in {{encoding}}. Save it as UTF-8.',
  badGzip: 'The file ends with .gz or begins like one, but it cannot be unpacked. It may be cut short.',
  badXml: 'Line {{line}}, column {{column}}: not well-formed XML ({{detail}}).',
  cutShort: 'The file ends at line {{line}} within <{{open}}>. It may be cut short.',
  documentType: 'Line {{line}}: a document type is not allowed in a roads file.',
  otherRoot: 'Line {{line}}: the file begins with <{{root}}>, not with <{{wanted}}>.',
  noId: 'Line {{line}}: a {{element}} has no number or a reference that is none.',
  noPlace: 'Line {{line}}: {{element}} {{id}} has no coordinates.',
  impossiblePlace: 'Line {{line}}: the coordinates of {{element}} {{id}} are not on Earth.',
  idTwice: 'Line {{line}}: {{element}} {{id}} is there already and differs.',
  tooDeep: 'Line {{line}}: elements are nested too deeply.',
  badJson: 'Line {{line}}, column {{column}}: not JSON.',
  notLines: 'The file holds no features with lines (its type is “{{found}}”).',
  badFeature: 'Feature {{feature}}: its coordinates cannot be read.',
  noRoads: 'The file holds no road that cars may use.',
  unknownFormat: 'Roads come as .osm, .osm.gz or .geojson.',
  notOnRoadsFrom: 'There is no road within {{metres}} m of the start.',
  notOnRoadsTo: 'There is no road within {{metres}} m of the end.',
  notOnRoadsVia: 'There is no road within {{metres}} m of this place.',
  noWay: 'No legal way leads there.',
  noTrack: 'The file holds no route and no track.',
  noTimes: 'No point of the file has a time, so that nothing tells when the car was where.',
  exempt: 'does not apply to cars',
  otherVehicles: 'applies to other vehicles only',
  unknownKind: 'its kind is not known',
  memberMissing: 'one of its roads is not in the file',
  notForCars: 'one of its roads is not for cars',
  notJoined: 'its roads do not meet',
} as const;

const t = wordsOf('roads-problems', resource);

/** What is wrong with a file of roads or a request, as a sentence that says what to do where that can be said. */
export function roadsProblem(problem: RoadsProblem): string {
  switch (problem.code) {
    case 'tooLarge':
      return t('tooLarge', problem);
    case 'notUtf8':
      return t('notUtf8', problem);
    case 'otherEncoding':
      return t('otherEncoding', problem);
    case 'badXml':
      return t('badXml', problem);
    case 'cutShort':
      return t('cutShort', problem);
    case 'documentType':
      return t('documentType', problem);
    case 'otherRoot':
      return t('otherRoot', problem);
    case 'noId':
      return t('noId', problem);
    case 'noPlace':
      return t('noPlace', problem);
    case 'impossiblePlace':
      return t('impossiblePlace', problem);
    case 'idTwice':
      return t('idTwice', problem);
    case 'tooDeep':
      return t('tooDeep', problem);
    case 'badJson':
      return t('badJson', problem);
    case 'notLines':
      return t('notLines', problem);
    case 'badFeature':
      return t('badFeature', problem);
    case 'notOnRoads': {
      const { metres } = problem;
      if (problem.end === 'from') return t('notOnRoadsFrom', { metres });
      return problem.end === 'to' ? t('notOnRoadsTo', { metres }) : t('notOnRoadsVia', { metres });
    }
    default:
      return t(problem.code);
  }
}

/** Why a turn restriction is left out, in the middle of a sentence. */
export function restrictionProblem(reason: RestrictionProblem): string {
  switch (reason) {
    case 'exempt':
      return t('exempt');
    case 'other-vehicles':
      return t('otherVehicles');
    case 'unknown-kind':
      return t('unknownKind');
    case 'member-missing':
      return t('memberMissing');
    case 'not-for-cars':
      return t('notForCars');
    case 'not-joined':
      return t('notJoined');
  }
}
