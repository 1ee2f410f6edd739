import type { Drive } from '@jasperwren/core/drive/drive';
import type { EventBody } from '@jasperwren/core/drive/event';
import { t } from '@jasperwren/words/short-test';
import { givenWhy } from '@jasperwren/words/why';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { ReasonForm } from './desk/panels/ReasonForm';

interface Props {
  readonly short: Drive['short'];
  readonly write: (body: EventBody) => unknown;
}

/** Declares a mock test short, with its reason, so that the time of a whole one is not asked of it; or takes that back. */
export function ShortTest({ short, write }: Props) {
  const [asking, setAsking] = useState(false);
  if (short)
    return (
      <p>
        {t('isShort', { why: givenWhy(short.why).toLowerCase() })}{' '}
        <Button
          variant="text"
          onClick={() => {
            setAsking(false);
            void write({ type: 'strike', target: short.id, because: 'removed' });
          }}
        >
          {t('wasMeantWhole')}
        </Button>
      </p>
    );
  if (!asking)
    return (
      <Button variant="text" onClick={() => setAsking(true)}>
        {t('meantShort')}
      </Button>
    );
  return (
    <div role="group" aria-label={t('whyShort')}>
      <p>{t('whyShort')}</p>
      <ReasonForm
        reasons={['short-lesson', 'one-part', 'weather', 'no-time']}
        action={t('meantShort')}
        onGiven={(why) => void write({ type: 'short', ...why })}
      />
    </div>
  );
}
