import { t } from '@jasperwren/words/yard-pages';
import { Loading } from '../../ui/states';
import type { Hearing } from '../feed/watch-run';

interface Props {
  readonly hearing: Hearing;
  /** What is shown of the run once it has come. */
  readonly what: string;
}

/** Stands where something of a run will be shown once its samples have come, or says why they do not. */
export function RunAwaited({ hearing, what }: Props) {
  if (hearing === 'unknown') return <p role="alert">{t('noRun')}</p>;
  if (hearing === 'lost') return <p role="status">{t('runLost')}</p>;
  return <Loading what={what} />;
}
