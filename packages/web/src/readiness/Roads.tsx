import type { ReadinessInput } from '@jasperwren/contract/readiness';
import { familiarityWord } from '@jasperwren/core/places/familiarity';
import type { Evidence } from '@jasperwren/core/readiness/evidence';
import type { Readiness } from '@jasperwren/core/readiness/estimate';
import { percent } from '@jasperwren/words/lists';
import { t } from '@jasperwren/words/readiness';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { Section } from '../ui/Page';

interface Props {
  readonly readiness: Readiness;
  readonly input: ReadinessInput;
  readonly learnerId: string;
  /** First name of the learner. */
  readonly name: string;
}

/** How well the roads of the evidence were known: by their traces, and where there is none by what was said. */
export function Roads({ readiness, input, learnerId, name }: Props) {
  if (readiness.drives === 0) return null;
  const drives = input.evidence.filter(({ kind }) => kind === 'drive');
  const traced = drives.flatMap(({ knownShare }) => (knownShare === undefined ? [] : [knownShare]));
  const n = (familiarity: string) => drives.filter((one) => wordOf(one) === familiarity).length;
  const differ = drives.filter(({ familiarity, ...one }) => wordOf({ familiarity, ...one }) !== familiarity).length;
  return (
    <Section title={t('roadsOfTheseMockTests')}>
      <p>{t('nFamiliarN2PartlyFamiliarOr', { n: n('known'), n2: n('partly'), n3: n('new') })}</p>
      {traced.length > 0 && (
        <p>
          {t('tracedOf', {
            count: traced.length,
            whole: drives.length,
            share: percent(traced.reduce((sum, share) => sum + share, 0) / traced.length),
            name,
          })}{' '}
          {differ > 0 && t('roadsSaidOtherwise', { count: differ })}
        </p>
      )}
      <Button variant="text" component={Link} to={`/routes/new?plan=1&for=${learnerId}`}>
        {t('planALoopFor', { name })}
      </Button>
      {traced.length > 0 && (
        <Button variant="text" component={Link} to={`/routes/places?learner=${learnerId}&compare=school&span=all`}>
          {t('whereFaultsOf', { name })}
        </Button>
      )}
    </Section>
  );
}

const wordOf = ({ familiarity, knownShare }: Pick<Evidence, 'familiarity' | 'knownShare'>) =>
  knownShare === undefined ? familiarity : familiarityWord(knownShare);
