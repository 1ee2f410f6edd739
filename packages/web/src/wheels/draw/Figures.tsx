import { toDegrees, toRadians, wrapAngle, type Point } from '@jasperwren/motion/geometry';
import type { Layout } from '@jasperwren/motion/layout/layout';
import { t } from '@jasperwren/words/motion';
import Button from '@mui/material/Button';
import { Choose } from '../../ui/Choose';
import { NumberField } from '../NumberField';
import styles from '../wheels.module.css';
import { handleKey, handlesOf, placeOf, type Handle } from './edit-layout';
import { handleName } from './handle-name';

interface Props {
  readonly layout: Layout;
  readonly chosen: Handle;
  readonly onChoose: (handle: Handle) => void;
  readonly onMove: (to: Point & { readonly heading?: number }) => void;
  readonly onRemove: () => void;
}

/** What is chosen of a ground, with its exact figures. */
export function Figures({ layout, chosen, onChoose, onMove, onRemove }: Props) {
  const handles = handlesOf(layout);
  const at = placeOf(layout, chosen);
  const key = handleKey(chosen);
  const name = handleName(layout, chosen);
  return (
    <>
      <div className={styles.fields}>
        <Choose
          label={t('drawn')}
          value={key}
          options={handles.map((one) => [handleKey(one), handleName(layout, one)])}
          onChoose={(value) => onChoose(handles.find((one) => handleKey(one) === value)!)}
        />
        {at && (
          <>
            <NumberField
              key={`x ${key} ${at.x}`}
              label={t('xM')}
              value={at.x}
              step={0.05}
              onNumber={(x) => x !== undefined && onMove({ x, y: at.y })}
            />
            <NumberField
              key={`y ${key} ${at.y}`}
              label={t('yM')}
              value={at.y}
              step={0.05}
              onNumber={(y) => y !== undefined && onMove({ x: at.x, y })}
            />
          </>
        )}
        {at && 'heading' in at && (
          <NumberField
            key={`heading ${key} ${at.heading}`}
            label={t('headingDeg')}
            value={Math.round(toDegrees(at.heading) * 10) / 10}
            step={5}
            onNumber={(degrees) => degrees !== undefined && onMove({ ...at, heading: wrapAngle(toRadians(degrees)) })}
          />
        )}
      </div>
      {(chosen.kind === 'marker' || chosen.kind === 'edge') && (
        <Button variant="text" onClick={onRemove}>
          {t('removeThing', { thing: name })}
        </Button>
      )}
    </>
  );
}
