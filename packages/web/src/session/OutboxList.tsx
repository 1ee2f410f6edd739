import { t } from '@jasperwren/words/account';
import Button from '@mui/material/Button';
import { useCallback, useEffect, useState } from 'react';
import { useAppSelector } from '../base/hooks';
import { longDate } from '../ui/format';
import { Rows } from '../ui/Page';
import { partsOf, type Lane, type RouteOfLane } from '../base/device/lanes';
import { entriesOf, sendSoon, setAside, takeOut } from '../base/outbox/entries';
import type { Entry } from '../base/outbox/entry';
import styles from './outbox.module.css';
import { offerFile } from '../ui/offer-file';

const wordsOf: Readonly<Record<RouteOfLane, string>> = {
  sendEvents: t('faultsOfAMockTest'),
  sendFixes: t('traceOfAMockTest'),
  sendVoice: t('wordsOfAPin'),
  dropVoice: t('wordsOfAPin'),
  addReviews: t('answersToSafetyQuestions'),
  addMyReviews: t('answersToSafetyQuestions'),
  setFreeHours: t('yourTeachingHours'),
};
const laneWords = (lane: Lane): string => wordsOf[partsOf(lane)[0]];

/** What a person made on this device and the server does not have, with what it refused and why. */
export function OutboxList({ person }: { readonly person: string }) {
  const counts = useAppSelector((state) => state.outbox);
  const [entries, setEntries] = useState<readonly Entry[]>([]);
  const read = useCallback(async () => setEntries(await entriesOf(person)), [person]);
  useEffect(() => {
    let here = true;
    void entriesOf(person).then((found) => here && setEntries(found));
    return () => {
      here = false;
    };
  }, [person, counts]);
  const lanes = [...new Set(entries.map(({ lane }) => lane))];
  const again = async (refused: readonly Entry[]) => {
    for (const { id } of refused) await setAside(id, undefined);
    sendSoon();
    await read();
  };
  const drop = async (refused: readonly Entry[]) => {
    save(refused);
    await takeOut(refused.map(({ id }) => id));
    sendSoon();
    await read();
  };
  return (
    <>
      <p>
        {t('countedKeptOnThisDevicePart', {
          counted: t('entriesAre', { count: entries.length }),
          part: counts.unreachable ? ` ${t('untilYouAreOnline')}` : '.',
        })}
      </p>
      <Rows>
        {lanes.map((lane) => {
          const all = entries.filter((entry) => entry.lane === lane);
          const refused = all.filter((entry) => entry.refused);
          const last = refused.at(-1)?.refused;
          return (
            <li key={lane} className={styles.lane}>
              <span>
                <b>{laneWords(lane)}</b>: {all.length}
              </span>
              <span>
                {last
                  ? t('countedRefusedOnDateMessage', {
                      counted: t('were', { count: refused.length }),
                      date: longDate(last.at),
                      message: last.message,
                    })
                  : t('notSentYet')}
              </span>
              {refused.length > 0 && (
                <span className={styles.actions}>
                  <Button variant="outlined" onClick={() => void again(refused)}>
                    {t('sendAgain')}
                  </Button>
                  <Button variant="text" onClick={() => void drop(refused)}>
                    {t('exportAndRemove')}
                  </Button>
                </span>
              )}
            </li>
          );
        })}
      </Rows>
      <Button variant="outlined" onClick={() => save(entries)}>
        {t('exportAll')}
      </Button>
    </>
  );
}

/** Hands entries over as a file, so that nothing is lost that the server does not take. */
const save = (entries: readonly Entry[]) =>
  offerFile('not-sent.json', 'application/json', JSON.stringify(entries, undefined, 2));
