import { t } from '@jasperwren/words/common';
import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import DragIndicatorRounded from '@mui/icons-material/DragIndicatorRounded';
import type { PropsWithChildren, ReactNode } from 'react';
import styles from './sortable.module.css';

interface Props {
  /** What is put in order, from top to bottom: its key and its name, which is read out as it moves. */
  readonly rows: readonly { readonly key: string; readonly name: string }[];
  readonly onMove: (key: string, toPlaceOf: string) => void;
}

/** A list put in order by mouse, by touch, or by Space and the arrow keys. Its rows are `SortableRow`s. */
export function Sortable({ rows, onMove, children }: PropsWithChildren<Props>) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const at = (key: unknown) => rows.findIndex((row) => row.key === key);
  const name = (key: unknown) => rows[at(key)]?.name ?? '';
  const place = (key: unknown) => t('placeAtOfCount', { at: at(key) + 1, count: rows.length });
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      accessibility={{
        screenReaderInstructions: {
          draggable: t('pressSpaceToPickUpArrow'),
        },
        announcements: {
          onDragStart: ({ active }) => t('namePickedUp', { name: name(active.id) }),
          onDragOver: ({ active, over }) => (over ? `${name(active.id)}: ${place(over.id)}.` : undefined),
          onDragEnd: ({ active, over }) =>
            t('namePutDownPlace', { name: name(active.id), place: place((over ?? active).id) }),
          onDragCancel: ({ active }) =>
            t('nameLeftWhereItWasPlace', { name: name(active.id), place: place(active.id) }),
        },
      }}
      onDragEnd={({ active, over }) => {
        if (over && over.id !== active.id) onMove(String(active.id), String(over.id));
      }}
    >
      <SortableContext items={rows.map(({ key }) => key)} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
}

interface RowProps {
  readonly id: string;
  readonly className: string | undefined;
  /** What its grip says. */
  readonly grip: string;
  /** What the row is called; nothing where its content says it. */
  readonly label?: string;
  readonly children: (grip: ReactNode) => ReactNode;
}

/** A row of a sortable list, moved by its grip, which its content puts where it belongs. */
export function SortableRow({ id, className, grip, label, children }: RowProps) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, isDragging } = useSortable({ id });
  return (
    <li
      ref={setNodeRef}
      className={className}
      data-dragging={isDragging}
      aria-label={label}
      style={transform ? { transform: `translateY(${transform.y}px)` } : undefined}
    >
      {children(
        <button
          ref={setActivatorNodeRef}
          type="button"
          className={styles.grip}
          {...attributes}
          {...listeners}
          aria-label={grip}
        >
          <DragIndicatorRounded aria-hidden="true" />
        </button>,
      )}
    </li>
  );
}
