import { t } from '@jasperwren/words/school';
import IconButton from '@mui/material/IconButton';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import MoreHoriz from '@mui/icons-material/MoreHoriz';
import type { PersonView } from '@jasperwren/contract/accounts';
import { useState } from 'react';
import { api } from '../base/api';
import { told } from '../ui/told';
import { EditPerson } from './EditPerson';
import { HandOverDialog } from './HandOverDialog';
import type { LinkFor } from './LinkToSend';

interface Props {
  readonly person: PersonView;
  readonly people: readonly PersonView[];
  readonly onLink: (link: LinkFor) => void;
}

/** What a lead can do for one of the people. */
export function PersonMenu({ person, people, onLink }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement>();
  const [dialog, setDialog] = useState<'edit' | 'hand-over'>();
  const [disable] = api.useDisableAccountMutation();
  const [enable] = api.useEnableAccountMutation();
  const [sendLink] = api.useSendPasswordLinkMutation();
  const [signOut] = api.useSignOutAccountMutation();
  const [removeFactor] = api.useRemoveFactorMutation();
  const { id, name, email, disabledAt } = person;
  const left = disabledAt !== undefined;
  const choices: readonly (readonly [words: string, shown: boolean, act: () => void])[] = [
    [t('changeNameOrRole'), true, () => setDialog('edit')],
    [t('handLearnersAndLessonsOver'), person.learners + person.lessons > 0, () => setDialog('hand-over')],
    [
      person.joined ? t('sendPasswordLink') : t('sendInvitationAgain'),
      !left,
      () =>
        void sendLink({ accountId: id }).then((done) => {
          if (told(done)) onLink({ name, email, link: done.data! });
        }),
    ],
    [
      t('signOutEverywhere'),
      person.seenAt !== undefined,
      () => void signOut({ accountId: id }).then((done) => told(done, t('nameIsSignedOutEverywhere', { name }))),
    ],
    [
      t('turnOffSecondFactor'),
      person.secondFactor,
      () => void removeFactor({ accountId: id }).then((done) => told(done, t('nameNowSignsInWithThe', { name }))),
    ],
    [
      left ? t('restoreAccess') : t('removeAccess'),
      true,
      () =>
        void (left ? enable : disable)({ accountId: id }).then((done) =>
          told(done, left ? t('nameCanSignInAgain', { name }) : t('nameIsSignedOutAndCan', { name })),
        ),
    ],
  ];
  return (
    <>
      <IconButton
        aria-label={t('moreAboutName', { name })}
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        <MoreHoriz />
      </IconButton>
      <Menu open={anchor !== undefined} onClose={() => setAnchor(undefined)} {...(anchor && { anchorEl: anchor })}>
        {choices
          .filter(([, shown]) => shown)
          .map(([words, , act]) => (
            <MenuItem
              key={words}
              onClick={() => {
                setAnchor(undefined);
                act();
              }}
            >
              {words}
            </MenuItem>
          ))}
      </Menu>
      {dialog === 'edit' && <EditPerson person={person} onClose={() => setDialog(undefined)} />}
      {dialog === 'hand-over' && (
        <HandOverDialog person={person} people={people} onClose={() => setDialog(undefined)} />
      )}
    </>
  );
}
