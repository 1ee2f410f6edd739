import { t } from '@jasperwren/words/common';
import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import type { PropsWithChildren } from 'react';

interface Props {
  /** What is put in order, from top to bottom: its key and its name, which is read out as it moves. */
  readonly rows: readonly { readonly key: string; readonly name: string }[];
  readonly onMove: (key: string, toPlaceOf: string) => void;
}

/** A list put in order by mouse, by touch, or by Space and the arrow keys. Its rows use `useSortable`. */
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
