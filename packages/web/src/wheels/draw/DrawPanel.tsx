import type { Layout } from '@jasperwren/motion/layout/layout';
import { standing } from '@jasperwren/motion/moves/roll';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { t } from '@jasperwren/words/motion';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { FileButton } from '../../ui/FileButton';
import { Unsaved } from '../../ui/Unsaved';
import { useUnsaved } from '../../ui/use-unsaved';
import { KeepForm } from '../kept/KeepForm';
import { useKeep } from '../kept/use-keep';
import { GroundPicture } from '../picture/GroundPicture';
import { frameOf } from '../picture/outline';
import { VehicleShape } from '../picture/VehicleShape';
import { noSpace, type Question } from '../use-question';
import styles from '../wheels.module.css';
import { added, handleKey, moved, removed, type Handle } from './edit-layout';
import { Handles } from './Handles';
import { Figures } from './Figures';

interface Props {
  readonly vehicle: Vehicle;
  readonly layout: Layout;
  readonly question: Question;
}

const things = [
  ['cone', t('addCone')],
  ['pole', t('addPole')],
  ['line', t('addLine')],
  ['kerb', t('addKerb')],
  ['wall', t('addWall')],
] as const;

/** Drawing a ground of one's own, from the one that is asked for or from a file; kept, it is chosen like an exercise. */
export default function DrawPanel({ vehicle, layout: begun, question }: Props) {
  const [steps, setSteps] = useState<readonly Layout[]>([begun]);
  const [dragged, setDragged] = useState<Layout>();
  const [chosen, setChosen] = useState<Handle>({ kind: 'start' });
  const [problem, setProblem] = useState<string>();
  const { keep, busy, error } = useKeep();
  const { blocker, letGo } = useUnsaved(steps.length > 1);
  const layout = dragged ?? steps.at(-1)!;
  const change = (next: Layout) => setSteps([...steps, next]);
  // The frame stays while something is dragged, so that the ground does not move under the pointer.
  const frame = frameOf(steps.at(-1)!, vehicle, []);
  return (
    <div className={styles.columns}>
      <div>
        <GroundPicture layout={layout} frame={frame} label={t('picture', { exercise: question.groundName })}>
          <VehicleShape vehicle={vehicle} placed={standing(layout.start)} />
          {layout.goal.kind === 'poses' && (
            <VehicleShape vehicle={vehicle} placed={standing(layout.goal.poses[0]!)} faint />
          )}
          <Handles
            layout={layout}
            radiusM={Math.max(0.28, frame.width / 90)}
            chosen={handleKey(chosen)}
            onChoose={setChosen}
            onDrag={(handle, to) => setDragged(moved(layout, handle, to))}
            onDrop={() => {
              if (dragged) change(dragged);
              setDragged(undefined);
            }}
            onMove={(handle, to) => change(moved(layout, handle, to))}
          />
        </GroundPicture>
        <div className={styles.pedals}>
          {things.map(([kind, label]) => (
            <Button
              key={kind}
              variant="outlined"
              onClick={() => {
                const next = added(layout, kind);
                change(next.layout);
                setChosen(next.handle);
              }}
            >
              {label}
            </Button>
          ))}
          <Button variant="text" disabled={steps.length === 1} onClick={() => setSteps(steps.slice(0, -1))}>
            {t('undoDraw')}
          </Button>
        </div>
      </div>
      <section aria-label={t('drawn')}>
        <Unsaved blocker={blocker} what={t('drew')} />
        <p>{t('drawWhy')}</p>
        <Figures
          layout={layout}
          chosen={chosen}
          onChoose={setChosen}
          onMove={(to) => change(moved(layout, chosen, to))}
          onRemove={() => {
            change(removed(layout, chosen));
            setChosen({ kind: 'start' });
          }}
        />
        <h2>{t('keepGround')}</h2>
        <KeepForm
          label={t('keepName')}
          button={t('keep')}
          busy={busy}
          error={error}
          onKeep={async (name) => {
            const id = await keep('ground', name, { ...layout, name });
            if (id === undefined) return false;
            letGo();
            question.change({ ...noSpace, exercise: undefined, side: undefined, kept: id, way: 'plan' });
            return true;
          }}
        />
        <FileButton
          label={t('openLayout')}
          accept=".json,application/json"
          variant="text"
          onFile={async (file) => {
            // What reads files comes when one is opened.
            const { layoutOfText } = await import('./layout-of-text');
            const read = layoutOfText(await file.text());
            setProblem('problem' in read ? read.problem : undefined);
            if ('layout' in read) change(read.layout);
          }}
        />
        {problem !== undefined && <p role="alert">{t('layoutWrong', { problem })}</p>}
      </section>
    </div>
  );
}
