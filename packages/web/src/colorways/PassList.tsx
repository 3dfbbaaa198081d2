import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import type { Formulation, Plan, ShelfResponse } from '@ythrion/core';
import { PassStage } from './PassStage';
import type { PassActions } from './usePassActions';
import type { Draft } from './useDraft';

export interface PassListProps {
  draft: Draft;
  plan: Plan;
  formulation: Formulation;
  shelf: ShelfResponse;
  seed: string;
  isOpen: (passId: string) => boolean;
  onFold: (passId: string) => void;
  actions: PassActions;
}

/** The passes in order; any of them can be dragged, by hand or with the keyboard, to another place. */
export function PassList({ draft, isOpen, onFold, actions, ...rest }: PassListProps) {
  const { passes } = draft.colorway.recipe;
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const dropped = ({ active, over }: DragEndEvent): void => {
    const at = (id: unknown): number => passes.findIndex((pass) => pass.id === id);
    if (over && active.id !== over.id) actions.move(at(active.id), at(over.id));
  };
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={dropped}>
      <SortableContext items={passes.map((pass) => pass.id)} strategy={verticalListSortingStrategy}>
        {passes.map((pass, index) => (
          <PassStage
            key={pass.id}
            draft={draft}
            pass={pass}
            index={index}
            open={isOpen(pass.id)}
            onFold={() => onFold(pass.id)}
            actions={actions}
            {...rest}
          />
        ))}
      </SortableContext>
    </DndContext>
  );
}
