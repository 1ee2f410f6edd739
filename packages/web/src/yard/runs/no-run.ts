import { t } from '@jasperwren/words/yard-pages';
import type { ApiError } from '../../base/client';

export const missing: ApiError = { status: 404, code: 'no-run', message: t('noRun') };
