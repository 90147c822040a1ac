import { closestCenter, DndContext, KeyboardSensor, PointerSensor, TouchSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { arrayMove, SortableContext, sortableKeyboardCoordinates, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { createElement } from 'react';
import { View } from 'react-native';
import { Icon } from './icon.tsx';

/** Where something was dropped: its new neighbours, and the group it is in. */
export interface Dropped {
  id: string;
  group: string;
  after: string | null;
  before: string | null;
}

interface SortableProps {
  /** Ids in their order, by group: dragging goes within and between groups. */
  groups: { key: string; ids: string[] }[];
  onDrop: (dropped: Dropped) => void;
  children: React.ReactNode;
}

/** Rows that are put in order by pointer, touch and keyboard. */
export function Sortable({ groups, onDrop, children }: SortableProps) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 150, tolerance: 8 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const all = groups.flatMap(({ ids }) => ids);
  const dropped = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const target = groups.find(({ ids }) => ids.includes(String(over.id)));
    if (!target) return;
    const order = arrayMove(all, all.indexOf(String(active.id)), all.indexOf(String(over.id))).filter((id) => id === active.id || target.ids.includes(id));
    const place = order.indexOf(String(active.id));
    onDrop({ id: String(active.id), group: target.key, after: order[place - 1] ?? null, before: order[place + 1] ?? null });
  };
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={dropped}>
      <SortableContext items={all} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
}

/** One row that can be dragged by its handle. */
export function SortableRow({ id, label, children }: { id: string; label: string; children: (handle: React.ReactNode) => React.ReactNode }) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id });
  const handle = createElement(
    'button',
    {
      type: 'button',
      'aria-label': label,
      ...attributes,
      ...listeners,
      style: {
        touchAction: 'none',
        background: 'none',
        border: 0,
        padding: 0,
        width: 28,
        height: 44,
        cursor: 'grab',
        display: 'flex',
        alignItems: 'center',
        justifyContent: 'center',
      },
    },
    <Icon name="grip" size={18} />,
  );
  return (
    <View
      ref={setNodeRef as never}
      style={{ transform: CSS.Transform.toString(transform) as never, transition, zIndex: isDragging ? 10 : undefined, opacity: isDragging ? 0.8 : 1 } as never}
    >
      {children(handle)}
    </View>
  );
}
