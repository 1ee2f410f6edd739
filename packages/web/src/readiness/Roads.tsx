import type { ReadinessInput } from '@jasperwren/contract/readiness';
import type { Readiness } from '@jasperwren/core/readiness/estimate';
import { Section } from '../ui/Page';

/** How well the roads of the evidence were known. */
export function Roads({ readiness, input }: { readonly readiness: Readiness; readonly input: ReadinessInput }) {
  if (readiness.drives === 0) return null;
  const drives = input.evidence.filter(({ kind }) => kind === 'drive');
  const n = (familiarity: string) => drives.filter((one) => one.familiarity === familiarity).length;
  return (
    <Section title="Roads of these drives">
      <p>
        {n('known')} known, {n('partly')} known in part or not said, {n('new')} new. Faults on known roads are reckoned
        up to new ones.
      </p>
    </Section>
  );
}
