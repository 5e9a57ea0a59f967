import { closestCenter, DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { rectSortingStrategy, SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import { createContext, useContext, type KeyboardEvent, type ReactNode } from 'react';

/** Moves a row by one place; rows of any height move alike by the keys. */
const Step = createContext<(id: string, by: number) => void>(() => undefined);

const KEYS: Record<string, number> = { ArrowUp: -1, ArrowLeft: -1, ArrowDown: 1, ArrowRight: 1 };

interface ListProps {
  /** In their order; each row is a {@link SortableRow} of one of them. */
  ids: string[];
  onMove: (from: number, to: number) => void;
  /** Cards side by side rather than rows below one another. */
  grid?: boolean;
  children: ReactNode;
}

/** A list whose rows are dragged into an order, by pointer or by keys. */
export function SortableList({ ids, onMove, grid = false, children }: ListProps) {
  const sensors = useSensors(useSensor(PointerSensor));
  /** One place up or down, as long as there is one. */
  const step = (id: string, by: number) => {
    const from = ids.indexOf(id);
    if (ids[from + by] !== undefined) onMove(from, from + by);
  };
  return (
    <Step.Provider value={step}>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={({ active, over }) => {
          if (over && active.id !== over.id) onMove(ids.indexOf(String(active.id)), ids.indexOf(String(over.id)));
        }}
      >
        <SortableContext items={ids} strategy={grid ? rectSortingStrategy : verticalListSortingStrategy}>
          {children}
        </SortableContext>
      </DndContext>
    </Step.Provider>
  );
}

interface RowProps {
  id: string;
  /** What is dragged, for those who hear it. */
  name: string;
  className: string;
  /** Gets the handle by which the row is dragged. */
  children: (handle: ReactNode) => ReactNode;
}

/** One row of a {@link SortableList}. */
export function SortableRow({ id, name, className, children }: RowProps) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id });
  const step = useContext(Step);
  const move = (event: KeyboardEvent) => {
    const by = KEYS[event.key];
    if (by === undefined) return;
    event.preventDefault();
    step(id, by);
  };
  return (
    <li ref={setNodeRef} style={{ transform: CSS.Translate.toString(transform), transition }} className={className}>
      {children(
        <button
          type="button"
          className="btn btn-ghost btn-icon cursor-grab touch-none"
          {...attributes}
          {...listeners}
          aria-label={`Drag ${name}, or move it with the arrow keys`}
          aria-describedby={undefined}
          onKeyDown={move}
        >
          <GripVertical size={18} aria-hidden="true" />
        </button>,
      )}
    </li>
  );
}
