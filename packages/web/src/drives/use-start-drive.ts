import type { LearnerView } from '@jasperwren/contract/learners';
import type { CarRoute } from '@jasperwren/core/routes/car-route';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { useState } from 'react';
import { closeSnackbar } from 'notistack';
import { useNavigate } from 'react-router';
import { api } from '../base/api';
import { useAppDispatch } from '../base/hooks';
import { useSignedIn } from '../base/signed-in';
import { startDrive } from './log/append';
import { pastOf } from './log/open-drive';

interface Start {
  readonly learner: LearnerView;
  readonly standard: EffectiveStandard;
  readonly briefing: boolean;
  /** Ids of those who mark besides. */
  readonly helpers?: readonly string[];
  readonly route?: CarRoute | undefined;
}

/** Starts a mock test and leads to its marking screen. */
export function useStartDrive(): { readonly start: (of: Start) => Promise<void>; readonly starting: boolean } {
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const { account, school } = useSignedIn();
  const [fetchDrives] = api.useLazyLearnerDrivesQuery();
  const [starting, setStarting] = useState(false);
  const start = async ({ learner, standard, briefing, helpers = [], route }: Start) => {
    setStarting(true);
    // What is likely now rests on earlier drives; without a connection the usual faults stand in.
    const past = (await fetchDrives({ learnerId: learner.id }, true)).data ?? [];
    const driveId = await dispatch(
      startDrive(
        {
          schoolId: school.id,
          learnerId: learner.id,
          learnerName: learner.name,
          number: learner.drives + 1,
          standard,
          ...pastOf(past),
          ...(route && { route }),
        },
        account.id,
        briefing,
        helpers,
      ),
    );
    // What was said before is no part of the test.
    closeSnackbar();
    void navigate(`/drive/${driveId}/desk`);
  };
  return { start, starting };
}
