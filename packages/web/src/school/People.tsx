import { t } from '@jasperwren/words/school';
import Button from '@mui/material/Button';
import type { PersonView } from '@jasperwren/contract/accounts';
import { useState } from 'react';
import { useSignedIn } from '../base/signed-in';
import { longDate } from '../ui/format';
import { Rows } from '../ui/Page';
import { InviteForm } from './InviteForm';
import { LinkToSend, type LinkFor } from './LinkToSend';
import { PersonMenu } from './PersonMenu';
import styles from './school.module.css';

/** Everybody with an account, also who has left, with what can be done for each. */
export function People({ people }: { readonly people: readonly PersonView[] }) {
  const { account } = useSignedIn();
  const [inviting, setInviting] = useState(false);
  const [link, setLink] = useState<LinkFor>();
  return (
    <>
      <Rows>
        {people.map((person) => (
          <li key={person.id} className={styles.person} data-left={person.disabledAt !== undefined}>
            <span>
              <b>{person.name}</b> {person.id === account.id && t('you')}
              <br />
              <span className="muted">{person.email}</span>
            </span>
            <span>{person.role === 'lead' ? t('leadInstructor') : t('instructor')}</span>
            <span className="muted">{standing(person)}</span>
            <span className="muted">
              {t('countedCounted2ToCome', {
                counted: t('learners2', { count: person.learners }),
                counted2: t('lessons', { count: person.lessons }),
              })}
            </span>
            <PersonMenu person={person} people={people} onLink={setLink} />
          </li>
        ))}
      </Rows>
      {inviting ? (
        <InviteForm onLink={setLink} onDone={() => setInviting(false)} />
      ) : (
        <Button variant="outlined" onClick={() => setInviting(true)}>
          {t('inviteSomeone')}
        </Button>
      )}
      {link && <LinkToSend link={link} onClose={() => setLink(undefined)} />}
    </>
  );
}

function standing({ disabledAt, joined, secondFactor, seenAt }: PersonView): string {
  if (disabledAt) return t('leftOnDate', { date: longDate(disabledAt) });
  if (!joined) return t('invitedNoPasswordYet');
  const seen = seenAt ? t('lastHereDate', { date: longDate(seenAt) }) : t('notSignedIn');
  return secondFactor ? t('seenSecondFactorOn', { seen }) : seen;
}
