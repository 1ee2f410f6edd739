import { t } from '@jasperwren/words/desk';
import type { Drive } from '@jasperwren/core/drive/drive';
import type { Verdict } from '@jasperwren/core/marking/verdict';
import type { DriveMeta } from '../../base/device/device-db';
import { firstName } from '../../ui/format';
import { arrivingPanel } from './arriving-panel';
import type { DeskPanel } from './desk-slice';
import { EndPanel } from './panels/EndPanel';
import { ExercisePanel } from './panels/ExercisePanel';
import { HelpPanel } from './panels/HelpPanel';
import { KeysPanel } from './panels/KeysPanel';
import { MeasurePanel } from './panels/MeasurePanel';
import { AdvisePanel, MarkPanel } from './panels/MarkPanel';
import { MoreTiles } from './panels/MoreTiles';
import { NotePanel } from './panels/NotePanel';
import { Panel } from './panels/Panel';
import { PausePanel } from './panels/PausePanel';
import { ReasonForm } from './panels/ReasonForm';
import { TracePanel } from './panels/TracePanel';
import { TrayPanel } from './panels/TrayPanel';
import type { DeskActions } from './desk-actions';

const QuestionsPanel = arrivingPanel(() => import('./panels/QuestionsPanel'));
const VoicePanel = arrivingPanel(() => import('../voice/VoicePanel'));
const SensorsPanel = arrivingPanel(() => import('../yard/SensorsPanel'));

interface Props {
  readonly panel: DeskPanel;
  readonly meta: DriveMeta;
  readonly drive: Drive;
  readonly verdict: Verdict;
  readonly actions: DeskActions;
}

/** What the middle of the desk shows in place of the matrix. Pins and the quick marks go on working beside it. */
export function DeskPanelView({ panel, meta, drive, verdict, actions }: Props) {
  const { id: driveId, route, standard } = meta;
  switch (panel.kind) {
    case 'more':
      return (
        <Panel title={t('exercisesAndMore')}>
          {!standard.course && (
            <ExercisePanel driveId={driveId} standard={standard} drive={drive} verdict={verdict} actions={actions} />
          )}
          <MoreTiles standard={standard} drive={drive} actions={actions} />
        </Panel>
      );
    case 'questions':
      return <QuestionsPanel meta={meta} drive={drive} actions={actions} />;
    case 'note':
      return <NotePanel key={panel.target} target={panel.target} actions={actions} />;
    case 'pause':
      return <PausePanel pauseId={panel.pauseId} actions={actions} />;
    case 'trace':
      return <TracePanel driveId={driveId} name={firstName(meta.learnerName)} hasRoute={route !== undefined} />;
    case 'voice':
      return <VoicePanel driveId={driveId} name={firstName(meta.learnerName)} />;
    case 'sensors':
      return <SensorsPanel standard={standard} actions={actions} />;
    case 'measure':
      return <MeasurePanel key={panel.item} itemCode={panel.item} standard={standard} actions={actions} />;
    case 'tray':
      return <TrayPanel driveId={driveId} standard={standard} drive={drive} actions={actions} />;
    case 'help':
      return <HelpPanel key={panel.helpId} helpId={panel.helpId} standard={standard} drive={drive} actions={actions} />;
    case 'mark':
      return (
        <MarkPanel
          key={panel.markId}
          markId={panel.markId}
          driveId={driveId}
          route={route}
          standard={standard}
          drive={drive}
          actions={actions}
        />
      );
    case 'advise':
      return <AdvisePanel markId={panel.markId} standard={standard} drive={drive} actions={actions} />;
    case 'drop-pin':
      return (
        <Panel title={t('discardThisPin')}>
          <ReasonForm
            reasons={['no-fault', 'already-recorded', 'not-the-learner']}
            action={t('discardPin')}
            onGiven={(why) => actions.dropPin(panel.pinId, why)}
          />
        </Panel>
      );
    case 'end':
      return <EndPanel driveId={driveId} standard={standard} drive={drive} actions={actions} />;
    case 'keys':
      return <KeysPanel />;
  }
}
