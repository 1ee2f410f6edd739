import Button from '@mui/material/Button';
import { Panel } from './Panel';
import { ReasonForm } from './ReasonForm';
import type { DeskActions } from './desk-actions';

const reasons = ['Toilet', 'Breakdown', 'Unsafe weather', 'Talking something over', 'Road closed'];

/** Shown once the clock stands: why, in one touch, and on again. */
export function PausePanel({ pauseId, actions }: { readonly pauseId: string; readonly actions: DeskActions }) {
  return (
    <Panel title="The clock stands still. Why?">
      <ReasonForm reasons={reasons} action="Keep it" onGiven={(reason) => actions.note(reason, pauseId)} />
      <Button variant="contained" onClick={() => void actions.switchPause()}>
        Go on driving
      </Button>
    </Panel>
  );
}
