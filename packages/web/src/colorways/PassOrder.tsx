import { useEffect, useRef, type KeyboardEvent } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';

/** A pass as it stands in the order. */
export interface PassInOrder {
  id: string;
  title: string;
  sentence: string;
}

export interface PassOrderProps {
  passes: readonly PassInOrder[];
  /** The pass that is to be moved first. */
  first: string;
  onMove: (from: number, to: number) => void;
  onDone: () => void;
}

/** The passes one under the other, a sentence each, to be dragged into another order by hand or with the keyboard. */
export function PassOrder({ passes, first, onMove, onDone }: PassOrderProps) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const held = useRef(false);
  const dropped = ({ active, over }: DragEndEvent): void => {
    held.current = false;
    const at = (id: unknown): number => passes.findIndex((pass) => pass.id === id);
    if (over && active.id !== over.id) onMove(at(active.id), at(over.id));
  };
  // Escape puts back what is held; with nothing held it ends the moving.
  const leave = ({ key }: KeyboardEvent): void => {
    if (key === 'Escape' && !held.current) onDone();
  };
  return (
    <Box
      component="section"
      aria-label="Order of the passes"
      onKeyDown={leave}
      sx={{ maxWidth: 760, mx: 'auto', px: { xs: 1.5, sm: 2 }, py: 1.5, display: 'grid', gap: 1 }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', gap: 2 }}>
        <Typography variant="body2">
          Drag a pass to where it belongs; or hold it with the space bar and move it with the arrows.
        </Typography>
        <Button variant="contained" onClick={onDone}>
          Done
        </Button>
      </Box>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragStart={() => (held.current = true)}
        onDragCancel={() => (held.current = false)}
        onDragEnd={dropped}
      >
        <SortableContext items={passes.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
          {passes.map((pass) => (
            <Row key={pass.id} pass={pass} focused={pass.id === first} />
          ))}
        </SortableContext>
      </DndContext>
    </Box>
  );
}

function Row({ pass: { id, title, sentence }, focused }: { pass: PassInOrder; focused: boolean }) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id });
  const row = useRef<HTMLButtonElement | null>(null);
  useEffect(() => {
    if (focused) row.current?.focus();
  }, [focused]);
  return (
    <Button
      ref={(element: HTMLButtonElement | null) => {
        row.current = element;
        setNodeRef(element);
      }}
      {...attributes}
      {...listeners}
      variant="outlined"
      aria-label={`Move ${title}`}
      sx={{
        transform: CSS.Translate.toString(transform),
        transition,
        justifyContent: 'flex-start',
        textAlign: 'left',
        gap: 2,
        minHeight: 56,
        cursor: 'grab',
        // A finger scrolls the list by a row, and drags the row by its arrows.
        touchAction: 'pan-y',
        bgcolor: 'background.default',
        zIndex: isDragging ? 1 : 'auto',
      }}
    >
      <Box component="span" aria-hidden sx={{ fontSize: 20, minWidth: 28, py: 1, touchAction: 'none' }}>
        ↕
      </Box>
      <span>
        <Typography component="span" variant="h3" sx={{ display: 'block' }}>
          {title}
        </Typography>
        <Typography component="span" variant="body2" sx={{ fontWeight: 400 }}>
          {sentence}
        </Typography>
      </span>
    </Button>
  );
}
