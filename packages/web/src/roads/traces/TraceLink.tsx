import type { Familiarity } from '@jasperwren/core/drive/event';
import { familiarityWord } from '@jasperwren/core/places/familiarity';
import { percent } from '@jasperwren/words/lists';
import { t } from '@jasperwren/words/traces';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { api } from '../../base/api';

interface Props {
  readonly driveId: string;
  /** First name of the learner. */
  readonly name: string;
  /** What was said of how well the roads were known. */
  readonly said: Familiarity | undefined;
}

/** What the trace of a mock test says of its roads, and the way to it. */
export default function TraceLink({ driveId, name, said }: Props) {
  const { data: trace } = api.useTraceQuery({ driveId });
  const known = trace?.familiarity && trace.familiarity.drives > 0 ? trace.familiarity : undefined;
  const found = known?.counts ? familiarityWord(known.share) : undefined;
  return (
    <>
      {known && (
        <p>
          {t('knownShare', { name, share: percent(known.share), drives: t('tracedDrives', { count: known.drives }) })}{' '}
          {found && said && found !== said && t('saidOtherwise', { said: t(said), found: t(found) })}
        </p>
      )}
      <Button variant="text" component={Link} to={`/drive/${driveId}/road`}>
        {t('whereItWent')}
      </Button>
    </>
  );
}
