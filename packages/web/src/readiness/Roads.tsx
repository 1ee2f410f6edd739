import { t } from '@jasperwren/words/readiness';
import type { ReadinessInput } from '@jasperwren/contract/readiness';
import type { Readiness } from '@jasperwren/core/readiness/estimate';
import { Section } from '../ui/Page';

/** How well the roads of the evidence were known. */
export function Roads({ readiness, input }: { readonly readiness: Readiness; readonly input: ReadinessInput }) {
  if (readiness.drives === 0) return null;
  const drives = input.evidence.filter(({ kind }) => kind === 'drive');
  const n = (familiarity: string) => drives.filter((one) => one.familiarity === familiarity).length;
  return (
    <Section title={t('roadsOfTheseMockTests')}>
      <p>{t('nFamiliarN2PartlyFamiliarOr', { n: n('known'), n2: n('partly'), n3: n('new') })}</p>
    </Section>
  );
}
