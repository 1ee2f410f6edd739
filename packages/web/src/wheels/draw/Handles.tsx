import type { Point } from '@jasperwren/motion/geometry';
import type { Layout } from '@jasperwren/motion/layout/layout';
import { useRef, type PointerEvent } from 'react';
import { handleKey, handlesOf, placeOf, snapped, type Handle } from './edit-layout';
import { handleName } from './handle-name';
import styles from './draw.module.css';

interface Props {
  readonly layout: Layout;
  readonly radiusM: number;
  readonly chosen: string;
  readonly onChoose: (handle: Handle) => void;
  readonly onDrag: (handle: Handle, to: Point) => void;
  readonly onDrop: () => void;
  readonly onMove: (handle: Handle, to: Point) => void;
}

/** How far an arrow key moves what is chosen, in metres. */
const byKeyM = 0.05;
const arrows: Readonly<Record<string, Point>> = {
  ArrowLeft: { x: -byKeyM, y: 0 },
  ArrowRight: { x: byKeyM, y: 0 },
  ArrowUp: { x: 0, y: byKeyM },
  ArrowDown: { x: 0, y: -byKeyM },
};

/** Where on the ground a pointer is, to the nearest five centimetres. */
function groundAt(event: PointerEvent<SVGElement>): Point | undefined {
  const matrix = event.currentTarget.ownerSVGElement?.getScreenCTM()?.inverse();
  if (!matrix) return undefined;
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
  return { x: snapped(x), y: snapped(-y) };
}

/** What of a ground can be taken hold of: by pointer, or by its arrow keys. */
export function Handles({ layout, radiusM, chosen, onChoose, onDrag, onDrop, onMove }: Props) {
  const dragging = useRef(false);
  return (
    <g>
      {handlesOf(layout).map((handle) => {
        const at = placeOf(layout, handle)!;
        const key = handleKey(handle);
        return (
          <circle
            key={key}
            className={key === chosen ? styles.chosen : styles.handle}
            cx={at.x}
            cy={-at.y}
            r={radiusM}
            tabIndex={0}
            role="button"
            aria-label={handleName(layout, handle)}
            aria-pressed={key === chosen}
            onFocus={() => onChoose(handle)}
            onPointerDown={(event) => {
              event.currentTarget.setPointerCapture(event.pointerId);
              dragging.current = true;
              onChoose(handle);
            }}
            onPointerMove={(event) => {
              const to = dragging.current ? groundAt(event) : undefined;
              if (to) onDrag(handle, to);
            }}
            onPointerUp={() => {
              dragging.current = false;
              onDrop();
            }}
            onPointerCancel={() => {
              dragging.current = false;
              onDrop();
            }}
            onKeyDown={(event) => {
              const by = arrows[event.key];
              if (!by) return;
              event.preventDefault();
              onMove(handle, { x: snapped(at.x + by.x), y: snapped(at.y + by.y) });
            }}
          />
        );
      })}
    </g>
  );
}
